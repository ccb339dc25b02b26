// A planned flight on one engine of two: from where which alternate is reached over the ground, the stretch from which
// none is, where two of them are equally far in time, and what closes the gap.
import { coverAt } from "../cover/cover-way";
import type { PlanePoint } from "../earth/local-plane";
import type { RoutePlan } from "../situation/route-plan";
import { type EqualTime, equalTimePoint } from "../route/equal-time";
import { type Gap, type GapPoint, type Needed, type Stretch, closingOf, gapsOf, stretchesOf } from "../route/gap";
import { type FlightPoint, type RouteAnswer, endsOf } from "../route/route-answer";
import type { RouteField } from "../route/route-field";
import { routeProfile } from "../route/route-profile";
import type { RoutePlace } from "../route/route-question";
import { clearanceShare } from "./corridor";
import type { DriftField } from "./drift-field";
import { driftMetric } from "./drift-metric";
import type { DriftQuestion } from "./drift-question";
import type { Ceiling } from "./one-engine-path";
import { COARSE_M, type WayGround, flyWay, groundOf, turnsTo } from "./drift-way";

/** A point of the flight, with what is needed there on one engine. */
export interface DriftPoint extends GapPoint, Pick<FlightPoint, "x_m" | "y_m" | "track_rad" | "position" | "leg"> {
  /** Highest ground that counts; null where it is not known. */
  readonly ground_m: number | null;
  /** Lowest altitude wanted over it. */
  readonly floor_m: number | null;
}

/** Where two alternates are equally far in time on one engine. */
export interface EqualTimeOfTwo extends EqualTime {
  readonly first: RoutePlace;
  readonly second: RoutePlace;
  readonly tas_mps: number;
}

/** The flight on one engine. */
export interface DriftAnswer {
  readonly points: readonly DriftPoint[];
  readonly gaps: readonly Gap[];
  readonly stretches: readonly Stretch[];
  readonly length_m: number;
  readonly withoutWay_s: number;
  /** Alternates, by index. */
  readonly places: readonly RoutePlace[];
  /** Ceilings on one engine, and where the net path levels off. */
  readonly service: Ceiling;
  readonly absolute: Ceiling;
  readonly net: Ceiling;
  readonly equalTime: EqualTimeOfTwo | null;
  readonly flat: boolean;
}

/** Points of the flight are looked at no closer than this, m, and at no more than so many. */
const SPACING_M = 400;
const MOST_POINTS = 600;

/** What ways of this flight are flown over and with. */
export function wayGround(cover: RouteField, { path, alternates }: DriftField): WayGround {
  const { field } = alternates[0];
  return { path, gross: driftMetric(path, 0, cover.wind), net: field.metric, grid: field.grid, wind: cover.wind };
}

/** What is needed at a point: the lowest of the alternates' altitudes, with the height that feathering costs. */
function needOf(
  { alternates, path }: DriftField,
  { x_m, y_m }: Pick<FlightPoint, "x_m" | "y_m">,
  altitude_m: number,
): Needed & { readonly needs_m: readonly number[] } {
  const { feathering_m } = path.at(altitude_m);
  const here = alternates.map(({ field }) => coverAt(field, x_m, y_m));
  const needs_m = here.map((found, i) => {
    // Over an aerodrome one has it: what the failure costs there is the take-off's.
    if (clearanceShare({ x_m, y_m }, [alternates[i].spot]) === 0) return alternates[i].place.elevation_m;
    return found ? found.altitude_m + feathering_m : Infinity;
  });
  const place = needs_m.indexOf(Math.min(...needs_m));
  const found = here[place];
  return found
    ? { cover_m: needs_m[place], groundDecides: found.groundDecides, place, needs_m }
    : { cover_m: null, groundDecides: false, place: -1, needs_m };
}

/** Which of the alternates in reach is the nearest in time; −1 for none. */
function nearestInTime(
  { alternates, path }: DriftField,
  ground: WayGround,
  point: Pick<FlightPoint, "x_m" | "y_m" | "altitude_m">,
  needs_m: readonly number[],
): number {
  const from_m = point.altitude_m - path.at(point.altitude_m).feathering_m;
  let [best, least_s] = [-1, Infinity];
  const inReach = alternates
    .map((alternate, i) => ({ alternate, i, straight_s: timeOf(ground, [point, alternate.spot], from_m) }))
    .filter(({ i }) => needs_m[i] <= point.altitude_m)
    .sort((a, b) => a.straight_s - b.straight_s);
  for (const { alternate, i, straight_s } of inReach) {
    // Round the ground it takes no less than straight.
    if (straight_s >= least_s) break;
    const turns = turnsTo(alternate, point, from_m);
    const time_s = turns ? timeOf(ground, turns, from_m) : Infinity;
    if (time_s < least_s) [best, least_s] = [i, time_s];
  }
  return best;
}

function timeOf(ground: WayGround, turns: readonly PlanePoint[], from_m: number): number {
  const flown = flyWay(ground, turns, from_m, COARSE_M);
  return flown[flown.length - 1].time_s;
}

/** The flight on one engine. @param flight - the same question's, with all engines running */
export function driftAnswer(
  question: DriftQuestion,
  cover: RouteField,
  drift: DriftField,
  flight: Pick<RouteAnswer, "points" | "profile" | "length_m" | "flat">,
): DriftAnswer {
  const { alternates, path } = drift;
  const ground = wayGround(cover, drift);
  const spacing_m = Math.max(SPACING_M, flight.length_m / MOST_POINTS);
  const every = Math.max(1, Math.round(spacing_m / (flight.length_m / (flight.points.length - 1))));
  const kept = flight.points.flatMap((point, i) =>
    i % every === 0 || i === flight.points.length - 1 ? [{ point, i }] : [],
  );
  const points = kept.map(({ point }): DriftPoint => {
    const { needs_m, ...need } = needOf(drift, point, point.altitude_m);
    const nearest = nearestInTime(drift, ground, point, needs_m);
    const [here] = flyWay(ground, [point], point.altitude_m);
    const { distance_m, altitude_m, time_s, phase, x_m, y_m, track_rad, position, leg } = point;
    return {
      ...{ distance_m, altitude_m, time_s, phase, x_m, y_m, track_rad, position, leg },
      ...need,
      place: nearest >= 0 ? nearest : need.place,
      ground_m: groundOf(drift.ground, point),
      floor_m: here.floor_m === Infinity ? null : here.floor_m,
    };
  });
  const fly = (route: RoutePlan) => {
    const other = { ...question, route };
    const flown = routeProfile(other, flight.points, endsOf(other, cover, flight.points), cover.wind);
    return flown.ok ? kept.map(({ i }) => flown.value.points[i]) : null;
  };
  const planned = { ...question.route, descent_mps: flight.profile.descent_mps };
  const gaps = gapsOf(points).map((gap) => ({
    ...gap,
    closing: closingOf(planned, points, gap, fly, (point, { altitude_m }) => needOf(drift, point, altitude_m)),
  }));
  const { decrement } = question.route.oneEngine;
  return {
    points,
    gaps,
    stretches: stretchesOf(points),
    length_m: flight.length_m,
    withoutWay_s: gaps.reduce((sum, { time_s }) => sum + time_s, 0),
    places: alternates.map(({ place }) => place),
    service: path.service,
    absolute: path.absolute,
    net: path.net(decrement),
    equalTime: equalTimeOf(question, cover, drift, points),
    flat: flight.flat,
  };
}

/** The point of equal time between the alternates nearest to the two ends; null where there is none. */
function equalTimeOf(
  { route }: DriftQuestion,
  { plane, wind }: RouteField,
  { alternates, path }: DriftField,
  points: readonly DriftPoint[],
): EqualTimeOfTwo | null {
  const nearest = ({ x_m, y_m }: DriftPoint) =>
    [...alternates].sort(
      (a, b) => Math.hypot(a.spot.x_m - x_m, a.spot.y_m - y_m) - Math.hypot(b.spot.x_m - x_m, b.spot.y_m - y_m),
    )[0];
  const [first, second] = [nearest(points[0]), nearest(points[points.length - 1])];
  if (first === second) return null;
  // Where it is held: at the altitude of the route, or as high as one engine holds it.
  const altitude_m = typeof path.absolute === "number" ? Math.min(route.altitude_m, path.absolute) : route.altitude_m;
  const { east_mps, north_mps } = wind(altitude_m);
  const { tas_mps } = path.at(altitude_m);
  // The plane's wind, turned back to true north.
  const turn_rad = plane.convergence_rad(points[0].position);
  const [sin, cos] = [Math.sin(turn_rad), Math.cos(turn_rad)];
  const found = equalTimePoint({
    line: points,
    first: first.place.position,
    second: second.place.position,
    tas_mps,
    wind: { east_mps: east_mps * cos - north_mps * sin, north_mps: east_mps * sin + north_mps * cos },
  });
  return found.ok ? { ...found.value, first: first.place, second: second.place, tas_mps } : null;
}
