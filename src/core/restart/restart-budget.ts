import { z } from "zod";
import { Aeroplane } from "../aircraft/aeroplane";
import type { PropellerState } from "../aircraft/propeller-state";
import { CauseItem } from "../aircraft/cause-item";
import { Configuration } from "../aircraft/configuration";
import { type Polar, polarOf } from "../aircraft/polar";
import type { AirMass } from "../air/altimetry";
import { type SteadyDescent, heldCas_mps, steadyDescent, steadySink_mps } from "../glide/steady-descent";
import { bestGlide, liftCoefficientAt, straightGlide } from "../glide/straight-glide";
import { AFTER_CHECK } from "./cause-flow";
import { oneEngineQuestion } from "../asymmetric/one-engine-question";
import { type OneEngineHeight, oneEngineHeight } from "../asymmetric/one-engine-height";
import { type Outcome, failure, success } from "../outcome";
import { heightInBothUnits } from "../quantities/units";
import { RestartPlan } from "../situation/restart-plan";
import { Pilot, SituationDocument } from "../situation/situation-document";

/** What a budget of height is made of. */
export const RestartQuestion = z.strictObject({
  aircraft: Aeroplane,
  mass_kg: SituationDocument.shape.mass_kg,
  configuration: Configuration,
  air: SituationDocument.shape.air,
  /** Above the sea: of the aeroplane, and the height at which checking ends for good. */
  altitude_m: SituationDocument.shape.altitude_m,
  commit_m: SituationDocument.shape.altitude_m,
  ground_m: SituationDocument.shape.altitude_m,
  reaction_s: Pilot.shape.reaction_s,
  /** Which of two engines; with one running the other holds height as far as it can. */
  stopped: RestartPlan.shape.stopped.default("both"),
  centreOfGravity: SituationDocument.shape.centreOfGravity.default(0.5),
  flow: z.array(CauseItem).max(30, "At most 30 items."),
});
/** @see RestartQuestion */
export type RestartQuestion = z.infer<typeof RestartQuestion>;

/** A dead propeller's sink at best glide. */
export interface PropellerSink {
  readonly state: PropellerState;
  readonly sink_mps: number;
  readonly eas_mps: number;
  readonly ratio: number;
}

/** An item of the flow with its place in the budget. */
export interface BudgetItem {
  readonly item: CauseItem;
  /** Since the failure. */
  readonly from_s: number;
  readonly to_s: number;
  readonly cost_m: number;
  /** Above the sea when it is done. */
  readonly end_m: number;
  readonly fits: boolean;
}

/** How many seconds there are, and what fits into them. */
export interface RestartBudget {
  /** Speed flown: best glide, or best rate on one engine. */
  readonly eas_mps: number;
  /** Rate of descent at the present altitude; not positive when the other engine holds it up. */
  readonly sink_mps: number;
  readonly reaction_m: number;
  /**
   * Height between the reaction and the commit height, none below it; and its time, null when one engine never spends
   * it.
   */
  readonly spend_m: number;
  readonly spend_s: number | null;
  readonly items: readonly BudgetItem[];
  readonly fitting: number;
  readonly whole_s: number;
  /** Above the sea: below this the whole flow does not fit; below the other not even its first item. */
  readonly wholeFrom_m: number;
  readonly landFrom_m: number;
  /** What is done with time to spare once the flow is through, or for engines without one at once. */
  readonly then: readonly BudgetItem[];
  readonly byPropeller: readonly PropellerSink[];
  /** The other engine of two running; null with none. */
  readonly oneEngine: OneEngineHeight | null;
}

/**
 * Turns height into seconds: everything above the commit height, down the steady descent of best glide as configured,
 * or on one engine of two by its climb or drift-down.
 *
 * @returns failures of the polar and of one-engine flight; `commit_below_ground` when checking would go on into the
 *   ground; `under_ground`
 */
export function restartBudget(question: RestartQuestion): Outcome<RestartBudget> {
  const { aircraft, mass_kg, configuration, altitude_m, commit_m, ground_m, flow, reaction_s, air } = question;
  if (!(commit_m > ground_m))
    return failure(
      "commit_below_ground",
      "The commit height is at or below the ground: it must leave height to land with.",
      "commit_m",
    );
  if (altitude_m < ground_m)
    return failure(
      "under_ground",
      `The ground here is at ${heightInBothUnits(ground_m)}: an altitude of ${heightInBothUnits(altitude_m)} is under it.`,
      "altitude_m",
    );
  const configured = polarOf(aircraft, mass_kg, configuration);
  if (!configured.ok) return configured;
  const oneEngine = oneEngineOf(question);
  if (oneEngine && !oneEngine.ok) return oneEngine;
  const running = oneEngine?.value ?? null;
  const best = bestGlide(configured.value.polar);
  const descent = running
    ? heldDescent(running, altitude_m, commit_m)
    : steadyDescent(best, heldCas_mps(best.eas_mps, altitude_m, air), air);
  const afterReaction_m = descent.after_m(altitude_m, reaction_s);
  const spend_m = Math.max(afterReaction_m - commit_m, 0);
  const endless = running !== null && running.time_s === null;
  let at_s = reaction_s;
  const place = (item: CauseItem): BudgetItem => {
    const [from_s, to_s] = [at_s, at_s + item.time_s];
    const end_m = descent.after_m(altitude_m, to_s);
    at_s = to_s;
    return {
      item,
      from_s,
      to_s,
      cost_m: descent.after_m(altitude_m, from_s) - end_m,
      end_m,
      fits: endless || end_m >= commit_m,
    };
  };
  const items = flow.map(place);
  const whole_s = flow.reduce((sum, item) => sum + item.time_s, 0);
  const firstMiss = items.findIndex(({ fits }) => !fits);
  return success({
    eas_mps: running?.eas_mps ?? best.eas_mps,
    sink_mps: descent.sinkAt_mps(altitude_m),
    reaction_m: altitude_m - afterReaction_m,
    spend_m,
    spend_s: endless ? null : spend_m > 0 ? descent.time_s(afterReaction_m, commit_m) : 0,
    items,
    fitting: firstMiss < 0 ? items.length : firstMiss,
    whole_s,
    wholeFrom_m: descent.after_m(commit_m, -(reaction_s + whole_s)),
    landFrom_m: descent.after_m(commit_m, -(reaction_s + (flow[0]?.time_s ?? 0))),
    then: AFTER_CHECK.map(place),
    byPropeller: propellerSinks(aircraft, mass_kg, configuration, altitude_m, air),
    oneEngine: running,
  });
}

/** Height on the engine that runs; null when none does. */
export function oneEngineOf(question: RestartQuestion): Outcome<OneEngineHeight> | null {
  const { aircraft, commit_m, stopped } = question;
  if (stopped === "both" || !aircraft.asymmetric) return null;
  return oneEngineHeight(oneEngineQuestion(aircraft, question, stopped), commit_m);
}

/**
 * One engine's way down at its mean rate between here and the commit height; where it holds height nothing is spent.
 */
function heldDescent(
  { climb_mps, time_s }: OneEngineHeight,
  altitude_m: number,
  commit_m: number,
): Pick<SteadyDescent, "sinkAt_mps" | "after_m" | "time_s"> {
  const mean_mps = time_s === null ? 0 : time_s > 0 ? (altitude_m - commit_m) / time_s : Math.max(-climb_mps, 0);
  return {
    sinkAt_mps: () => -climb_mps,
    after_m: (from_m, during_s) => from_m - mean_mps * during_s,
    time_s: (high_m, low_m) => (mean_mps > 0 ? (high_m - low_m) / mean_mps : 0),
  };
}

const STATES: readonly PropellerState[] = ["windmilling", "stopped", "coarse", "feathered"];

/** Sink at best glide here for each state that the propeller can be in, the worst first. */
export function propellerSinks(
  aircraft: Aeroplane,
  mass_kg: number,
  configuration: Configuration,
  altitude_m: number,
  air: AirMass,
): PropellerSink[] {
  return STATES.flatMap((state) => {
    const configured = polarOf(aircraft, mass_kg, { ...configuration, propeller: state });
    if (!configured.ok) return [];
    const best = bestGlide(configured.value.polar);
    return [
      {
        state,
        sink_mps: steadySink_mps(best.sinkEas_mps, heldCas_mps(best.eas_mps, altitude_m, air), altitude_m, air),
        eas_mps: best.eas_mps,
        ratio: best.ratio,
      },
    ];
  }).sort((a, b) => b.sink_mps - a.sink_mps);
}

/** Sink and path at an equivalent airspeed; null below the stall or beyond a terminal dive. */
export function glideAt(polar: Polar, eas_mps: number): { sinkEas_mps: number; angle_rad: number } | null {
  const cl = liftCoefficientAt(polar, eas_mps);
  return cl === null ? null : straightGlide(polar, cl);
}
