import { bisect } from "../numeric/bisect";
import { type Outcome, success } from "../outcome";
import { type RollState, braked, rollOn, standing, tasOnRunway } from "./ground-roll";
import type { TakeOffDay } from "./take-off-day";
import { PATH_TOP_M, type TakeOffPath, toRotation, takeOffPath } from "./take-off-path";

/**
 * Accelerate, and stop or go, when an engine stops at a speed on the runway. Distances are from the beginning of the
 * runway.
 */
export interface Accelerate {
  readonly failure_mps: number;
  /** Equivalent airspeed when the first action comes. */
  readonly action_mps: number;
  readonly failureX_m: number;
  readonly actionX_m: number;
  readonly stopX_m: number;
  /** Runway left after the stop; negative runs off the end. */
  readonly stopSpare_m: number;
  /** Where the screen is passed on one engine; null when it never is. */
  readonly goX_m: number | null;
  /** Runway left at the screen. */
  readonly goSpare_m: number | null;
  /** The way on one engine; null when it does not even come to rotation. */
  readonly path: TakeOffPath | null;
}

/**
 * Both for a failure at an equivalent airspeed, up to rotation.
 *
 * @param top_m - the way on is flown no farther than to this height
 * @returns failures of the roll
 */
export function accelerate(day: TakeOffDay, failure_mps: number, top_m = PATH_TOP_M): Outcome<Accelerate> {
  const { question } = day;
  const failTas_mps = tasOnRunway(day, failure_mps);
  const failed = rollOn(day, standing(day), 2, (state) => failTas_mps - state.tas_mps);
  if (!failed.ok) return failed;
  const acted = reacted(day, failed.value);
  const stop = braked(day, acted);
  const scale = failure_mps / failTas_mps;
  const rotating = rollOn(day, failed.value, 1, toRotation(day));
  const path = rotating.ok
    ? takeOffPath(day, rotating.value, { kind: "on-runway", time_s: failed.value.time_s }, 0, top_m)
    : null;
  const screen = path?.events.find((event) => event.kind === "screen")?.point ?? null;
  return success({
    failure_mps,
    action_mps: acted.tas_mps * scale,
    failureX_m: failed.value.x_m,
    actionX_m: acted.x_m,
    stopX_m: stop.x_m,
    stopSpare_m: (question.runway.takeOff?.asda_m ?? question.runway.length_m) - stop.x_m,
    goX_m: screen && screen.x_m,
    goSpare_m: screen && (question.runway.takeOff?.toda_m ?? question.runway.length_m) - screen.x_m,
    path,
  });
}

/** Rolls on with one engine until the first action. Where one engine no longer accelerates it, it keeps its speed. */
function reacted(day: TakeOffDay, from: RollState): RollState {
  const { recognition_s } = day.question.plan;
  const rolled = rollOn(day, from, 1, (state) => from.time_s + recognition_s - state.time_s);
  return rolled.ok
    ? rolled.value
    : { ...from, x_m: from.x_m + from.tas_mps * recognition_s, time_s: from.time_s + recognition_s };
}

/** Halvings that settle the balanced speed within a hundredth of a metre a second. */
const HALVINGS = 12;
/** Lowest failure speed that is looked at, over rotation. */
const SLOWEST = 0.5;

/**
 * The failure speed at which stopping and going take the same distance.
 *
 * @returns rotation speed when stopping from there is shorter still; failures of the roll
 */
export function balancedFailure_mps(day: TakeOffDay): Outcome<number> {
  const longer = (failure_mps: number): Outcome<number> => {
    // Going is over at the screen: what the path does beyond is not asked here.
    const outcome = accelerate(day, failure_mps, day.screen_m);
    return outcome.ok ? success(outcome.value.stopX_m - (outcome.value.goX_m ?? Infinity)) : outcome;
  };
  const { rotation_mps } = day.speeds;
  const fromRotation = longer(rotation_mps);
  if (!fromRotation.ok) return fromRotation;
  if (fromRotation.value <= 0) return success(rotation_mps);
  let issue: Outcome<number> | null = null;
  const { low, high } = bisect(
    (failure_mps) => {
      const outcome = longer(failure_mps);
      if (!outcome.ok) issue = outcome;
      return outcome.ok && outcome.value <= 0;
    },
    SLOWEST * rotation_mps,
    rotation_mps,
    HALVINGS,
  );
  return issue ?? success((low + high) / 2);
}
