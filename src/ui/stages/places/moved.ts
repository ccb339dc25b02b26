import type { LatLon } from "@/core/earth/geodesic";
import { type Place, type Strip, isAerodrome } from "@/core/places/place";
import { stripLine, withDesignators } from "@/core/places/strip-line";

/** A strip whose ends have been moved. Numbers and compass points that were right stay right. */
function movedStrip<S extends Strip>(strip: S, points: readonly LatLon[], numbered: boolean, day: Date): S {
  const ends = strip.ends.map((end, i) => ({ ...end, threshold: points[i] ?? end.threshold })) as unknown as S["ends"];
  const [before] = [withDesignators(strip, numbered, day)];
  const followed = strip.ends.every((end, i) => end.designator === before.ends[i].designator);
  return followed ? withDesignators({ ...strip, ends }, numbered, day) : { ...strip, ends };
}

/**
 * A place of which a part was moved on the map. An aerodrome with one runway stays in the middle of it.
 *
 * @param key - `strip:ID`, `outline` or `position`
 */
export function moved(place: Place, key: string, points: readonly LatLon[], day: Date): Place {
  if (isAerodrome(place)) {
    if (key === "position") return { ...place, position: points[0] };
    if (!place.runways.some(({ id }) => key === `strip:${id}`)) return place;
    const runways = place.runways.map((strip) =>
      key === `strip:${strip.id}` ? movedStrip(strip, points, true, day) : strip,
    );
    return { ...place, runways, position: runways.length === 1 ? stripLine(runways[0].ends).middle : place.position };
  }
  if (key === "outline") return { ...place, outline: [...points] };
  return { ...place, strip: movedStrip(place.strip, points, false, day) } as Place;
}
