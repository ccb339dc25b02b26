// Where the aircraft is, in the words a pilot would use.
import { geodesicBetween, type LatLon } from "@/core/earth/geodesic";
import type { Aerodrome } from "@/core/places/place";
import { degrees } from "@/core/quantities/angle";

const POINTS = ["N", "NE", "E", "SE", "S", "SW", "W", "NW"] as const;

/** The nearest aerodrome, how far it is, and in which direction from it the place lies. */
export function nearestAerodrome(
  place: LatLon,
  aerodromes: readonly Aerodrome[],
): { name: string; distance_m: number; point: string; elevation_m: number } | null {
  let best: ReturnType<typeof nearestAerodrome> = null;
  for (const aerodrome of aerodromes) {
    const line = geodesicBetween(aerodrome.position, place);
    if (!best || line.distance_m < best.distance_m) {
      best = {
        name: aerodrome.name,
        distance_m: line.distance_m,
        point: POINTS[Math.round(degrees(line.azimuthStart_rad) / 45) % 8],
        elevation_m: aerodrome.elevation_m,
      };
    }
  }
  return best;
}
