import { type Outcome, success } from "../outcome";
import type { Obstacle } from "../situation/take-off-plan";
import { type Accelerate, accelerate, balancedFailure_mps } from "./accelerate";
import { type Phases, phases } from "./phases";
import { type ReturnHeight, returnHeight } from "./return-height";
import { type TakeOffDay, type TakeOffQuestion, takeOffDay } from "./take-off-day";

/** Everything about one take-off: what the stage and the calculation both tell of. */
export interface WholeTakeOff {
  readonly day: TakeOffDay;
  /** Failure speed at which stopping and going take the same distance. */
  readonly balanced_mps: number;
  /** For the plan's failure on the runway: its own, at rotation, or for jets the balanced one. */
  readonly accelerate: Accelerate;
  readonly phases: Phases;
  readonly back: ReturnHeight;
}

/**
 * Computes a take-off.
 *
 * @param ground - what stands ahead besides the plan's obstacles
 * @returns failures of the day, the roll and the phases
 */
export function wholeTakeOff(question: TakeOffQuestion, ground: readonly Obstacle[] = []): Outcome<WholeTakeOff> {
  const day = takeOffDay(question);
  if (!day.ok) return day;
  const balanced = balancedFailure_mps(day.value);
  if (!balanced.ok) return balanced;
  const outcome = accelerate(
    day.value,
    question.plan.failure_mps ?? (day.value.jet ? balanced.value : day.value.speeds.rotation_mps),
  );
  if (!outcome.ok) return outcome;
  const by = phases(day.value, ground);
  if (!by.ok) return by;
  const { path } = outcome.value;
  return success({
    day: day.value,
    balanced_mps: balanced.value,
    accelerate: outcome.value,
    phases: by.value,
    back: returnHeight(day.value, path?.climbs ? path : by.value.both),
  });
}
