// A planned flight held against its cover: where no place is in reach, by how much, and what closes the gap.
import { airAtAltitude } from "../air/altimetry";
import { localPlane } from "../earth/local-plane";
import { type TerrainGrid, elevationAt_m } from "../earth/terrain";
import { coverAt } from "../cover/cover-way";
import { wrapHalfTurn } from "../quantities/angle";
import { type Outcome, success } from "../outcome";
import type { RoutePlan } from "../situation/route-plan";
import { plannedReaction_s } from "../situation/pilot-practice";
import { ALTITUDE_STEP_M, type Gap, type Needed, type Stretch, closingOf, gapsOf, stretchesOf } from "./gap";
import type { RouteField } from "./route-field";
import { type LinePoint, routeLine } from "./route-line";
import { type ProfilePoint, type RouteProfile, routeProfile } from "./route-profile";
import type { RouteQuestion } from "./route-question";

/** A point of the flight, with its cover. */
export interface FlightPoint extends LinePoint, ProfilePoint, NeededWithTurn {
  /** Highest ground near; null where none is known. */
  readonly ground_m: number | null;
}

/** @see Needed, with what of it is spent before the way begins */
export interface NeededWithTurn extends Needed {
  /** Of what is needed, for the reaction and the first turn. */
  readonly reaction_m: number;
  readonly turn_m: number;
}

/** The whole flight. */
export interface RouteAnswer {
  readonly points: readonly FlightPoint[];
  readonly profile: Omit<RouteProfile, "points">;
  readonly gaps: readonly Gap[];
  readonly stretches: readonly Stretch[];
  readonly length_m: number;
  readonly time_s: number;
  readonly withoutPlace_s: number;
  /** Where the plan leads deepest under the highest ground near, away from its ends; null where it stays over it. */
  readonly under: { readonly distance_m: number; readonly by_m: number } | null;
  /** Names of the places, by index. */
  readonly places: RouteField["places"];
  readonly flat: boolean;
  readonly left: RouteField["left"];
}

/** Ground counts this far beside the way, m. */
const BESIDE_M = 400;
/** Ends of a route that lie this near to a place begin and end there, m. */
const AT_PLACE_M = 2500;
/** The end of a flight is looked at with this much wind from behind, and this much height over what is needed. */
const FAST_WIND_MPS = 15;
const END_SPARE_M = 15;

/**
 * The flight.
 *
 * @param terrain - on the field's plane, for the ground below; null without one
 * @returns failures of the line and of the profile
 */
export function routeAnswer(
  question: RouteQuestion,
  cover: RouteField,
  terrain: TerrainGrid | null,
): Outcome<RouteAnswer> {
  const line = routeLine(question.route.points, cover.plane);
  if (!line.ok) return line;
  const ends = endsOf(question, cover, line.value);
  const profile = routeProfile(question, line.value, ends, cover.wind);
  if (!profile.ok) return profile;
  const points = line.value.map((point, i) => ({
    ...point,
    ...profile.value.points[i],
    ground_m: terrain && highestBeside_m(terrain, point),
    ...coverOn(question, cover, point, profile.value.points[i]),
  }));
  const { points: _points, ...flown } = profile.value;
  const fly = (route: RoutePlan) => {
    const other = { ...question, route };
    const flown = routeProfile(other, points, endsOf(other, cover, points), cover.wind);
    return flown.ok ? flown.value.points : null;
  };
  const planned = { ...question.route, descent_mps: flown.descent_mps };
  const gaps = gapsOf(points).map((gap) => ({
    ...gap,
    closing: closingOf(planned, points, gap, fly, (point, flown) => coverOn(question, cover, point, flown)),
  }));
  const last = points[points.length - 1];
  return success({
    points,
    profile: flown,
    gaps,
    stretches: stretchesOf(points),
    length_m: last.distance_m,
    time_s: last.time_s,
    withoutPlace_s: gaps.reduce((sum, { time_s }) => sum + time_s, 0),
    under: underGround(points),
    places: cover.places,
    flat: cover.flat,
    left: cover.left,
  });
}

/**
 * Altitudes at which the flight begins and ends: on the ground of a place, and over one so high that the approach can
 * begin without the engine; otherwise as it is planned.
 */
export function endsOf(
  question: RouteQuestion,
  cover: RouteField,
  line: readonly LinePoint[],
): { first_m: number; last_m: number } {
  const { places, route } = question;
  const nearest = (point: LinePoint) => {
    const plane = localPlane(point.position);
    const near = places
      .map((place) => ({ place, away: plane.toPlane(place.position) }))
      .map(({ place, away }) => ({ place, away_m: Math.hypot(away.x_m, away.y_m) }))
      .sort((a, b) => a.away_m - b.away_m)[0];
    return near && near.away_m <= AT_PLACE_M ? near.place : null;
  };
  const [from, to] = [nearest(line[0]), nearest(line[line.length - 1])];
  const [first, last] = [route.points[0], route.points[route.points.length - 1]];
  const end = line[line.length - 1];
  const fast_mps = (route.tas_mps ?? 2 * cover.glide.eas_mps) + FAST_WIND_MPS;
  const { cover_m } = coverOn(question, cover, end, { altitude_m: route.altitude_m, groundSpeed_mps: fast_mps });
  const over_m = Math.ceil(((cover_m ?? route.altitude_m) + END_SPARE_M) / ALTITUDE_STEP_M) * ALTITUDE_STEP_M;
  return {
    first_m: from?.elevation_m ?? first.altitude_m ?? route.altitude_m,
    last_m: last.altitude_m ?? (to ? Math.min(over_m, route.altitude_m) : route.altitude_m),
  };
}

function underGround(points: readonly FlightPoint[]): RouteAnswer["under"] {
  const length_m = points[points.length - 1].distance_m;
  let deepest: RouteAnswer["under"] = null;
  for (const { distance_m, altitude_m, ground_m } of points) {
    if (ground_m === null || distance_m < AT_PLACE_M || distance_m > length_m - AT_PLACE_M) continue;
    const by_m = ground_m - altitude_m;
    if (by_m > (deepest?.by_m ?? 0)) deepest = { distance_m, by_m };
  }
  return deepest;
}

/** Highest ground across the way. */
function highestBeside_m(terrain: TerrainGrid, { x_m, y_m, track_rad }: LinePoint): number | null {
  let highest: number | null = null;
  for (let beside_m = -BESIDE_M; beside_m <= BESIDE_M; beside_m += BESIDE_M / 4) {
    const ground_m = elevationAt_m(terrain, x_m + beside_m * Math.cos(track_rad), y_m - beside_m * Math.sin(track_rad));
    if (ground_m !== null && (highest === null || ground_m > highest)) highest = ground_m;
  }
  return highest;
}

/**
 * Altitude needed at a point of the flight. The reaction is flown straight on with the engine stopped, then the turn to
 * the way's first leg; the turn costs height, and is taken to end where it begins.
 */
export function coverOn(
  { pilot, air }: Pick<RouteQuestion, "pilot" | "air">,
  { field, glide, performance }: RouteField,
  { x_m, y_m, track_rad }: Pick<LinePoint, "x_m" | "y_m" | "track_rad">,
  { altitude_m, groundSpeed_mps }: Pick<FlightPoint, "altitude_m" | "groundSpeed_mps">,
): NeededWithTurn {
  const reaction_s = plannedReaction_s(pilot);
  const moved_m = groundSpeed_mps * reaction_s;
  const [x, y] = [x_m + moved_m * Math.sin(track_rad), y_m + moved_m * Math.cos(track_rad)];
  const { sigma } = airAtAltitude(altitude_m, air);
  const turn_m = (to: { readonly x_m: number; readonly y_m: number }) => {
    const [dx, dy] = [to.x_m - x, to.y_m - y];
    // Overhead there is nothing to turn to.
    if (Math.hypot(dx, dy) < performance.turnRadiusSeaLevel_m / sigma) return 0;
    const angle_rad = Math.abs(wrapHalfTurn(Math.atan2(dx, dy) - track_rad));
    return (angle_rad * performance.turnHeightPerRadianSeaLevel_m) / sigma;
  };
  const here = coverAt(field, x, y, turn_m);
  if (!here) return { cover_m: null, reaction_m: 0, turn_m: 0, groundDecides: false, place: -1 };
  const reaction_m = (reaction_s * glide.sinkEas_mps) / Math.sqrt(sigma);
  return {
    cover_m: here.altitude_m + reaction_m + here.price_m,
    reaction_m,
    turn_m: here.price_m,
    groundDecides: here.groundDecides,
    place: here.site,
  };
}
