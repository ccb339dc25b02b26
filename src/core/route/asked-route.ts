// The question that a situation asks about its flight. Apart from what checks it, so that a page can ask without that.
import type { AircraftDocument } from "../aircraft/aircraft-document";
import { geodesicBetween } from "../earth/geodesic";
import { landingEnds } from "../landing/landing-end";
import { type Place, isAerodrome, stripsOf } from "../places/place";
import type { SituationDocument } from "../situation/situation-document";
import type { RoutePlace, RouteQuestion } from "./route-question";

/** The question that a situation asks; `aircraft` is the one that it names. */
export function routeQuestion<Aircraft extends AircraftDocument>(
  situation: SituationDocument,
  aircraft: Aircraft,
  places: readonly Place[],
): Omit<RouteQuestion, "aircraft"> & { aircraft: Aircraft } {
  const { mass_kg, configuration, air, wind, pilot, plan, landing, route } = situation;
  return { aircraft, mass_kg, configuration, air, wind, pilot, plan, landing, route, places: routePlaces(places) };
}

/** Places by the longest of their strips; water and pads are none that a glide ends on. */
export function routePlaces(places: readonly Place[]): RoutePlace[] {
  return places.flatMap((place): RoutePlace[] => {
    if (place.kind === "water") return [];
    const [longest] = stripsOf(place)
      .filter((strip) => strip.surface !== "water" && strip.ends.some(({ usable }) => usable))
      .map(({ ends }) => ({ ends, line: geodesicBetween(ends[0].threshold, ends[1].threshold) }))
      .sort((a, b) => b.line.distance_m - a.line.distance_m);
    if (!longest || longest.line.distance_m < 1) return [];
    const ends = landingEnds([place]).slice(0, 16);
    if (ends.length === 0) return [];
    const [a, b] = longest.ends;
    return [
      {
        id: place.id,
        name: place.name,
        kind: isAerodrome(place) ? "runway" : place.kind,
        position: {
          latitude_deg: (a.threshold.latitude_deg + b.threshold.latitude_deg) / 2,
          longitude_deg: middleLongitude_deg(a.threshold.longitude_deg, b.threshold.longitude_deg),
        },
        elevation_m: Math.max(a.elevation_m, b.elevation_m),
        length_m: Math.min(longest.line.distance_m, 20_000),
        ends,
        lookedAt: isAerodrome(place) ? null : place.lookedAt,
      },
    ];
  });
}

/** A strip may lie across 180°. */
function middleLongitude_deg(a_deg: number, b_deg: number): number {
  if (Math.abs(a_deg - b_deg) < 180) return (a_deg + b_deg) / 2;
  const middle_deg = (a_deg + b_deg + 360) / 2;
  return middle_deg > 180 ? middle_deg - 360 : middle_deg;
}
