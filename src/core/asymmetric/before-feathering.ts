import { type Outcome, success } from "../outcome";
import type { LedgerQuestion } from "./climb-ledger";
import { bestPropeller, climbLedger } from "./climb-ledger";

/** What waiting with the propeller costs. */
export interface BeforeFeathering {
  /** Height by which it is lower than had the propeller been feathered at once, m. */
  readonly cost_m: number;
  /** Height gained (or lost, negative) meanwhile, m. */
  readonly gained_m: number;
}

/**
 * The propeller of an engine that stops goes over from thrust to full drag in about twice this time, s. Common
 * practice.
 */
const SPIN_DOWN_S = 3;
/** Step of the sum, s. */
const STEP_S = 0.1;

/**
 * Height lost before feathering, summed over the time in which the dead propeller's drag comes up.
 *
 * About (N − 3 s)·(RoC,feathered − RoC,windmilling) once N is more than the drag takes to come up.
 *
 * @param question - as the engine has failed, its propeller not feathered
 * @param wait_s - from the failure until it is feathered, 0…600
 * @returns failures of the ledger
 */
export function beforeFeathering(question: LedgerQuestion, wait_s: number): Outcome<BeforeFeathering> {
  const windmilling = climbLedger(question);
  if (!windmilling.ok) return windmilling;
  const feathered = climbLedger({ ...question, deadPropeller: bestPropeller(question) });
  if (!feathered.ok) return feathered;
  const [worst, best] = [windmilling.value.left_mps, feathered.value.left_mps];
  let [cost_m, gained_m] = [0, 0];
  for (let time_s = 0; time_s < wait_s; time_s += STEP_S) {
    const step = Math.min(STEP_S, wait_s - time_s);
    const drag = Math.min((time_s + step / 2) / (2 * SPIN_DOWN_S), 1);
    cost_m += drag * (best - worst) * step;
    gained_m += (best + drag * (worst - best)) * step;
  }
  return success({ cost_m, gained_m });
}
