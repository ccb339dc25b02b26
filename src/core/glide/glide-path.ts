// The path from here to a landing point: reaction, then turn–straight–turn to a final (optionally by way of a key
// position), with its account in height. Works in a local plane whose y axis is the plane's north; wind and headings
// are in that frame. Not here: which landing point (runway ends come from the caller), drawing, units.
import { assertNever, failure, success, type Issue, type Outcome } from "../outcome";
import { abeamCircuit } from "./abeam-circuit";
import { type DescentIntegrals, type IntegralsAt } from "./descent-integrals";
import { type Pose, WORDS, type Word, turnSigns } from "./dubins";
import { type LegPerformance, type SolvedLeg, solveLeg } from "./glide-leg";
import { radiusChange } from "./turn-arc";

/** The accounts of the height ledger. */
export type Account = "reaction" | "turn" | "straight" | "attempt" | "approach" | "reserve";

/** One block of the ledger, in the order in which it is spent. */
export interface LedgerEntry {
  readonly account: Account;
  readonly name: string;
  readonly height_m: number;
  readonly time_s: number;
}

/** A key position to pass on the way: over the landing point along the runway, or abeam it on a downwind. */
export type KeyChoice = "none" | "overhead-left" | "overhead-right" | "abeam-left" | "abeam-right";

/** What the pilot decides and can do. */
export interface PathChoices {
  readonly reaction_s: number;
  readonly reserve_m: number;
  /** Straight final over the ground. */
  readonly final_m: number;
  readonly key: KeyChoice;
}

/** A glide path problem in a plane. */
export interface PathProblem {
  /** What is flown: a glide, or an autorotation. */
  readonly performance: LegPerformance;
  readonly integrals: DescentIntegrals;
  readonly start: Pose & { readonly altitude_m: number };
  /** Aim point with the landing direction. */
  readonly target: Pose & { readonly altitude_m: number };
  readonly choices: PathChoices;
}

/** One way to the landing point. */
export interface GlidePath {
  /** One word without a key position, two with. */
  readonly words: readonly Word[];
  readonly legs: readonly SolvedLeg[];
  /** Ground position at the end of the reaction and, with a key, at the key. */
  readonly legStarts: readonly (Pose & { readonly altitude_m: number })[];
  readonly ledger: readonly LedgerEntry[];
  readonly have_m: number;
  /** Height used without the reserve. */
  readonly used_m: number;
  /** What is left over the target after the reserve; negative: short by so much. */
  readonly margin_m: number;
  readonly time_s: number;
}

/** A way that does not exist, and why. */
export interface FailedWay {
  readonly words: readonly Word[];
  readonly issue: Issue;
}

/** All ways, the best first. */
export interface PathSearch {
  readonly paths: readonly GlidePath[];
  readonly failed: readonly FailedWay[];
}

/** How far below zero the first turn from a key may come out. From a key that is 200 m too low it is about 0.1 rad. */
const KEY_SLACK_RAD = 0.3;

const SCRATCH_A: IntegralsAt = { time_m: 0, east_m2ps: 0, north_m2ps: 0 };
const SCRATCH_B: IntegralsAt = { time_m: 0, east_m2ps: 0, north_m2ps: 0 };

/**
 * Searches all ways from a start to a landing point.
 *
 * @returns paths by falling margin, and the ways that do not exist with the reason; a failure when no way exists at all
 *   (`wind_exceeds_airspeed`, `word_impossible`, `turn_flips`, `not_settled`) or a choice is out of range
 */
export function searchPaths(problem: PathProblem): Outcome<PathSearch> {
  const { choices, performance } = problem;
  if (!(choices.reaction_s >= 0 && choices.final_m >= 0 && choices.reserve_m >= 0))
    return failure("choice_negative", "Reaction, final and reserve are zero or more.", "choices");
  const afterReaction = react(problem);
  const paths: GlidePath[] = [];
  const failed: FailedWay[] = [];
  const key = keyPose(problem);
  for (const first of WORDS) {
    const leg = solveLeg(
      {
        performance,
        integrals: problem.integrals,
        start: afterReaction,
        arrival: key ?? problem.target,
        final_m: key ? 0 : choices.final_m,
      },
      first,
    );
    if (!leg.ok) {
      failed.push({ words: [first], issue: leg.issue });
      continue;
    }
    if (!key) {
      paths.push(accountOf(problem, [leg.value], [afterReaction]));
      continue;
    }
    const atKey = { ...key, heading_rad: leg.value.finalHeading_rad, altitude_m: leg.value.altitudes_m[4] };
    // From a key the circuit goes one way round: both turns to its own side.
    const second: Word = choices.key.endsWith("left") ? "LSL" : "RSR";
    const rest = solveLeg(
      {
        performance,
        integrals: problem.integrals,
        start: atKey,
        arrival: problem.target,
        final_m: choices.final_m,
        slack_rad: KEY_SLACK_RAD,
      },
      second,
    );
    if (rest.ok) paths.push(accountOf(problem, [leg.value, rest.value], [afterReaction, atKey]));
    else failed.push({ words: [first, second], issue: rest.issue });
  }
  if (paths.length === 0) return { ok: false, issue: failed[0].issue };
  return success({ paths: paths.sort((a, b) => b.margin_m - a.margin_m), failed });
}

/** Straight on along the heading while the pilot takes in what has happened. */
function react({ performance, integrals, start, choices }: PathProblem): Pose & { altitude_m: number } {
  if (choices.reaction_s === 0) return start;
  const { straightSinkEas_mps, straightRatio } = performance;
  const sink = straightSinkEas_mps / integrals.rootSigmaAt(start.altitude_m);
  const energy_m = choices.reaction_s * sink;
  const altitude_m = integrals.descend(start.altitude_m, energy_m);
  const air_m = energy_m * straightRatio;
  integrals.at(start.altitude_m, SCRATCH_A);
  integrals.at(altitude_m, SCRATCH_B);
  return {
    heading_rad: start.heading_rad,
    altitude_m,
    x_m:
      start.x_m +
      air_m * Math.sin(start.heading_rad) +
      (SCRATCH_A.east_m2ps - SCRATCH_B.east_m2ps) / straightSinkEas_mps,
    y_m:
      start.y_m +
      air_m * Math.cos(start.heading_rad) +
      (SCRATCH_A.north_m2ps - SCRATCH_B.north_m2ps) / straightSinkEas_mps,
  };
}

/** Where the key lies over the ground and which way it is passed; null without a key. */
function keyPose({ target, choices, integrals, performance }: PathProblem): Pose | null {
  switch (choices.key) {
    case "none":
      return null;
    case "overhead-left":
    case "overhead-right":
      return target;
    case "abeam-left":
    case "abeam-right": {
      // Worked back from the landing point; where the wind leaves no circuit, one turn's width to the side.
      const circuit = abeamCircuit({
        performance,
        integrals,
        target,
        final_m: choices.final_m,
        side: choices.key === "abeam-left" ? "left" : "right",
      });
      if (circuit.ok)
        return {
          x_m: circuit.value.start.x_m,
          y_m: circuit.value.start.y_m,
          heading_rad: target.heading_rad + Math.PI,
        };
      const width = (2 * performance.turnRadiusSeaLevel_m) / integrals.rootSigmaAt(target.altitude_m) ** 2;
      const side = choices.key === "abeam-left" ? -1 : 1;
      return {
        x_m: target.x_m + side * width * Math.cos(target.heading_rad),
        y_m: target.y_m - side * width * Math.sin(target.heading_rad),
        heading_rad: target.heading_rad + Math.PI,
      };
    }
    default:
      return assertNever(choices.key);
  }
}

/** The account of legs flown one after the other. */
export function accountOf(
  { start, target, choices }: PathProblem,
  legs: readonly SolvedLeg[],
  legStarts: GlidePath["legStarts"],
): GlidePath {
  const ledger: LedgerEntry[] = [
    {
      account: "reaction",
      name: "Reaction",
      height_m: start.altitude_m - legStarts[0].altitude_m,
      time_s: choices.reaction_s,
    },
  ];
  let turn = 0;
  let straight = 0;
  legs.forEach((leg, i) => {
    const drop = (joint: number) => leg.altitudes_m[joint - 1] - leg.altitudes_m[joint];
    ledger.push({ account: "turn", name: `Turn ${(turn += 1)}`, height_m: drop(1), time_s: leg.times_s[0] });
    straight += 1;
    ledger.push({
      account: "straight",
      name: legs.length === 1 ? "Straight" : `Straight ${straight}`,
      height_m: drop(2),
      time_s: leg.times_s[1],
    });
    ledger.push({ account: "turn", name: `Turn ${(turn += 1)}`, height_m: drop(3), time_s: leg.times_s[2] });
    if (i === legs.length - 1)
      ledger.push({ account: "approach", name: "Final", height_m: drop(4), time_s: leg.times_s[3] });
  });
  ledger.push({ account: "reserve", name: "Reserve", height_m: choices.reserve_m, time_s: 0 });
  const have_m = start.altitude_m - target.altitude_m;
  const arrival_m = legs[legs.length - 1].altitudes_m[4] - target.altitude_m;
  return {
    words: legs.map((leg) => leg.word),
    legs,
    legStarts,
    ledger,
    have_m,
    used_m: have_m - arrival_m,
    margin_m: arrival_m - choices.reserve_m,
    time_s: ledger.reduce((sum, entry) => sum + entry.time_s, 0),
  };
}

/** A point along a path, over the ground. */
export interface PathPoint {
  readonly x_m: number;
  readonly y_m: number;
  readonly altitude_m: number;
  readonly time_s: number;
  /** Index into the ledger: which block of height is being spent. */
  readonly entry: number;
}

/** Turns are drawn in steps of this, rad; straights in steps of this length, m. */
const TURN_STEP_RAD = Math.PI / 24;
const STRAIGHT_STEP_M = 100;

/** Spacing for paths that are only drawn, m: ends out of reach lie far away. */
export const DRAWING_STEP_M = 800;

/**
 * Points along a path.
 *
 * @param straightStep_m - greatest distance between points on straights; the default is dense enough to check against
 *   terrain
 */
export function pathPoints(
  problem: PathProblem,
  path: GlidePath,
  straightStep_m: number = STRAIGHT_STEP_M,
): PathPoint[] {
  const { performance, integrals, start } = problem;
  const points: PathPoint[] = [];
  let time_s = 0;
  let entry = 0;

  // A segment in the air mass: where it is after a share of its height, then drifted by the wind over that height.
  const trace = (
    from: { x_m: number; y_m: number; altitude_m: number },
    to_m: number,
    sinkEas: number,
    steps: number,
    airAt: (share: number) => { x: number; y: number },
  ) => {
    const origin = { time_m: 0, east_m2ps: 0, north_m2ps: 0 };
    const here = { time_m: 0, east_m2ps: 0, north_m2ps: 0 };
    integrals.at(from.altitude_m, origin);
    let last = from;
    const began = time_s;
    const energy_m = integrals.energyAt(from.altitude_m) - integrals.energyAt(to_m);
    for (let i = points.length === 0 ? 0 : 1; i <= steps; i += 1) {
      const share = i / steps;
      const altitude_m = i === steps ? to_m : integrals.descend(from.altitude_m, share * energy_m);
      integrals.at(altitude_m, here);
      const air = airAt(share);
      last = {
        x_m: from.x_m + air.x + (origin.east_m2ps - here.east_m2ps) / sinkEas,
        y_m: from.y_m + air.y + (origin.north_m2ps - here.north_m2ps) / sinkEas,
        altitude_m,
      };
      time_s = began + (origin.time_m - here.time_m) / sinkEas;
      points.push({ ...last, time_s, entry });
    }
    entry += 1;
    return last;
  };
  const along = (heading: number, length: number) => (share: number) => ({
    x: share * length * Math.sin(heading),
    y: share * length * Math.cos(heading),
  });
  const around = (heading: number, sign: number, radius: number, slope: number, angle: number) => (share: number) => {
    const now = heading + sign * share * angle;
    const bend = radiusChange(heading, sign, slope, angle, share * angle, { x_m: 0, y_m: 0 });
    return {
      x: sign * radius * (Math.cos(heading) - Math.cos(now)) + bend.x_m,
      y: sign * radius * (Math.sin(now) - Math.sin(heading)) + bend.y_m,
    };
  };
  const steps = (length: number, step: number) => Math.max(1, Math.ceil(length / step));

  const first = path.legStarts[0];
  const reactionAir =
    (integrals.energyAt(start.altitude_m) - integrals.energyAt(first.altitude_m)) * performance.straightRatio;
  let point: { x_m: number; y_m: number; altitude_m: number } = trace(
    start,
    first.altitude_m,
    performance.straightSinkEas_mps,
    steps(reactionAir, straightStep_m),
    along(start.heading_rad, reactionAir),
  );
  path.legs.forEach((leg, i) => {
    const [sign1, sign2] = turnSigns(leg.word);
    const heading = path.legStarts[i].heading_rad;
    point = trace(
      point,
      leg.altitudes_m[1],
      performance.turnSinkEas_mps,
      steps(leg.turn1_rad, TURN_STEP_RAD),
      around(heading, sign1, leg.radius1_m, leg.radiusSlope1_mprad, leg.turn1_rad),
    );
    point = trace(
      point,
      leg.altitudes_m[2],
      performance.straightSinkEas_mps,
      steps(leg.straight_m, straightStep_m),
      along(leg.straightHeading_rad, leg.straight_m),
    );
    point = trace(
      point,
      leg.altitudes_m[3],
      performance.turnSinkEas_mps,
      steps(leg.turn2_rad, TURN_STEP_RAD),
      around(leg.straightHeading_rad, sign2, leg.radius2_m, leg.radiusSlope2_mprad, leg.turn2_rad),
    );
    if (i === path.legs.length - 1)
      point = trace(
        point,
        leg.altitudes_m[4],
        performance.straightSinkEas_mps,
        steps(leg.finalAir_m, straightStep_m),
        along(leg.finalHeading_rad, leg.finalAir_m),
      );
  });
  return points;
}
