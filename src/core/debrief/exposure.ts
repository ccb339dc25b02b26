// A flight that was flown, held against the cover of its own day: how long no place was in reach, when, and what would
// have changed that: level flight higher up, or another way.
import { groundSpeed_mps } from "../air/wind-triangle";
import { floorAt_m } from "../cover/cover-grid";
import type { LatLon } from "../earth/geodesic";
import type { PlanePoint } from "../earth/local-plane";
import { type TerrainGrid, elevationAt_m } from "../earth/terrain";
import { type Outcome, failure, success } from "../outcome";
import { ALTITUDE_STEP_M, type Gap, gapsOf } from "../route/gap";
import { type NeededWithTurn, coverOn } from "../route/route-answer";
import type { RouteField } from "../route/route-field";
import { airspeedOf, freeCells, isFree, wayRound } from "../route/way-round";
import type { ExposureQuestion, FlownFix, FlownPhase } from "./exposure-question";

/** Parts of a flight that are judged: the others are for Departure and Landing, or the engine had stopped already. */
export const JUDGED_PHASES = ["climb", "level", "descent"] as const satisfies readonly FlownPhase[];
/** @see JUDGED_PHASES */
export type JudgedPhase = (typeof JUDGED_PHASES)[number];

/** A fix with what was needed there. */
export interface ExposurePoint extends FlownFix, PlanePoint, NeededWithTurn {
  /** In the plane. */
  readonly track_rad: number;
  /** Along the flight. */
  readonly distance_m: number;
  /** Ground below; null where none is known. */
  readonly ground_m: number | null;
  /** Whether a place is asked for here; beyond the known ground, in a hole of the log or low it is not. */
  readonly judged: boolean;
  readonly exposed: boolean;
  /** How long it lasts, to the next fix, s. */
  readonly lasts_s: number;
  /** Beyond the ground that is known. */
  readonly beyond: boolean;
}

/** Part of a flight without a place in reach. */
export interface ExposureGap extends Omit<Gap, "closing"> {
  readonly exposed_s: number;
  /** Another way from before it to after it at the lowest altitude that was flown between; null where none is known. */
  readonly round: { readonly extra_s: number; readonly altitude_m: number; readonly points: readonly LatLon[] } | null;
}

/** What a flight was exposed to. */
export interface Exposure {
  readonly points: readonly ExposurePoint[];
  readonly length_m: number;
  readonly judged_s: number;
  readonly exposed_s: number;
  readonly byPhase: readonly { readonly phase: JudgedPhase; readonly time_s: number; readonly exposed_s: number }[];
  /** Not judged: low, with the engine stopped, beyond the known ground, in holes of the log. */
  readonly apart: Readonly<Record<"low" | "stopped" | "beyond" | "hole", number>>;
  readonly gaps: readonly ExposureGap[];
  /** How long it would have been with level flight so much higher. */
  readonly higher: readonly { readonly lift_m: number; readonly exposed_s: number }[];
  /** So much higher leaves level flight without a gap, in hundreds of feet; null where no height that is tried does. */
  readonly closing_m: number | null;
  readonly places: RouteField["places"];
  readonly left: RouteField["left"];
  readonly flat: boolean;
}

/** A step longer than this is a hole of the log, s. */
const HOLE_S = 30;
/** Level flight so much higher is told of: 500, 1,000 and 2,000 ft. */
const LIFTS_M = [152.4, 304.8, 609.6];
/** The most that is tried to close all, m: 6,000 ft. */
const MOST_LIFT_M = 1828.8;
/** A lift is asked anew at the altitude found, so often. */
const LIFT_TRIES = 4;
/** So many gaps, the longest first, are looked at for another way; with at most so many bends, so much longer. */
const [MOST_ROUND, MOST_BENDS, LONGEST_S] = [12, 12, 3600];
/** What was flown from where it leaves to where it comes back leads somewhere: so much of it is the straight line. */
const STRAIGHT = 0.75;
/** A way round is held against the cover in steps of this, m. */
const STEP_M = 100;

const short = ({ cover_m, altitude_m }: Pick<ExposurePoint, "cover_m" | "altitude_m">) =>
  cover_m === null || cover_m > altitude_m;
const sum = (values: readonly number[]) => values.reduce((total, value) => total + value, 0);
const isJudged = (phase: FlownPhase) => (JUDGED_PHASES as readonly FlownPhase[]).includes(phase);

/**
 * Exposure of a flight.
 *
 * @param cover - of its day, from the same question
 * @param terrain - on the cover's plane, for the ground below; null without one
 * @returns `nothing_judged` where all of it is low, on the ground, beyond the known ground or without engine
 */
export function exposure(
  question: ExposureQuestion,
  cover: RouteField,
  terrain: TerrainGrid | null,
): Outcome<Exposure> {
  const points = pointsOf(question, cover, terrain);
  const judged = points.filter((point) => point.judged);
  const judged_s = sum(judged.map(({ lasts_s }) => lasts_s));
  if (!(judged_s > 0))
    return failure(
      "nothing_judged",
      "Nothing of this flight is judged here: it stays low about its field, beyond the known ground, or without an engine.",
      "track",
    );
  const exposed = points.filter((point) => point.exposed);
  const needed = (lift_m: number) => lifted(question, cover, judged, lift_m);
  const found = gapsOf(points.map((point) => (point.judged ? point : { ...point, cover_m: -Infinity })));
  const longest = [...found].sort((a, b) => b.time_s - a.time_s).slice(0, MOST_ROUND);
  const gaps = found.map((gap) => ({
    ...gap,
    exposed_s: sum(
      exposed
        .filter(({ distance_m }) => distance_m >= gap.from_m && distance_m <= gap.to_m)
        .map(({ lasts_s }) => lasts_s),
    ),
    round: longest.includes(gap) ? roundOf(question, cover, points, gap) : null,
  }));
  const apart = (of: (point: ExposurePoint) => boolean) => sum(points.filter(of).map(({ lasts_s }) => lasts_s));
  return success({
    points,
    length_m: points[points.length - 1].distance_m,
    judged_s,
    exposed_s: sum(exposed.map(({ lasts_s }) => lasts_s)),
    byPhase: JUDGED_PHASES.map((phase) => {
      const of = (list: readonly ExposurePoint[]) =>
        sum(list.filter((point) => point.phase === phase).map(({ lasts_s }) => lasts_s));
      return { phase, time_s: of(judged), exposed_s: of(exposed) };
    }),
    apart: {
      low: apart(({ phase }) => phase === "low"),
      stopped: apart(({ phase }) => phase === "stopped"),
      beyond: apart(({ phase, beyond, lasts_s }) => isJudged(phase) && beyond && lasts_s <= HOLE_S),
      hole: apart(({ phase, lasts_s }) => isJudged(phase) && lasts_s > HOLE_S),
    },
    gaps,
    higher: LIFTS_M.map((lift_m) => ({
      lift_m,
      exposed_s: sum(needed(lift_m).map(({ point, short_m }) => (short_m > 0 ? point.lasts_s : 0))),
    })),
    closing_m: closingLift_m(needed),
    places: cover.places,
    left: cover.left,
    flat: cover.flat,
  });
}

/** The fixes in the plane, each with what was needed there. */
function pointsOf(question: ExposureQuestion, cover: RouteField, terrain: TerrainGrid | null): ExposurePoint[] {
  const { plane, field } = cover;
  const { west_m, south_m, cell_m } = field.grid;
  const at = question.track.map(({ position }) => plane.toPlane(position));
  let distance_m = 0;
  return question.track.map((fix, i) => {
    const [before, after] = [at[Math.max(i - 1, 0)], at[Math.min(i + 1, at.length - 1)]];
    if (i > 0) distance_m += Math.hypot(at[i].x_m - before.x_m, at[i].y_m - before.y_m);
    const track_rad = Math.atan2(after.x_m - before.x_m, after.y_m - before.y_m);
    const lasts_s = i < at.length - 1 ? question.track[i + 1].time_s - fix.time_s : 0;
    const beyond = floorAt_m(field.grid, (at[i].x_m - west_m) / cell_m, (at[i].y_m - south_m) / cell_m) === Infinity;
    const needed = coverOn(question, cover, { ...at[i], track_rad }, fix);
    const judged = isJudged(fix.phase) && !beyond && lasts_s <= HOLE_S;
    const ground_m = terrain && elevationAt_m(terrain, at[i].x_m, at[i].y_m);
    const point = { ...fix, ...at[i], ...needed, ground_m, track_rad, distance_m, lasts_s, beyond, judged };
    return { ...point, exposed: judged && short(point) };
  });
}

/** What is missing at each judged fix with level flight higher by so much, m; ∞ where no altitude helps. */
function lifted(
  question: ExposureQuestion,
  cover: RouteField,
  judged: readonly ExposurePoint[],
  lift_m: number,
): { point: ExposurePoint; short_m: number }[] {
  return judged.map((point) => {
    const altitude_m = point.altitude_m + (point.phase === "level" ? lift_m : 0);
    const { cover_m } =
      point.phase === "level"
        ? coverOn(question, cover, point, { altitude_m, groundSpeed_mps: point.groundSpeed_mps })
        : point;
    return { point, short_m: cover_m === null ? Infinity : cover_m - altitude_m };
  });
}

/** @see Exposure.closing_m */
function closingLift_m(needed: (lift_m: number) => { point: ExposurePoint; short_m: number }[]): number | null {
  let lift_m = 0;
  for (let i = 0; i <= LIFT_TRIES; i += 1) {
    const missing_m = needed(lift_m).reduce(
      (most, { point, short_m }) => (point.phase === "level" ? Math.max(most, short_m) : most),
      0,
    );
    if (missing_m <= 0) return lift_m;
    lift_m = Math.ceil((lift_m + missing_m) / ALTITUDE_STEP_M - 1e-9) * ALTITUDE_STEP_M;
    if (!(lift_m <= MOST_LIFT_M)) return null;
  }
  return null;
}

/** @see ExposureGap.round */
function roundOf(
  question: ExposureQuestion,
  cover: RouteField,
  points: readonly ExposurePoint[],
  gap: Omit<Gap, "closing">,
): ExposureGap["round"] {
  const before = points.filter(({ distance_m, judged }) => judged && distance_m <= gap.from_m);
  const after = points.filter(({ distance_m, judged }) => judged && distance_m >= gap.to_m);
  if (before.length === 0 || after.length === 0) return null;
  const lowest_m = (from_m: number, to_m: number) =>
    points.reduce(
      (low, { distance_m, altitude_m }) =>
        distance_m >= from_m && distance_m <= to_m ? Math.min(low, altitude_m) : low,
      Infinity,
    );
  const map = freeCells(question, cover, lowest_m(gap.from_m, gap.to_m));
  const start = before.findLast((point) => isFree(map, point) && !point.exposed);
  const end = after.find((point) => isFree(map, point) && !point.exposed);
  if (!start || !end) return null;
  const flown_m = end.distance_m - start.distance_m;
  if (Math.hypot(end.x_m - start.x_m, end.y_m - start.y_m) < STRAIGHT * flown_m) return null;
  // It is held to the lowest that was flown from where it leaves to where it comes back.
  const altitude_m = lowest_m(start.distance_m, end.distance_m);
  const bends = wayRound(map, cover, start, end);
  if (!bends || bends.length > MOST_BENDS) return null;
  const way: PlanePoint[] = [start, ...bends, end];
  const took_s = flyWay(question, cover, way, altitude_m, start);
  if (took_s === null) return null;
  const extra_s = took_s - (end.time_s - start.time_s);
  return extra_s > LONGEST_S ? null : { extra_s, altitude_m, points: way.map((point) => cover.plane.toLatLon(point)) };
}

/** Time of a way at an altitude, at the airspeed that it begins with; null where it is not in reach all along. */
function flyWay(
  question: ExposureQuestion,
  cover: RouteField,
  way: readonly PlanePoint[],
  altitude_m: number,
  start: ExposurePoint,
): number | null {
  const wind = cover.wind(altitude_m);
  const tas_mps = airspeedOf(start, wind.east_mps, wind.north_mps);
  let took_s = 0;
  for (let i = 1; i < way.length; i += 1) {
    const [from, to] = [way[i - 1], way[i]];
    const [dx_m, dy_m] = [to.x_m - from.x_m, to.y_m - from.y_m];
    const length_m = Math.hypot(dx_m, dy_m);
    if (length_m < 1) continue;
    const speed_mps = groundSpeed_mps(tas_mps, wind, dx_m / length_m, dy_m / length_m);
    if (!(speed_mps > 1)) return null;
    const steps = Math.ceil(length_m / STEP_M);
    for (let step = 0; step <= steps; step += 1) {
      const spot = { x_m: from.x_m + (dx_m * step) / steps, y_m: from.y_m + (dy_m * step) / steps };
      const track_rad = Math.atan2(dx_m, dy_m);
      if (
        short({
          ...coverOn(question, cover, { ...spot, track_rad }, { altitude_m, groundSpeed_mps: speed_mps }),
          altitude_m,
        })
      )
        return null;
    }
    took_s += length_m / speed_mps;
  }
  return took_s;
}
