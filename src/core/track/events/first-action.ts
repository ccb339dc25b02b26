// When the pilot did something after the engine stopped, as far as the log shows it.
import { radians } from "../../quantities/angle";
import { type Figure, figure, unknown } from "../figure";
import type { Flown } from "../flown";
import { indexAt } from "../clean/index-at";

/** An action: the attitude has moved by so much from where it was. */
const [ROLL_RAD, PITCH_RAD] = [radians(6), radians(2.5)];
/** Without an attitude: banked by so much. */
const BANK_RAD = radians(8);
/** Looked for so long, s. */
const LONGEST_S = 20;
/** The path bends down by at least so much, m/s². */
const BEND_MPS2 = 0.4;

/**
 * The delay from a moment to the first action.
 *
 * @returns seconds; not knowable where the path shows no change
 */
export function firstAction({ time_s, bank_rad, climb_mps, log, has }: Flown, from_s: number): Figure {
  const first = indexAt(time_s, from_s);
  const { roll_rad, pitch_rad } = log.columns;
  const end_s = from_s + LONGEST_S;
  if (has.attitude && roll_rad) {
    const moved = (values: Float64Array | undefined, i: number, by: number) =>
      values ? Math.abs(values[i] - values[first]) / by : 0;
    const share = (i: number) => Math.max(moved(roll_rad, i, ROLL_RAD), moved(pitch_rad, i, PITCH_RAD));
    let half = first;
    for (let i = first; i < time_s.length && time_s[i] < end_s; i += 1) {
      if (share(i) < 0.5) half = i;
      // It began as much before half of the movement as half of it took.
      if (share(i) > 1) {
        const began_s = Math.max(2 * time_s[half] - time_s[i], from_s, time_s[half] - 1);
        return figure(began_s - from_s, 0.3 + log.interval_s / 3, "attitude");
      }
    }
    return unknown("Nothing was done within 20 s that the attitude shows.");
  }
  let [bend, steepest, banked] = [NaN, BEND_MPS2, NaN];
  for (let i = first; i + 1 < time_s.length && time_s[i] < end_s; i += 1) {
    const down = (climb_mps[i] - climb_mps[i + 1]) / (time_s[i + 1] - time_s[i]);
    if (down > steepest) [bend, steepest] = [(time_s[i] + time_s[i + 1]) / 2, down];
    if (Number.isNaN(banked) && Math.abs(bank_rad[i]) > BANK_RAD) banked = time_s[i];
    if (!Number.isNaN(banked)) break;
  }
  const at_s = Math.min(Number.isNaN(bend) ? Infinity : bend, Number.isNaN(banked) ? Infinity : banked);
  if (!Number.isFinite(at_s)) return unknown("A delay shows only where the path changes: it went on as before.");
  return figure(at_s - from_s, has.airspeed ? 0.6 : 0.9, "position", has.pressure ? "pressure height" : "GPS height");
}
