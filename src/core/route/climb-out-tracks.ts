// The climb-out as the first leg: for how many seconds no landable place is in reach, straight on, with a turn at a
// height or at a place, and by the track that has the fewest. Not here: the runway itself (the departure's), traffic,
// noise; the height that a turn costs.
import { groundSpeed_mps } from "../air/wind-triangle";
import { geodesicBetween } from "../earth/geodesic";
import { type PlanePoint, localPlane } from "../earth/local-plane";
import { type TerrainGrid, elevationAt_m } from "../earth/terrain";
import type { LandingEnd } from "../landing/landing-end";
import { type Outcome, failure, success } from "../outcome";
import { wrapHalfTurn } from "../quantities/angle";
import { G0 } from "../quantities/constants";
import { type ClimbTable, climbTable } from "./climb-table";
import { routePower } from "./route-power";
import { coverOn } from "./route-answer";
import { type RouteField, routeField } from "./route-field";
import type { RouteQuestion } from "./route-question";

/** A moment of a climb-out. */
export interface ClimbOutPoint extends PlanePoint {
  readonly time_s: number;
  readonly altitude_m: number;
  /** A place is in reach, turn and reaction counted. */
  readonly inReach: boolean;
}

/** Where a climb-out turns. */
export interface ClimbOutTurn extends PlanePoint {
  /** Over the runway. */
  readonly height_m: number;
  /** From the end of the take-off run, along the runway's line. */
  readonly distance_m: number;
  readonly side: "left" | "right";
  /** Angle of a turn that is held; null where it leads to the route's next point. */
  readonly by_rad: number | null;
}

/** A way to climb out. */
export interface ClimbOutTrack {
  readonly kind: "straight" | "height" | "shore" | "last-place" | "fewest";
  readonly turn: ClimbOutTurn | null;
  /** Seconds without a place, from the far end of the runway until the climb-out ends. */
  readonly without_s: number;
  /** Height over the runway at which it has none first; null where it always has one. */
  readonly first_m: number | null;
  readonly points: readonly ClimbOutPoint[];
  /** Points that a route gets that is flown so, before its second. */
  readonly turns: readonly PlanePoint[];
}

/** The climb-outs from a runway. */
export interface ClimbOuts {
  readonly end: LandingEnd;
  readonly tracks: readonly ClimbOutTrack[];
  /** Tracks that lead over what is not flown over, and were left out. */
  readonly barred: number;
}

/** It is counted up to this height over the runway, m (3,000 ft), and for at most so long, s. */
export const UNTIL_M = 914.4;
const LONGEST_S = 600;
const STEP_S = 2.5;
/** Bank of a turn in the climb. Common practice. */
const BANK_RAD = (20 * Math.PI) / 180;
/** Ground about the runway that is looked at, m. */
const ABOUT_M = 16_000;
/** Part of the runway that the take-off run takes. */
const RUN_SHARE = 0.5;
/** The runway of a route is that of an aerodrome this near to its first point, m. */
const AT_AERODROME_M = 2500;
/** Turns that are tried for the fewest: every so far, so far out, by so much, held for so long. */
const TRY_EVERY_M = 400;
const TRY_FAR_M = 8000;
const TRY_ANGLES = [30, 60, 90, 120, 150, 180].map((angle_deg) => (angle_deg * Math.PI) / 180);
const TRY_HELD_M = [0, 2500];
/** Over the sea a terrain is no higher than this, m. */
const SEA_M = 0.5;
/** Fewer seconds than this are no difference. */
const SAME_S = 3;
/** A point of the route is reached so near to it, m. */
const REACHED_M = 400;

/** What is flown: straight on so far, then perhaps a turn that is held, then by the route's points. */
interface Plan {
  readonly kind: ClimbOutTrack["kind"];
  readonly straight_m: number;
  readonly by: { readonly side: 1 | -1; readonly angle_rad: number; readonly held_m: number } | null;
}

/**
 * The climb-outs of a route that begins at an aerodrome.
 *
 * @param endId - of the landing end whose direction is the take-off's; null: the one most into the wind
 * @returns `no_runway` where the route begins at none, failures of the cover and of the climb
 */
export function climbOutTracks(
  question: RouteQuestion,
  terrain: TerrainGrid | null,
  origin: RouteField["plane"]["origin"],
  endId: string | null,
): Outcome<ClimbOuts> {
  const end = takeOffEnd(question, endId);
  if (!end)
    return failure(
      "no_runway",
      "The route does not begin at a runway: its first point lies at none of the aerodromes.",
      "route.points.0",
    );
  const near = {
    ...question,
    plan: { ...question.plan, reserve_m: 0 },
    route: { ...question.route, overhead_m: 0 },
  };
  const about = terrain && cropped(terrain, origin, end);
  const cover = routeField(near, about, origin, "nominal");
  if (!cover.ok)
    return cover.issue.code === "no_place_on_ground"
      ? failure(
          "no_place_near",
          `No place that counts for ${question.aircraft.name} lies within 16 km (8 NM) of this runway: none is in reach until the climb-out is over.`,
          "route.places",
        )
      : cover;
  const ready = routePower(question);
  if (!ready.ok) return ready;
  const climb = climbTable(ready.value, question.route, end.elevation_m, end.elevation_m + UNTIL_M);
  const flight = { question: near, cover: cover.value, climb, end };
  const ahead: Plan = { kind: "straight", straight_m: Infinity, by: null };
  // Straight on tells where turns may be, even where it may not be flown itself.
  const free = { ...near, route: { ...near.route, climbOut: { ...near.route.climbOut, avoid: [] } } };
  const line = fly({ ...flight, question: free }, ahead);
  if (!line) return failure("no_climb", `${question.aircraft.name} does not climb away here.`, "mass_kg");
  const plans = [ahead, ...plansOf(flight, line, about)];
  const allowed = plans.flatMap((plan) => fly(flight, plan) ?? []);
  const { side } = question.route.climbOut;
  // What turns to the other side, or would turn only when the climb-out is over, is none.
  const flown = allowed.filter(({ kind, turn }) =>
    turn ? side === "either" || turn.side === side : kind === "straight",
  );
  const named = flown.filter(({ kind }) => kind !== "fewest");
  const [fewest] = flown.filter(({ kind }) => kind === "fewest").sort(inOrder(flight));
  const least_s = Math.min(...named.map(({ without_s }) => without_s));
  const better = fewest && fewest.without_s < least_s - SAME_S ? [fewest] : [];
  // Of as many the straight one comes first: a turn is worth its while.
  const worth_s = ({ kind, without_s }: ClimbOutTrack) => without_s - (kind === "straight" ? SAME_S : 0);
  const tracks = [...better, ...named].sort((x, y) => worth_s(x) - worth_s(y));
  if (tracks.length === 0)
    return failure(
      "avoided",
      "Every climb-out inside the limits leads over what is not to be flown over.",
      "route.climbOut",
    );
  return success({ end, tracks, barred: plans.length - allowed.length });
}

interface Flight {
  readonly question: RouteQuestion;
  readonly cover: RouteField;
  readonly climb: ClimbTable;
  readonly end: LandingEnd;
}

/** The end that is taken off from, of the aerodrome at the first point of the route. */
function takeOffEnd({ route, places, wind }: RouteQuestion, endId: string | null): LandingEnd | null {
  const [first] = route.points;
  if (!first) return null;
  const [place] = places
    .filter(({ kind }) => kind === "runway")
    .map((candidate) => ({ candidate, away_m: geodesicBetween(first.position, candidate.position).distance_m }))
    .filter(({ away_m }) => away_m <= AT_AERODROME_M)
    .sort((a, b) => a.away_m - b.away_m);
  if (!place) return null;
  const ends = place.candidate.ends.filter(({ unprepared }) => !unprepared);
  const headwind = ({ headingTrue_rad }: LandingEnd) =>
    wind.surface ? wind.surface.speed_mps * Math.cos(wind.surface.from_rad - headingTrue_rad) : 0;
  return ends.find(({ id }) => id === endId) ?? [...ends].sort((a, b) => headwind(b) - headwind(a))[0] ?? null;
}

/** The terrain about a runway, on the same plane. */
function cropped(terrain: TerrainGrid, origin: RouteField["plane"]["origin"], end: LandingEnd): TerrainGrid {
  const { x_m, y_m } = localPlane(origin).toPlane(end.threshold);
  const { west_m, south_m, cell_m, columns, rows, elevations_m } = terrain;
  const range = (middle_m: number, first_m: number, count: number): [number, number] => {
    const from = Math.min(Math.max(Math.floor((middle_m - ABOUT_M - first_m) / cell_m), 0), count - 2);
    return [from, Math.max(Math.min(Math.ceil((middle_m + ABOUT_M - first_m) / cell_m), count - 1), from + 1)];
  };
  const [left, right] = range(x_m, west_m, columns);
  const [low, high] = range(y_m, south_m, rows);
  const [wide, tall] = [right - left + 1, high - low + 1];
  const part = new Float32Array(wide * tall);
  for (let row = 0; row < tall; row += 1)
    for (let column = 0; column < wide; column += 1)
      part[row * wide + column] = elevations_m[(low + row) * columns + left + column];
  return {
    ...terrain,
    west_m: west_m + left * cell_m,
    south_m: south_m + low * cell_m,
    columns: wide,
    rows: tall,
    elevations_m: part,
  };
}

/** Every plan but straight on that the limits allow. */
function plansOf(flight: Flight, straight: ClimbOutTrack, terrain: TerrainGrid | null): Plan[] {
  const { earliestTurn_m, side } = flight.question.route.climbOut;
  const [begin] = straight.points;
  const along = (point: ClimbOutPoint) => Math.hypot(point.x_m - begin.x_m, point.y_m - begin.y_m);
  const high = straight.points.filter(({ altitude_m }) => altitude_m >= flight.end.elevation_m + earliestTurn_m);
  if (high.length === 0) return [];
  const earliest_m = along(high[0]);
  const plans: Plan[] = [{ kind: "height", straight_m: earliest_m, by: null }];
  const sea = ({ x_m, y_m }: PlanePoint) =>
    (terrain ? (elevationAt_m(terrain, x_m, y_m) ?? Infinity) : Infinity) <= SEA_M;
  const shore = high.findIndex((point, i) => i > 0 && sea(point) && !sea(high[i - 1]));
  if (shore > 0) plans.push({ kind: "shore", straight_m: along(high[shore]), by: null });
  const out = high.findIndex(({ inReach }) => !inReach);
  if (out > 0) plans.push({ kind: "last-place", straight_m: along(high[out - 1]), by: null });
  const sides = side === "either" ? ([1, -1] as const) : side === "right" ? ([1] as const) : ([-1] as const);
  for (let straight_m = earliest_m; straight_m <= earliest_m + TRY_FAR_M; straight_m += TRY_EVERY_M)
    for (const one of sides)
      for (const angle_rad of TRY_ANGLES)
        for (const held_m of TRY_HELD_M)
          plans.push({ kind: "fewest", straight_m, by: { side: one, angle_rad, held_m } });
  return plans;
}

/** Fewer seconds first; of as many, the one that ends nearer to the route's second point. */
function inOrder({ question, cover }: Flight): (a: ClimbOutTrack, b: ClimbOutTrack) => number {
  const second = cover.plane.toPlane(question.route.points[Math.min(1, question.route.points.length - 1)].position);
  const away = ({ points }: ClimbOutTrack) => {
    const last = points[points.length - 1];
    return Math.hypot(last.x_m - second.x_m, last.y_m - second.y_m);
  };
  return (a, b) => (Math.abs(a.without_s - b.without_s) > SAME_S ? a.without_s - b.without_s : away(a) - away(b));
}

/** Where a climb-out is, and whither. */
interface Heading extends PlanePoint {
  readonly track_rad: number;
  readonly height_m: number;
  /** From the end of the take-off run. */
  readonly out_m: number;
  readonly tas_mps: number;
  readonly groundSpeed_mps: number;
}

/** Steers by a plan: straight on, then the turn that is held, then to the route's points one after the other. */
class Steering {
  turn: ClimbOutTurn | null = null;
  readonly turns: PlanePoint[] = [];
  private held_m = 0;
  private goal = 0;

  constructor(
    private readonly plan: Plan,
    private readonly runway_rad: number,
    private readonly goals: readonly PlanePoint[],
  ) {}

  /** The track after a step. */
  next(here: Heading): number {
    const { x_m, y_m, track_rad, out_m, tas_mps, groundSpeed_mps } = here;
    const { by, straight_m } = this.plan;
    if (!this.turn && out_m < straight_m) return track_rad;
    const holds = by !== null && this.held_m <= by.held_m;
    const goal = this.goals.at(this.goal);
    if (goal && Math.hypot(goal.x_m - x_m, goal.y_m - y_m) < REACHED_M) this.goal += 1;
    if (!holds && !goal) return track_rad;
    const wanted_rad = holds
      ? this.runway_rad + by.side * by.angle_rad
      : Math.atan2((goal?.x_m ?? 0) - x_m, (goal?.y_m ?? 0) - y_m);
    const off_rad = wrapHalfTurn(wanted_rad - track_rad);
    // A turn by half has two sides: the one that is meant.
    const towards = holds && this.held_m === 0 && Math.abs(off_rad) > 0.1 ? by.side : Math.sign(off_rad);
    this.begin(here, towards);
    const most_rad = ((G0 * Math.tan(BANK_RAD)) / tas_mps) * STEP_S;
    const left_rad = towards === Math.sign(off_rad) ? Math.abs(off_rad) : 2 * Math.PI - Math.abs(off_rad);
    if (holds && left_rad <= most_rad) {
      this.held_m += groundSpeed_mps * STEP_S;
      if (this.held_m > by.held_m) this.turns.push({ x_m, y_m });
    }
    return track_rad + towards * Math.min(most_rad, left_rad);
  }

  private begin({ x_m, y_m, height_m, out_m }: Heading, towards: number): void {
    if (this.turn) return;
    this.turn = {
      x_m,
      y_m,
      height_m,
      distance_m: out_m,
      side: towards > 0 ? "right" : "left",
      by_rad: this.plan.by?.angle_rad ?? null,
    };
    this.turns.push({ x_m, y_m });
  }
}

/** Flies a plan; null where it leads over what is not flown over, or does not climb. */
function fly({ question, cover, climb, end }: Flight, plan: Plan): ClimbOutTrack | null {
  const { plane } = cover;
  const { avoid } = question.route.climbOut;
  const runway_rad = end.headingTrue_rad + plane.convergence_rad(end.threshold);
  const threshold = plane.toPlane(end.threshold);
  const run_m = end.length_m * RUN_SHARE;
  const steering = new Steering(
    plan,
    runway_rad,
    question.route.points.slice(1).map(({ position }) => plane.toPlane(position)),
  );
  const barred = avoid.map(({ position, radius_m }) => ({ ...plane.toPlane(position), radius_m }));
  let x_m = threshold.x_m + run_m * Math.sin(runway_rad);
  let y_m = threshold.y_m + run_m * Math.cos(runway_rad);
  const begin = { x_m, y_m };
  let [altitude_m, track_rad, time_s] = [end.elevation_m, runway_rad, 0];
  const points: ClimbOutPoint[] = [];
  while (time_s < LONGEST_S && altitude_m < end.elevation_m + UNTIL_M) {
    if (barred.some((other) => Math.hypot(other.x_m - x_m, other.y_m - y_m) < other.radius_m)) return null;
    const { rate_mps, tas_mps } = climb.at(altitude_m);
    const speed_mps = groundSpeed_mps(tas_mps, cover.wind(altitude_m), Math.sin(track_rad), Math.cos(track_rad));
    if (!(speed_mps > 0) || !(rate_mps > 0)) return null;
    const { cover_m } = coverOn(question, cover, { x_m, y_m, track_rad }, { altitude_m, groundSpeed_mps: speed_mps });
    const out_m = Math.hypot(x_m - begin.x_m, y_m - begin.y_m);
    // As far as the runway goes it is ahead itself: whether it is long enough to stop on is the departure's.
    const overRunway = !steering.turn && out_m <= end.length_m - run_m;
    points.push({ x_m, y_m, time_s, altitude_m, inReach: overRunway || (cover_m !== null && cover_m <= altitude_m) });
    const height_m = altitude_m - end.elevation_m;
    track_rad = steering.next({ x_m, y_m, track_rad, height_m, out_m, tas_mps, groundSpeed_mps: speed_mps });
    x_m += speed_mps * Math.sin(track_rad) * STEP_S;
    y_m += speed_mps * Math.cos(track_rad) * STEP_S;
    altitude_m += rate_mps * STEP_S;
    time_s += STEP_S;
  }
  const { turn, turns } = steering;
  const none = points.filter(({ inReach }) => !inReach);
  return {
    kind: plan.kind,
    turn,
    without_s: none.length * STEP_S,
    first_m: none.length === 0 ? null : none[0].altitude_m - end.elevation_m,
    points,
    turns,
  };
}
