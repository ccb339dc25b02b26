import { type LatLon, geodesicBetween } from "@/core/earth/geodesic";
import { type Place, isAerodrome, positionOf } from "@/core/places/place";
import { groundAt_m } from "@/ui/situation/ground-at";

/** Of places farther away than this the elevation says nothing, m. */
const FARTHEST_M = 30_000;

/** A first guess at the elevation of a place: the terrain's, else that of the nearest place of one's own, else 0. */
export function elevationNear_m(where: LatLon, places: readonly Place[]): number {
  const ground_m = groundAt_m(where);
  if (ground_m !== null) return Math.round(ground_m * 10) / 10;
  const nearest = places
    .map((place) => ({
      away_m: geodesicBetween(where, positionOf(place)).distance_m,
      elevation_m: isAerodrome(place) ? place.elevation_m : place.strip.ends[0].elevation_m,
    }))
    .sort((a, b) => a.away_m - b.away_m)[0];
  return nearest && nearest.away_m < FARTHEST_M ? nearest.elevation_m : 0;
}
