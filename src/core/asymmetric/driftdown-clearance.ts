import { M_PER_FT } from "../quantities/constants";
import type { DriftdownPoint } from "./driftdown";

/** Ground below the way, by distance from its beginning. */
export interface GroundBelow {
  readonly distance_m: number;
  /** The highest within 5 statute miles to either side, above the sea. */
  readonly elevation_m: number;
}

/** How a drift-down clears the ground. */
export interface DriftdownClearance {
  /** Least height over the ground while it comes down, and where; null when no ground lies under that part. */
  readonly least_m: number | null;
  readonly at_m: number | null;
  /** By 2,000 ft all the way down. */
  readonly clears: boolean;
}

/** Coming down the net path clears the ground by this, m: 2,000 ft. 14 CFR 121.191 (memory). */
export const CLEARS_M = 2000 * M_PER_FT;

/**
 * Height of a drift-down over the ground below it, between its points.
 *
 * @param points - as `driftdown` returns them, ascending in distance; the net path where rules ask for it
 * @param ground - within 5 statute miles of the track
 * @returns `clears: false` also when some ground lies beyond the way: nothing is known of it there
 * @see 14 CFR 121.191 (memory): 2,000 ft coming down, or 1,000 ft with a positive slope, within 5 statute miles
 */
export function driftdownClearance(
  points: readonly DriftdownPoint[],
  ground: readonly GroundBelow[],
): DriftdownClearance {
  let [least_m, at_m, beyond]: [number | null, number | null, boolean] = [null, null, false];
  for (const { distance_m, elevation_m } of ground) {
    const after = points.findIndex((point) => point.distance_m >= distance_m);
    if (after < 0) {
      beyond = true;
      continue;
    }
    const [a, b] = [points[Math.max(after - 1, 0)], points[after]];
    const share = b.distance_m > a.distance_m ? (distance_m - a.distance_m) / (b.distance_m - a.distance_m) : 0;
    const over = a.altitude_m + share * (b.altitude_m - a.altitude_m) - elevation_m;
    if (least_m === null || over < least_m) [least_m, at_m] = [over, distance_m];
  }
  return { least_m, at_m, clears: !beyond && (least_m === null || least_m >= CLEARS_M) };
}
