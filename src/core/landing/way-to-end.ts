// The best way to one landing end for whatever descends: an aeroplane's glide, an autorotation. Not here: how it
// descends, length needed, which end to take.
import type { Word } from "../glide/dubins";
import type { WindVector } from "../air/wind";
import { geodesicBetween } from "../earth/geodesic";
import type { LocalPlane } from "../earth/local-plane";
import type { TerrainGrid } from "../earth/terrain";
import type { DescentIntegrals, IntegralsAt } from "../glide/descent-integrals";
import type { LegPerformance } from "../glide/glide-leg";
import {
  DRAWING_STEP_M,
  type GlidePath,
  type PathPoint,
  type PathProblem,
  pathPoints,
  searchPaths,
} from "../glide/glide-path";
import type { StraightGlide } from "../glide/straight-glide";
import { type TerrainClearance, terrainClearance } from "../glide/terrain-check";
import type { Issue, Outcome } from "../outcome";
import { calibrated_mps, choicesOf, integralsTo, targetIn } from "./approach-problem";
import type { LandingEnd } from "./landing-end";
import type { ReachQuestion } from "./reach-question";

/**
 * `reached` with the reserve in hand, `reserve` only by spending it, `short` otherwise; `terrain` when ground is in the
 * way; `none` without a path.
 */
export type ReachStatus = "reached" | "reserve" | "short" | "terrain" | "none";

/** The way to one landing end, drawn. */
export interface WayToEnd {
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
  /** What the airspeed indicator shows in the straight parts, at the start. */
  readonly glideCalibrated_mps: number | null;
  /** Wind at 10 m over the strip: along the landing direction (tail positive) and from the right positive. */
  readonly tailwind_mps: number;
  readonly crosswind_mps: number;
}

/** The answer for one landing end, with the straight descent that is flown. */
export interface EndReach<Glide = StraightGlide> extends WayToEnd {
  readonly glide: Glide | null;
}

/** A straight descent with the turns that go with it. */
export interface Flown<Glide> {
  readonly glide: Glide;
  readonly performance: LegPerformance;
}

/** How an aircraft descends. */
export interface Descending<Glide> {
  /** As its book has it. */
  readonly usual: Outcome<Flown<Glide>>;
  /** At the speed for the wind along the straight of a way. */
  inWind(straight: WindOnStraight): Outcome<Flown<Glide>>;
}

/** Mean wind along the straight of a way. */
export interface WindOnStraight {
  readonly along_mps: number;
  readonly across_mps: number;
  readonly rootSigma: number;
}

/** What a way to an end is searched in. */
export interface EndProblem<Glide> {
  readonly question: Pick<ReachQuestion, "position" | "altitude_m" | "air" | "pilot" | "plan">;
  readonly end: LandingEnd;
  readonly start: PathProblem["start"];
  readonly plane: LocalPlane;
  readonly terrain: TerrainGrid | null;
  readonly integrals: DescentIntegrals;
  readonly wind: (altitude_m: number) => WindVector;
  readonly descending: Descending<Glide>;
}

/**
 * Order of the list: what is in reach, then what spends the reserve, then what falls short, then what does not work.
 */
const RANK: Record<ReachStatus, number> = { reached: 0, reserve: 1, short: 2, terrain: 3, none: 4 };

/** Ways by what is left; what cannot be flown last. */
export function byReach(a: WayToEnd, b: WayToEnd): number {
  return RANK[a.status] - RANK[b.status] || (b.path?.margin_m ?? -Infinity) - (a.path?.margin_m ?? -Infinity);
}

/** From the origin of the plane: farther out it is no map any more, and nothing descends that far. */
const FARTHEST_M = 300_000;

/** The best way to one end; one that cannot be reached is an answer, not a failure. */
export function wayToEnd<Glide extends { readonly eas_mps: number }>({
  question,
  end,
  start,
  plane,
  terrain,
  integrals,
  wind,
  descending,
}: EndProblem<Glide>): EndReach<Glide> {
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
  const impossible = (issue: Issue): EndReach<Glide> => ({
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
  const { usual } = descending;
  if (!usual.ok) return impossible(usual.issue);
  let { glide } = usual.value;
  let problem: PathProblem = {
    performance: usual.value.performance,
    integrals,
    start,
    target,
    choices: choicesOf(question),
  };
  let search = searchPaths(problem);
  if (question.plan.glideSpeed === "wind") {
    // Against a wind as fast as the book's speed there is no way yet: the wind of the direct line says how fast then.
    const straight = search.ok
      ? windOnStraight(glide.eas_mps, integrals, search.value.paths[0])
      : windOnLine(start, target, wind, integrals);
    const flown = descending.inWind(straight);
    if (!flown.ok) return impossible(flown.issue);
    ({ glide } = flown.value);
    problem = {
      ...problem,
      performance: flown.value.performance,
      integrals: integralsTo(end, question, wind, glide),
    };
    search = searchPaths(problem);
  }
  if (!search.ok) return impossible(search.issue);
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

/** Mean wind of the straight's height band, along its track and across. */
function windOnStraight(eas_mps: number, integrals: DescentIntegrals, path: GlidePath): WindOnStraight {
  const leg = path.legs[0];
  const high: IntegralsAt = { time_m: 0, east_m2ps: 0, north_m2ps: 0 };
  const low: IntegralsAt = { time_m: 0, east_m2ps: 0, north_m2ps: 0 };
  integrals.at(leg.altitudes_m[1], high);
  integrals.at(Math.min(leg.altitudes_m[2], leg.altitudes_m[1] - 1), low);
  const weight = high.time_m - low.time_m;
  const east = (high.east_m2ps - low.east_m2ps) / weight;
  const north = (high.north_m2ps - low.north_m2ps) / weight;
  const rootSigma = integrals.rootSigmaAt((leg.altitudes_m[1] + leg.altitudes_m[2]) / 2);
  const speed = eas_mps / rootSigma;
  const track = Math.atan2(
    speed * Math.sin(leg.straightHeading_rad) + east,
    speed * Math.cos(leg.straightHeading_rad) + north,
  );
  return {
    along_mps: east * Math.sin(track) + north * Math.cos(track),
    across_mps: east * Math.cos(track) - north * Math.sin(track),
    rootSigma,
  };
}

/** Wind half way down the direct line, along it and across. */
function windOnLine(
  start: PathProblem["start"],
  target: PathProblem["target"],
  wind: (altitude_m: number) => WindVector,
  integrals: DescentIntegrals,
): WindOnStraight {
  const half_m = (start.altitude_m + target.altitude_m) / 2;
  const { east_mps, north_mps } = wind(half_m);
  const track = Math.atan2(target.x_m - start.x_m, target.y_m - start.y_m);
  return {
    along_mps: east_mps * Math.sin(track) + north_mps * Math.cos(track),
    across_mps: east_mps * Math.cos(track) - north_mps * Math.sin(track),
    rootSigma: integrals.rootSigmaAt(half_m),
  };
}
