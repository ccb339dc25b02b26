import { accelerationFactor } from "../glide/acceleration-factor";
import { heldCas_mps } from "../glide/steady-descent";
import { M_PER_FT } from "../quantities/constants";
import { type Outcome, success } from "../outcome";
import { asymmetricCase } from "./anchored-case";
import type { AsymmetricQuestion } from "./asymmetric-question";
import { NO_STEADY_PATH } from "./equilibrium";
import { zeroSideslip } from "./one-engine-climb";

/** A moment of the drift-down. */
export interface DriftdownPoint {
  readonly altitude_m: number;
  readonly time_s: number;
  readonly distance_m: number;
}

/** The way down to where it levels off, or to a height asked for. */
export interface Driftdown {
  readonly points: readonly DriftdownPoint[];
  /** It levelled off before the height asked for: the rate fell to 50 ft/min. */
  readonly levelsOff: boolean;
}

/** Height steps of the midpoint rule, m; a quarter of it moves the time by less than 1e-4. */
const STEP_M = 25;
/** The height above the level-off decays exponentially, so the end is a rate, never "reached". */
const END_MPS = (50 * M_PER_FT) / 60;

/**
 * Drift-down at constant equivalent airspeed, still air.
 *
 * sinγ = [(T − D)/W − decrement]/(1 + AF).
 *
 * @param decrement - of the gradient: 0 gross; 0.011 for the net path of a two-engine transport
 * @returns failures of the case; `no_steady_path` when it drags more than it weighs; a speed that cannot be held ends
 *   the path there
 * @see 14 CFR 25.123 (memory) for the decrement
 */
export function driftdown(
  question: AsymmetricQuestion,
  from_m: number,
  to_m: number,
  eas_mps: number,
  decrement: number,
): Outcome<Driftdown> {
  const points: DriftdownPoint[] = [{ altitude_m: from_m, time_s: 0, distance_m: 0 }];
  let [altitude_m, time_s, distance_m] = [from_m, 0, 0];
  while (altitude_m > to_m) {
    const step = Math.min(STEP_M, altitude_m - to_m);
    const middle = altitude_m - step / 2;
    const flight = asymmetricCase({ ...question, altitude_m: middle });
    if (!flight.ok) return flight;
    const state = zeroSideslip(flight.value, eas_mps);
    if (!state) break;
    const sine =
      (state.sinGamma - decrement) /
      (1 + accelerationFactor(heldCas_mps(eas_mps, middle, question.air), middle, question.air));
    const sink_mps = -sine * state.tas_mps;
    if (!(sine > -1)) return { ok: false, issue: NO_STEADY_PATH };
    if (!(sink_mps > END_MPS)) return success({ points, levelsOff: true });
    time_s += step / sink_mps;
    distance_m += (step * Math.sqrt(1 - sine ** 2)) / -sine;
    altitude_m -= step;
    points.push({ altitude_m, time_s, distance_m });
  }
  return success({ points, levelsOff: false });
}
