// What a situation asks about a restart: from where checking ends, and everything the budget needs.
import { isUsable } from "../landing/site-verdict";
import type { Aeroplane } from "../aircraft/aeroplane";
import { type Site } from "../landing/sites";
import { M_PER_FT } from "../quantities/constants";
import { plannedReaction_s } from "../situation/pilot-practice";
import type { SituationDocument } from "../situation/situation-document";
import { causeFlow, flowFor } from "./cause-flow";
import { type RestartQuestion, oneEngineOf } from "./restart-budget";

/** Without a landing in reach checking ends this far above the ground. Common practice. */
export const COMMIT_ABOVE_M = 1000 * M_PER_FT;
/** However much is in hand, checking ends no lower than this above the ground, m. */
const LEAST_ABOVE_M = 30;

/** Where the commit height comes from. */
export interface Commit {
  readonly altitude_m: number;
  readonly from: "set" | "landing" | "ground" | "one-engine";
  /** The landing end whose plan needs that height. */
  readonly end: string | null;
}

/**
 * The commit height: set, or 1,000 ft above the ground where one engine never comes down to that, or what the planned
 * landing needs from here, or again 1,000 ft above the ground.
 *
 * @param site - the place that is planned for; null without one
 * @param ground_m - above the sea below the aeroplane
 */
export function commitHeight(
  situation: RestartSituation,
  aircraft: Aeroplane,
  site: Site | null,
  ground_m: number,
): Commit {
  const { altitude_m } = situation;
  const set_m = situation.restart.commit_m;
  if (set_m !== null) return { altitude_m: set_m, from: "set", end: null };
  const oneEngine = oneEngineOf(restartQuestion(situation, aircraft, ground_m + COMMIT_ABOVE_M, ground_m));
  if (oneEngine?.ok && oneEngine.value.time_s === null)
    return { altitude_m: ground_m + COMMIT_ABOVE_M, from: "one-engine", end: null };
  const margin_m = site && isUsable(site.verdict) ? (site.reach.path?.margin_m ?? 0) : 0;
  if (site && margin_m > 0)
    return {
      altitude_m: Math.max(altitude_m - margin_m, ground_m + LEAST_ABOVE_M),
      from: "landing",
      end: site.end.name,
    };
  return { altitude_m: ground_m + COMMIT_ABOVE_M, from: "ground", end: null };
}

/** The parts of a situation that a restart depends on. */
export type RestartSituation = Pick<
  SituationDocument,
  "mass_kg" | "centreOfGravity" | "configuration" | "air" | "altitude_m" | "pilot" | "restart"
>;

/** The question of the budget. */
export function restartQuestion(
  { mass_kg, centreOfGravity, configuration, air, altitude_m, pilot, restart }: RestartSituation,
  aircraft: Aeroplane,
  commit_m: number,
  ground_m: number,
): RestartQuestion {
  return {
    aircraft,
    mass_kg,
    configuration,
    air,
    altitude_m,
    commit_m,
    ground_m,
    reaction_s: plannedReaction_s(pilot),
    stopped: restart.stopped,
    centreOfGravity,
    flow: flowFor(causeFlow(aircraft), restart.symptom),
  };
}
