// "Which runway can I make from here?": every landing end and the best glide path to each. Joins the aircraft's polar,
// the air, the wind and the terrain to the path search. Not here: length needed, obstacles, which one to take.
import type { Word } from "../glide/dubins";
import { glidePerformance } from "../glide/glide-performance";
import { type DragShare, type Polar, levelTurnLoadFactor, polarOf, stallSpeed_mps } from "../aircraft/polar";
import { type WindVector, windProfile } from "../air/wind";
import { type LatLon, geodesicBetween } from "../earth/geodesic";
import { type LocalPlane, localPlane } from "../earth/local-plane";
import type { TerrainGrid } from "../earth/terrain";
import type { DescentIntegrals, IntegralsAt } from "../glide/descent-integrals";
import {
  DRAWING_STEP_M,
  type GlidePath,
  type PathPoint,
  type PathProblem,
  pathPoints,
  searchPaths,
} from "../glide/glide-path";
import { type TurnSpeed, turnSpeed } from "../glide/gliding-turn";
import { speedToFly } from "../glide/speed-to-fly";
import { type StraightGlide, bestGlide } from "../glide/straight-glide";
import { type TerrainClearance, terrainClearance } from "../glide/terrain-check";
import { type Issue, type Outcome, success } from "../outcome";
import { calibrated_mps, choicesOf, integralsTo, startIn, targetIn, turnedWind } from "./approach-problem";
import type { LandingEnd } from "./landing-end";
import type { ReachQuestion } from "./reach-question";

/**
 * `reached` with the reserve in hand, `reserve` only by spending it, `short` otherwise; `terrain` when ground is in the
 * way; `none` without a path.
 */
export type ReachStatus = "reached" | "reserve" | "short" | "terrain" | "none";

/** The answer for one landing end. */
export interface EndReach {
  readonly endId: string;
  readonly name: string;
  /** From the aircraft to the aim point: true direction and distance. */
  readonly bearingTrue_rad: number;
  readonly distance_m: number;
  readonly status: ReachStatus;
  readonly issue: Issue | null;
  readonly path: GlidePath | null;
  readonly points: readonly PathPoint[];
  readonly clearance: TerrainClearance | null;
  /** The other ways and what they leave, best first. */
  readonly ways: readonly { readonly words: readonly Word[]; readonly margin_m: number }[];
  readonly failedWays: readonly { readonly words: readonly Word[]; readonly message: string }[];
  readonly glide: StraightGlide | null;
  /** What the airspeed indicator shows in that glide, at the start. */
  readonly glideCalibrated_mps: number | null;
  /** Wind at 10 m over the strip: along the landing direction (tail positive) and from the right positive. */
  readonly tailwind_mps: number;
  readonly crosswind_mps: number;
}

/**
 * The answer for all ends, what can be reached first, each by the height left. Which one to land on is chosen in
 * `landing-choice`.
 */
export interface Reach {
  readonly ends: readonly EndReach[];
  readonly polar: Polar;
  readonly shares: readonly DragShare[];
  readonly best: StraightGlide;
  readonly turn: ReachTurn;
}

/** The turns of every path: speed, and the stall that goes with the bank. */
export interface ReachTurn extends TurnSpeed {
  readonly loadFactor: number;
  readonly stallEas_mps: number;
}

/**
 * Order of the list: what is in reach, then what spends the reserve, then what falls short, then what does not work.
 */
const RANK: Record<ReachStatus, number> = { reached: 0, reserve: 1, short: 2, terrain: 3, none: 4 };

/** From the origin of the plane: farther out it is no map any more, and no aeroplane glides there. */
const FARTHEST_M = 300_000;

/**
 * The ways to every landing end, ranked.
 *
 * @param terrain - ground to clear; null when none is known, then paths are not checked
 * @param origin - of the plane that the points of the paths are in: the terrain's, or any place near
 * @returns failures of the polar (`mass_outside`, …) and of the wind (`layers_repeat`); an end that cannot be reached
 *   is not a failure
 */
export function reachOf(
  question: ReachQuestion,
  terrain: TerrainGrid | null,
  origin: LatLon = terrain?.origin ?? question.position,
): Outcome<Reach> {
  const configured = polarOf(question.aircraft, question.mass_kg, question.configuration);
  if (!configured.ok) return configured;
  const { polar, shares } = configured.value;
  const loadFactor = levelTurnLoadFactor(question.pilot.bank_rad);
  const turn = {
    ...turnSpeed(polar, question.pilot.bank_rad, question.pilot.stallMargin),
    loadFactor,
    stallEas_mps: stallSpeed_mps(polar, loadFactor),
  };
  const best = bestGlide(polar);
  const plane = localPlane(origin);
  const start = startIn(plane, question);
  const turned = turnedWind(question.wind, plane.convergence_rad(question.position));
  const tables = new Map<number, { integrals: DescentIntegrals; wind: (altitude_m: number) => WindVector }>();
  const ends: EndReach[] = [];
  for (const end of question.ends) {
    let table = tables.get(end.elevation_m);
    if (!table) {
      const wind = windProfile(turned, end.elevation_m);
      if (!wind.ok) return wind;
      table = { wind: wind.value, integrals: integralsTo(end, question, wind.value, best) };
      tables.set(end.elevation_m, table);
    }
    ends.push(reachEnd({ question, end, polar, best, start, plane, terrain, ...table }));
  }
  ends.sort(
    (a, b) => RANK[a.status] - RANK[b.status] || (b.path?.margin_m ?? -Infinity) - (a.path?.margin_m ?? -Infinity),
  );
  return success({ ends, polar, shares, best, turn });
}

interface EndProblem {
  question: ReachQuestion;
  end: LandingEnd;
  polar: Polar;
  best: StraightGlide;
  start: PathProblem["start"];
  plane: LocalPlane;
  terrain: TerrainGrid | null;
  integrals: DescentIntegrals;
  wind: (altitude_m: number) => WindVector;
}

function reachEnd({ question, end, polar, best, start, plane, terrain, integrals, wind }: EndProblem): EndReach {
  const target = targetIn(plane, end);
  const { heading_rad } = target;
  const ground = wind(end.elevation_m + 10);
  const along = ground.east_mps * Math.sin(heading_rad) + ground.north_mps * Math.cos(heading_rad);
  const fromLeft = ground.east_mps * Math.cos(heading_rad) - ground.north_mps * Math.sin(heading_rad);
  const line = geodesicBetween(question.position, end.aim);
  const common = {
    endId: end.id,
    name: end.name,
    bearingTrue_rad: line.azimuthStart_rad,
    distance_m: line.distance_m,
    tailwind_mps: along,
    crosswind_mps: -fromLeft,
  };
  const impossible = (issue: Issue): EndReach => ({
    ...common,
    status: "none",
    issue,
    path: null,
    points: [],
    clearance: null,
    ways: [],
    failedWays: [],
    glide: null,
    glideCalibrated_mps: null,
  });

  if (Math.hypot(target.x_m, target.y_m) > FARTHEST_M)
    return impossible({
      code: "too_far",
      path: "ends",
      message: `${end.name} lies ${Math.round(line.distance_m / 1000)} km away: no way that far is computed.`,
    });
  const performance = glidePerformance(polar, best, question.pilot);
  if (!performance.ok) return impossible(performance.issue);
  let glide = best;
  let problem: PathProblem = {
    performance: performance.value,
    integrals,
    start,
    target,
    choices: choicesOf(question),
  };
  let search = searchPaths(problem);
  if (!search.ok) return impossible(search.issue);
  if (question.plan.glideSpeed === "wind") {
    const faster = glideForWind(polar, best, integrals, search.value.paths[0]);
    if (!faster.ok) return impossible(faster.issue);
    const flown = glidePerformance(polar, faster.value, question.pilot);
    if (!flown.ok) return impossible(flown.issue);
    glide = faster.value;
    problem = { ...problem, performance: flown.value, integrals: integralsTo(end, question, wind, glide) };
    search = searchPaths(problem);
    if (!search.ok) return impossible(search.issue);
  }
  const { paths, failed } = search.value;
  let chosen = paths[0];
  const arrives = chosen.margin_m + question.plan.reserve_m >= 0;
  // What does not arrive is short whatever the ground is like: it is drawn, not checked.
  let points = pathPoints(problem, chosen, arrives ? undefined : DRAWING_STEP_M);
  let clearance = terrain && arrives ? terrainClearance(terrain, points, target, question.plan.clearance_m) : null;
  // The cheapest way may run into a hill that the next one avoids; a dearer way is worth taking only while it still
  // arrives.
  for (let i = 1; i < paths.length && blocked(clearance) && terrain && paths[i].margin_m >= 0; i += 1) {
    const other = pathPoints(problem, paths[i]);
    const otherClearance = terrainClearance(terrain, other, target, question.plan.clearance_m);
    if (!blocked(otherClearance)) {
      chosen = paths[i];
      points = other;
      clearance = otherClearance;
    }
  }
  const status: ReachStatus =
    arrives && blocked(clearance) ? "terrain" : chosen.margin_m >= 0 ? "reached" : arrives ? "reserve" : "short";
  return {
    ...common,
    status,
    issue: null,
    path: chosen,
    points,
    clearance,
    ways: paths.map((path) => ({ words: path.words, margin_m: path.margin_m })),
    failedWays: failed.map((way) => ({ words: way.words, message: way.issue.message })),
    glide,
    glideCalibrated_mps: calibrated_mps(glide.eas_mps, question),
  };
}

function blocked(clearance: TerrainClearance | null): boolean {
  return clearance !== null && clearance.least_m !== null && clearance.least_m < 0;
}

/** Speed to fly along the straight of a path, in the mean wind of its height band. */
function glideForWind(
  polar: Polar,
  best: StraightGlide,
  integrals: DescentIntegrals,
  path: GlidePath,
): Outcome<StraightGlide> {
  const leg = path.legs[0];
  const high: IntegralsAt = { time_m: 0, east_m2ps: 0, north_m2ps: 0 };
  const low: IntegralsAt = { time_m: 0, east_m2ps: 0, north_m2ps: 0 };
  integrals.at(leg.altitudes_m[1], high);
  integrals.at(Math.min(leg.altitudes_m[2], leg.altitudes_m[1] - 1), low);
  const weight = high.time_m - low.time_m;
  const east = (high.east_m2ps - low.east_m2ps) / weight;
  const north = (high.north_m2ps - low.north_m2ps) / weight;
  const root = integrals.rootSigmaAt((leg.altitudes_m[1] + leg.altitudes_m[2]) / 2);
  const speed = best.eas_mps / root;
  const track = Math.atan2(
    speed * Math.sin(leg.straightHeading_rad) + east,
    speed * Math.cos(leg.straightHeading_rad) + north,
  );
  return speedToFly(
    polar,
    {
      along_mps: east * Math.sin(track) + north * Math.cos(track),
      across_mps: east * Math.cos(track) - north * Math.sin(track),
      vertical_mps: 0,
    },
    root ** 2,
  );
}
