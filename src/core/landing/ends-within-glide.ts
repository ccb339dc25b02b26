import { type LatLon, geodesicBetween } from "../earth/geodesic";
import type { LandingEnd } from "./landing-end";

/** The nearest ends are always looked at, others only so far as no aeroplane glides farther for its height. */
const [ALWAYS, MOST] = [40, 80];
const [RATIO, BEYOND_M] = [30, 10_000];

/**
 * Of many landing ends those that are worth a search for ways: the forty nearest, and up to eighty within 30 heights
 * and 10 km.
 *
 * @param altitude_m - of the aircraft
 */
export function endsWithinGlide(ends: readonly LandingEnd[], position: LatLon, altitude_m: number): LandingEnd[] {
  if (ends.length <= ALWAYS) return [...ends];
  return ends
    .map((end) => ({ end, away_m: geodesicBetween(position, end.threshold).distance_m }))
    .sort((a, b) => a.away_m - b.away_m)
    .slice(0, MOST)
    .filter(({ end, away_m }, i) => i < ALWAYS || away_m < RATIO * Math.max(altitude_m - end.elevation_m, 0) + BEYOND_M)
    .map(({ end }) => end);
}
