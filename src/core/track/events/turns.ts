// Turns through the air: where they begin and end, between fixes.
import { radians } from "../../quantities/angle";
import type { Flown } from "../flown";
import { averaged } from "../smooth/averaged";

/** @see turns */
export interface Turn {
  readonly from_s: number;
  readonly to_s: number;
  /** −1 left, 1 right. */
  readonly side: 1 | -1;
  readonly bank_rad: number;
  /** Change of heading, without its sign. */
  readonly heading_rad: number;
}

/** Turning: banked by more than this, meant over so long to each side; at least so far. */
const [TURNING_RAD, AVERAGE_S, LEAST_RAD] = [radians(10), 1, radians(40)];
/** Steady bank: the level that this share of the turn's bank lies under: smoothing blunts its top. */
const STEADY_SHARE = 0.62;
/** It begins where this share of the steady bank is passed; the time from there to three quarters is half of it. */
const [ENDS_SHARE, INNER_SHARE] = [0.25, 0.75];
/** At one fix a second smoothing has made the roll longer by so much, s. */
const BLUNT_S = 0.3;

/** Value of a column at a time, between fixes. */
export function valueAt(time_s: Float64Array, values: Float64Array, at_s: number): number {
  let [low, high] = [0, time_s.length - 1];
  if (at_s <= time_s[0]) return values[0];
  if (at_s >= time_s[high]) return values[high];
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (time_s[middle] <= at_s) low = middle;
    else high = middle;
  }
  const share = (at_s - time_s[low]) / (time_s[high] - time_s[low]);
  return values[low] + share * (values[high] - values[low]);
}

/** Time at which a column passes a level, going outwards from an index. */
function passes(
  time_s: Float64Array,
  values: Float64Array,
  side: 1 | -1,
  from: number,
  step: 1 | -1,
  level: number,
): number {
  let i = from;
  while (i + step >= 0 && i + step < values.length && values[i + step] * side > level) i += step;
  const next = i + step;
  if (next < 0 || next >= values.length) return time_s[i];
  const share = (values[i] * side - level) / Math.max((values[i] - values[next]) * side, 1e-9);
  return time_s[i] + Math.min(Math.max(share, 0), 1) * (time_s[next] - time_s[i]);
}

/** Finds the turns of a stretch in the air. */
export function turns({ time_s, bank_rad, course_rad, log }: Flown): Turn[] {
  const mean = averaged(time_s, bank_rad, AVERAGE_S);
  const found: Turn[] = [];
  for (let i = 0; i < mean.length; i += 1) {
    if (Math.abs(mean[i]) <= TURNING_RAD) continue;
    const side = mean[i] > 0 ? 1 : -1;
    let end = i;
    while (end + 1 < mean.length && mean[end + 1] * side > TURNING_RAD) end += 1;
    const inside = mean.slice(i, end + 1).map((value) => value * side);
    const steady = inside.slice().sort()[Math.min(Math.floor(STEADY_SHARE * inside.length), inside.length - 1)];
    const top = i + inside.indexOf(inside.reduce((most, value) => Math.max(most, value), 0));
    const firstOver = (share: number, step: 1 | -1) => {
      // From the first fix, and from the last, that is as banked as in the steady part.
      let k = step === -1 ? i : end;
      while (k !== top && bank_rad[k] * side < INNER_SHARE * steady) k -= step;
      return passes(time_s, bank_rad, side, k, step, share * steady);
    };
    const half = (step: 1 | -1) => Math.abs(firstOver(ENDS_SHARE, step) - firstOver(INNER_SHARE, step)) / 2;
    const blunt = Math.min(log.interval_s, 1) * BLUNT_S;
    const from_s = firstOver(ENDS_SHARE, -1) - Math.max(half(-1) - blunt, 0);
    const to_s = firstOver(ENDS_SHARE, 1) + Math.max(half(1) - blunt, 0);
    const heading_rad = Math.abs(valueAt(time_s, course_rad, to_s) - valueAt(time_s, course_rad, from_s));
    if (heading_rad >= LEAST_RAD) found.push({ from_s, to_s, side, bank_rad: steady, heading_rad });
    i = end;
  }
  return found;
}
