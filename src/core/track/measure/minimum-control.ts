// A demonstration of minimum control speed: the speed is let go slowly, at a height that is kept, until control ends;
// then it is recovered.
import { radians } from "../../quantities/angle";
import { MPS_PER_KT } from "../../quantities/constants";
import { averaged, filled } from "../smooth/averaged";
import { type Figure, figure, unknown } from "../figure";
import type { Flown } from "../flown";

/** @see minimumControl */
export interface MinimumControl {
  readonly from_s: number;
  readonly least_s: number;
  /** Indicated, as the next. */
  readonly entry_mps: Figure;
  readonly least_mps: Figure;
  /** Speed lost each second, m/s². */
  readonly rate_mps2: Figure;
  readonly heading_rad: Figure;
  readonly bank_rad: Figure;
  /** When the speed was had again. */
  readonly recovered_s: Figure;
}

/** Speed falls by so much a second, for so long, by so much in all, at a height that is kept. */
const [SLOW_RATE, FAST_RATE, LEAST_S, LEAST_FALL] = [0.3 * MPS_PER_KT, 2.5 * MPS_PER_KT, 8, 8 * MPS_PER_KT];
const LEVEL_MPS = 2;
/** Recovered: faster than the least by so much. */
const RECOVERED = 8 * MPS_PER_KT;
/** The rate is meant over so long to each side; a lull of so long does not end it, s. */
const [AVERAGE_S, LULL_S] = [3, 2.5];
/** Noise of heading and bank is meant away over so long to each side, s. */
const NOISE_S = 1;
/** The rate is told of what lies between the first and the last tenth of the fall. */
const EDGE_SHARE = 0.1;

/** Finds and measures the demonstrations of a stretch in the air; none without an airspeed. */
export function minimumControl(flown: Flown): MinimumControl[] {
  const { time_s, eas_mps, climb_mps, has, log } = flown;
  if (!has.airspeed) return [];
  const indicated = log.columns.ias_mps ? averaged(time_s, filled(log.columns.ias_mps), 0.6) : eas_mps;
  const speed = averaged(time_s, indicated, AVERAGE_S / 2);
  const climb = averaged(time_s, climb_mps, AVERAGE_S);
  const found: MinimumControl[] = [];
  let [from, last] = [-1, -1];
  const close = () => {
    if (from >= 0 && time_s[last] - time_s[from] >= LEAST_S) {
      const one = measured(flown, indicated, from, last);
      if (one) found.push(one);
    }
    from = -1;
  };
  let behind = 0;
  for (let i = 0; i < time_s.length; i += 1) {
    while (time_s[behind] < time_s[i] - AVERAGE_S) behind += 1;
    const passed = time_s[i] - time_s[behind];
    const falls = passed > 0.5 ? (speed[behind] - speed[i]) / passed : 0;
    const is = falls > SLOW_RATE && falls < FAST_RATE && Math.abs(climb[i]) < LEVEL_MPS;
    if (is) {
      if (from < 0) from = (behind + i) >> 1;
      last = i;
    } else if (from >= 0 && time_s[i] - time_s[last] > LULL_S) close();
  }
  close();
  return found;
}

/** Speed lost each second between the first and the last tenth of the fall, m/s². */
function fallOf(time_s: Float64Array, speed: Float64Array, from: number, least: number): number {
  const fall = speed[from] - speed[least];
  let [begin, end] = [least, from];
  while (begin > from && speed[begin] < speed[from] - EDGE_SHARE * fall) begin -= 1;
  while (end < least && speed[end] > speed[least] + EDGE_SHARE * fall) end += 1;
  return (speed[begin] - speed[end]) / Math.max(time_s[end] - time_s[begin], 0.5);
}

function measured(
  { time_s, course_rad, bank_rad, log, has }: Flown,
  speed: Float64Array,
  from: number,
  to: number,
): MinimumControl | null {
  let least = to;
  for (let i = from; i < time_s.length && time_s[i] <= time_s[to] + 3; i += 1) if (speed[i] < speed[least]) least = i;
  if (speed[from] - speed[least] < LEAST_FALL) return null;
  let recovered = least;
  while (recovered < time_s.length - 1 && speed[recovered] < speed[least] + RECOVERED) recovered += 1;
  const again = speed[recovered] >= speed[least] + RECOVERED;
  const { heading_rad } = log.columns;
  const inside = (values: Float64Array) => values.subarray(from, recovered + 1);
  const heading = averaged(inside(time_s), heading_rad ? goingOn(inside(heading_rad)) : inside(course_rad), NOISE_S);
  const bank = averaged(inside(time_s), inside(bank_rad), NOISE_S);
  let [turned, banked] = [0, 0];
  for (let i = 0; i < heading.length; i += 1) {
    turned = Math.max(turned, Math.abs(heading[i] - heading[0]));
    banked = Math.max(banked, Math.abs(bank[i]));
  }
  const sensors = has.attitude ? (["attitude"] as const) : (["position"] as const);
  return {
    from_s: time_s[from],
    least_s: time_s[least],
    entry_mps: figure(speed[from], 1.2, "airspeed"),
    least_mps: figure(speed[least], 0.35, "airspeed"),
    rate_mps2: figure(fallOf(time_s, speed, from, least), 0.045, "airspeed"),
    heading_rad: figure(turned, radians(heading_rad ? 0.6 : 3), ...sensors),
    bank_rad: figure(banked, radians(has.attitude ? 1.2 : 3), ...sensors),
    recovered_s: again
      ? figure(time_s[recovered], 0.7, "airspeed")
      : unknown("The speed was not had again in this log."),
  };
}

/** A heading without jumps at a full turn. */
function goingOn(heading_rad: Float64Array): Float64Array {
  const out = filled(heading_rad);
  for (let i = 1; i < out.length; i += 1) out[i] -= 2 * Math.PI * Math.round((out[i] - out[i - 1]) / (2 * Math.PI));
  return out;
}
