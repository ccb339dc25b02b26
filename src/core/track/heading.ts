import type { WindVector } from "../air/wind";
import { wrapTurn } from "../quantities/angle";

/** Slower than this a track says nothing of where an aeroplane points, m/s. */
const MOVING_MPS = 5;

/**
 * Heading in the air of a motion over the ground, true: the ground's velocity less the wind's.
 *
 * @param track_rad - over the ground, true
 * @returns null where it hardly moves through the air
 * @see the triangle of velocities
 */
export function headingOfTrack(track_rad: number, groundSpeed_mps: number, wind: WindVector): number | null {
  const east_mps = groundSpeed_mps * Math.sin(track_rad) - wind.east_mps;
  const north_mps = groundSpeed_mps * Math.cos(track_rad) - wind.north_mps;
  return Math.hypot(east_mps, north_mps) < MOVING_MPS ? null : wrapTurn(Math.atan2(east_mps, north_mps));
}
