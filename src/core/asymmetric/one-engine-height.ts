// One of two engines has stopped and the other runs: whether it holds height, and how long the way down to a height is
// when it does not.
import { asymmetricCase } from "./anchored-case";
import type { AsymmetricQuestion } from "./asymmetric-question";
import { mendedOf } from "./climb-by-height";
import { steadySpeeds } from "./one-engine-climb";
import { type Outcome, success } from "../outcome";

/** Height on one engine. */
export interface OneEngineHeight {
  /** Best rate at the present altitude as configured, negative descends; and its speed, equivalent. */
  readonly climb_mps: number;
  readonly eas_mps: number;
  /**
   * Best rate here once flap, gear and openings are away and the propeller gives least drag, m/s; null where it climbs
   * as configured.
   */
  readonly mended_mps: number | null;
  /** Altitude at which the drift-down ends; null when it climbs here or does not level off above the lower height. */
  readonly levelsOff_m: number | null;
  /** Down to the lower height; null when it never gets there. */
  readonly time_s: number | null;
}

/**
 * Heights between here and there at which the rate is asked for; between them it is taken as straight, which the
 * thinning of air nearly is.
 */
const NODES = 9;

/**
 * What one engine makes of the height at hand.
 *
 * Best rate of climb without sideslip at nine altitudes from here down; the time is ∫dh/rate over what descends.
 *
 * @param low_m - altitude that the way down is counted to
 * @returns failures of the case
 */
export function oneEngineHeight(question: AsymmetricQuestion, low_m: number): Outcome<OneEngineHeight> {
  const { altitude_m } = question;
  const rates: { altitude_m: number; climb_mps: number }[] = [];
  let eas_mps = 0;
  for (let i = 0; i < NODES; i += 1) {
    const at_m = altitude_m - (Math.max(altitude_m - low_m, 0) * i) / (NODES - 1);
    const flight = asymmetricCase({ ...question, altitude_m: at_m });
    if (!flight.ok) return flight;
    const speeds = steadySpeeds(flight.value);
    if (!speeds.ok) return speeds;
    const best = speeds.value.rate;
    if (i === 0) eas_mps = best.eas_mps;
    rates.push({ altitude_m: at_m, climb_mps: best.climb_mps });
    if (best.climb_mps >= 0) break;
  }
  const [first] = rates;
  const last = rates[rates.length - 1];
  const height = {
    climb_mps: first.climb_mps,
    eas_mps,
    mended_mps: first.climb_mps >= 0 ? null : mendedRate_mps(question),
  };
  if (first.climb_mps >= 0) return success({ ...height, levelsOff_m: null, time_s: null });
  if (last.climb_mps >= 0) {
    const before = rates[rates.length - 2];
    return success({
      ...height,
      levelsOff_m:
        before.altitude_m +
        ((last.altitude_m - before.altitude_m) * before.climb_mps) / (before.climb_mps - last.climb_mps),
      time_s: null,
    });
  }
  let time_s = 0;
  for (let i = 1; i < rates.length; i += 1) {
    const [high, low] = [rates[i - 1], rates[i]];
    // Mean of 1/rate between two rates of one sign, the logarithmic mean; equal rates have none.
    const [a, b] = [-high.climb_mps, -low.climb_mps];
    const mean = Math.abs(a - b) < 1e-6 ? a : (a - b) / Math.log(a / b);
    time_s += (high.altitude_m - low.altitude_m) / mean;
  }
  return success({ ...height, levelsOff_m: null, time_s });
}

/** Best rate of the aeroplane mended; null where no speed can be held straight. */
function mendedRate_mps(question: AsymmetricQuestion): number | null {
  const flight = asymmetricCase(mendedOf(question));
  const speeds = flight.ok ? steadySpeeds(flight.value) : flight;
  return speeds.ok ? speeds.value.rate.climb_mps : null;
}
