// What the Landing and Restart stages ask of the worker beside the paths. No formulas here.
import type { LatLon } from "@/core/earth/geodesic";
import type { TerrainGrid } from "@/core/earth/terrain";
import { type ApproachKeys, approachKeys } from "@/core/landing/approach-keys";
import type { LandingEnd } from "@/core/landing/landing-end";
import {
  type OneEngineApproach,
  type OneEngineApproachQuestion,
  oneEngineApproach,
} from "@/core/landing/one-engine-approach";
import { reachOf } from "@/core/landing/reach";
import type { EndReach } from "@/core/landing/way-to-end";
import type { ReachQuestion } from "@/core/landing/reach-question";
import { type Shores, shoresAbout } from "@/core/landing/shore";
import { type RotorEnd, type RotorReachQuestion, rotorReach } from "@/core/landing/rotor-reach";
import { rotorWorking } from "@/core/landing/rotor-working";
import { type Outcome, success } from "@/core/outcome";
import type { WorkingStep } from "@/core/working";
import { type MinutesLeft, type MinutesQuestion, minutesLeft } from "@/core/restart/minutes-left";

/** The part of the worker that landings ask. */
export function landingWork(terrain: () => TerrainGrid | null) {
  return {
    landingKeys: (question: Omit<ReachQuestion, "ends">, end: LandingEnd, origin: LatLon): Outcome<ApproachKeys> =>
      approachKeys(question, end, origin),

    /** The best way to one end from where the question says; null when there is none. */
    landingWay: (question: ReachQuestion, origin: LatLon): EndReach | null => {
      const outcome = reachOf(question, terrain(), origin);
      return outcome.ok ? outcome.value.ends[0] : null;
    },

    /** Places of a rotorcraft without engines. */
    rotorLanding: (question: RotorReachQuestion, origin: LatLon): Outcome<RotorEnd[]> =>
      rotorReach(question, terrain(), origin),

    rotorWorking(question: RotorReachQuestion, origin: LatLon, endId: string): Outcome<WorkingStep[]> {
      const ends = question.ends.filter(({ id }) => id === endId);
      const found = rotorReach({ ...question, ends }, terrain(), origin);
      return found.ok ? success(rotorWorking(question, found.value[0])) : found;
    },

    oneEngineApproach: (question: OneEngineApproachQuestion): Outcome<OneEngineApproach> => oneEngineApproach(question),

    minutesLeft: (question: MinutesQuestion): Outcome<MinutesLeft> => minutesLeft(question),

    shores: (position: LatLon, headingTrue_rad: number): Shores | null => {
      const grid = terrain();
      return grid && shoresAbout(grid, position, headingTrue_rad);
    },
  };
}
