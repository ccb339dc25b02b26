// Stretches in which the way over the ground goes on turning one way, long enough to show the wind.
import { G0 } from "../../quantities/constants";
import { radians } from "../../quantities/angle";

/** Indices: the end is not counted. */
export interface Stretch {
  readonly from: number;
  readonly to: number;
}

/** Turning: by more than this bank over the ground; a lull of so long does not end it. */
const [TURNING_RAD, LULL_S] = [radians(8), 3];
/** A turn shows the wind from so much on. */
const LEAST_RAD = radians(125);
const FLIES_MPS = 10;

/** Finds them. */
export function turnsOverGround(
  time_s: Float64Array,
  vx: Float64Array,
  vy: Float64Array,
  ax: Float64Array,
  ay: Float64Array,
): Stretch[] {
  const found: Stretch[] = [];
  let [from, last, side, turned] = [-1, -1, 0, 0];
  const close = () => {
    if (from >= 0 && Math.abs(turned) >= LEAST_RAD) found.push({ from, to: last + 1 });
    from = -1;
    turned = 0;
  };
  for (let i = 0; i < time_s.length; i += 1) {
    const v2 = vx[i] ** 2 + vy[i] ** 2;
    const rate = v2 > FLIES_MPS ** 2 ? (ax[i] * vy[i] - vx[i] * ay[i]) / v2 : 0;
    const turning = Math.abs(Math.atan((rate * Math.sqrt(v2)) / G0)) > TURNING_RAD ? Math.sign(rate) : 0;
    if (from >= 0 && (turning === -side || time_s[i] - time_s[last] > LULL_S)) close();
    if (turning === 0) continue;
    if (from < 0) [from, side] = [i, turning];
    else turned += rate * (time_s[i] - time_s[i - 1]);
    last = i;
  }
  close();
  return found;
}
