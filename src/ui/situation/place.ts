// Where the aircraft is, in the words a pilot would use.
import { geodesicBetween, type LatLon } from "@/core/earth/geodesic";
import type { Aerodrome } from "@/core/landing/places";
import { degrees } from "@/core/quantities/angle";

const POINTS = ["N", "NE", "E", "SE", "S", "SW", "W", "NW"] as const;

/** The nearest aerodrome, how far it is, and in which direction from it the place lies. */
export function nearestAerodrome(place: LatLon, aerodromes: readonly Aerodrome[]): { name: string; distance_m: number; point: string; elevation_m: number } | null {
  let best: ReturnType<typeof nearestAerodrome> = null;
  for (const aerodrome of aerodromes) {
    const line = geodesicBetween(aerodrome.position, place);
    if (!best || line.distance_m < best.distance_m) {
      best = { name: aerodrome.name, distance_m: line.distance_m, point: POINTS[Math.round(degrees(line.azimuthStart_rad) / 45) % 8], elevation_m: aerodrome.elevation_m };
    }
  }
  return best;
}

/** Degrees and minutes: 47°06.9′S. */
export function formatLatitude(latitude_deg: number): string {
  return degreesMinutes(latitude_deg, "N", "S", 2);
}

/** Degrees and minutes: 130°58.7′W. */
export function formatLongitude(longitude_deg: number): string {
  return degreesMinutes(longitude_deg, "E", "W", 3);
}

function degreesMinutes(angle_deg: number, positive: string, negative: string, width: number): string {
  // Rounded as a whole first, so that 59.96′ does not become 60.0′.
  const tenths = Math.round(Math.abs(angle_deg) * 600);
  const minutes = (tenths % 600) / 10;
  return `${String(Math.floor(tenths / 600)).padStart(width, "0")}°${minutes.toFixed(1).padStart(4, "0")}′${angle_deg < 0 ? negative : positive}`;
}
