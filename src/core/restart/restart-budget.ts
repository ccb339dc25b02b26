import { z } from "zod";
import { AircraftDocument, type PropellerState } from "../aircraft/aircraft-document";
import { CauseItem } from "../aircraft/cause-item";
import { Configuration } from "../aircraft/configuration";
import { type Polar, polarOf } from "../aircraft/polar";
import { airAtAltitude } from "../air/altimetry";
import { bestGlide, liftCoefficientAt, straightGlide } from "../glide/straight-glide";
import { type Outcome, failure, success } from "../outcome";
import { Pilot, SituationDocument } from "../situation/situation-document";

/** What a budget of height is made of. */
export const RestartQuestion = z.object({
  aircraft: AircraftDocument,
  mass_kg: SituationDocument.shape.mass_kg,
  configuration: Configuration,
  air: SituationDocument.shape.air,
  /** Above the sea: of the aeroplane, and the height at which checking ends for good. */
  altitude_m: SituationDocument.shape.altitude_m,
  commit_m: SituationDocument.shape.altitude_m,
  ground_m: SituationDocument.shape.altitude_m,
  reaction_s: Pilot.shape.reaction_s,
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
  readonly eas_mps: number;
  readonly sink_mps: number;
  readonly reaction_m: number;
  /** Height and time between the reaction and the commit height; none below it. */
  readonly spend_m: number;
  readonly spend_s: number;
  readonly items: readonly BudgetItem[];
  readonly fitting: number;
  readonly whole_s: number;
  /** Above the sea: below this the whole flow does not fit; below the other not even its first item. */
  readonly wholeFrom_m: number;
  readonly flyFeatherLand_m: number;
  readonly byPropeller: readonly PropellerSink[];
}

/**
 * Turns height into seconds: everything above the commit height, at the sink of best glide as configured.
 *
 * The sink is that of the air at the middle height, V_EAS·sinγ/√σ.
 *
 * @returns failures of the polar; `commit_below_ground` when checking would go on into the ground
 */
export function restartBudget(question: RestartQuestion): Outcome<RestartBudget> {
  const { aircraft, mass_kg, configuration, altitude_m, commit_m, ground_m, flow, reaction_s } = question;
  if (!(commit_m > ground_m)) return failure("commit_below_ground", "The commit height is at or below the ground: it must leave height to land with.", "commit_m");
  const found = polarOf(aircraft, mass_kg, configuration);
  if (!found.ok) return found;
  const middle_m = (altitude_m + Math.min(commit_m, altitude_m)) / 2;
  const { sigma } = airAtAltitude(middle_m, question.air);
  const best = bestGlide(found.value.polar);
  const sink_mps = best.sinkEas_mps / Math.sqrt(sigma);
  const reaction_m = sink_mps * reaction_s;
  const spend_m = Math.max(altitude_m - reaction_m - commit_m, 0);
  const items: BudgetItem[] = [];
  let at_s = reaction_s;
  for (const item of flow) {
    const to_s = at_s + item.time_s;
    const end_m = altitude_m - sink_mps * to_s;
    items.push({ item, from_s: at_s, to_s, cost_m: sink_mps * item.time_s, end_m, fits: end_m >= commit_m });
    at_s = to_s;
  }
  const whole_s = flow.reduce((sum, item) => sum + item.time_s, 0);
  const firstMiss = items.findIndex(({ fits }) => !fits);
  return success({
    eas_mps: best.eas_mps, sink_mps, reaction_m, spend_m, spend_s: spend_m / sink_mps, items,
    fitting: firstMiss < 0 ? items.length : firstMiss,
    whole_s,
    wholeFrom_m: commit_m + sink_mps * (reaction_s + whole_s),
    flyFeatherLand_m: commit_m + sink_mps * (reaction_s + (flow[0]?.time_s ?? 0)),
    byPropeller: propellerSinks(aircraft, mass_kg, configuration, sigma),
  });
}

const STATES: readonly PropellerState[] = ["windmilling", "stopped", "coarse", "feathered"];

/** Sink at best glide for each state that the propeller can be in, the worst first. */
export function propellerSinks(aircraft: AircraftDocument, mass_kg: number, configuration: Configuration, sigma: number): PropellerSink[] {
  return STATES.flatMap((state) => {
    const found = polarOf(aircraft, mass_kg, { ...configuration, propeller: state });
    if (!found.ok) return [];
    const best = bestGlide(found.value.polar);
    return [{ state, sink_mps: best.sinkEas_mps / Math.sqrt(sigma), eas_mps: best.eas_mps, ratio: best.ratio }];
  }).sort((a, b) => b.sink_mps - a.sink_mps);
}

/** Sink and path at an equivalent airspeed; null below the stall or beyond a terminal dive. */
export function glideAt(polar: Polar, eas_mps: number): { sinkEas_mps: number; angle_rad: number } | null {
  const cl = liftCoefficientAt(polar, eas_mps);
  return cl === null ? null : straightGlide(polar, cl);
}
