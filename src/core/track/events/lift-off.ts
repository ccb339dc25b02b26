import type { FlownOverGround } from "../flown-over-ground";
import type { GroundEvent } from "./ground-event";

/** So high it has left the ground for certain; so high it just has by pressure, and by satellites, m. */
const [CERTAIN_M, JUST_PRESSURE_M, JUST_GPS_M] = [6, 0.6, 2.5];
/** What comes before was flown the longer, the slower the climb; not longer than this, s. */
const LONGEST_S = 4;

/**
 * The moment at which the ground is left: back from where it surely flies to where the height is still that of the
 * ground.
 *
 * @param from - the first fix that may be in the air
 * @returns null where it is never left
 */
export function liftOff(
  { time_s, altitude_m, climb_mps, has }: FlownOverGround,
  from: number,
  to: number,
  ground_m: number,
): GroundEvent | null {
  const just_m = has.pressure ? JUST_PRESSURE_M : JUST_GPS_M;
  let i = from;
  while (i <= to && altitude_m[i] < ground_m + CERTAIN_M) i += 1;
  if (i > to) return null;
  while (i > from && altitude_m[i] > ground_m + just_m) i -= 1;
  const next = Math.min(i + 1, to);
  const step = altitude_m[next] - altitude_m[i];
  const share = step > 0 ? Math.min(Math.max((ground_m + just_m - altitude_m[i]) / step, 0), 1) : 0;
  const climb = Math.max(climb_mps[next], 0.5);
  return {
    time_s: time_s[i] + share * (time_s[next] - time_s[i]) - Math.min(just_m / climb / 2, LONGEST_S),
    sigma_s: has.pressure ? 0.7 : 1.2,
    ground_m,
  };
}
