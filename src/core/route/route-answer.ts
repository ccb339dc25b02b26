// A planned flight held against its cover: where no place is in reach, by how much, and what closes the gap.
import { airAtAltitude } from "../air/altimetry";
import { localPlane } from "../earth/local-plane";
import { type TerrainGrid, elevationAt_m } from "../earth/terrain";
import { coverAt } from "../cover/cover-way";
import { wrapHalfTurn } from "../quantities/angle";
import { type Outcome, success } from "../outcome";
import type { RoutePlan } from "../situation/route-plan";
import { plannedReaction_s } from "../situation/pilot-practice";
import type { RouteField } from "./route-field";
import { type LinePoint, routeLine } from "./route-line";
import { type ProfilePoint, type RouteProfile, routeProfile } from "./route-profile";
import type { RouteQuestion } from "./route-question";

/** A point of the flight, with its cover. */
export interface FlightPoint extends LinePoint, ProfilePoint, Needed {
  /** Highest ground near; null where none is known. */
  readonly ground_m: number | null;
}

/** What is needed at a point. */
export interface Needed {
  /** Lowest altitude from which a place is in reach, reaction and turn counted; null where none ever is. */
  readonly cover_m: number | null;
  /** Of that, for the reaction and the first turn. */
  readonly reaction_m: number;
  readonly turn_m: number;
  /** @see CoverHere */
  readonly groundDecides: boolean;
  /** Index of that place; −1 for none. */
  readonly place: number;
}

/** Part of the flight from which no place is in reach. */
export interface Gap {
  readonly from_m: number;
  readonly to_m: number;
  readonly time_s: number;
  /** Seconds from the beginning of the flight. */
  readonly fromTime_s: number;
  /** Most that is missing; null where no altitude helps. */
  readonly short_m: number | null;
  readonly worstAt_m: number;
  /** At its worst the ground decides, not the distance. */
  readonly groundDecides: boolean;
  /** How the route is flown so that it is closed; null where no altitude does that, as in the climb. */
  readonly closing: Closing | null;
}

/** What closes a gap. */
export interface Closing {
  /** Least altitude of the route. */
  readonly altitude_m: number;
  /** Rate of the last descent, where the planned one is too flat to stay in reach. */
  readonly descent_mps: number | null;
}

/** A stretch of the flight that one place holds; −1 for none. */
export interface Stretch {
  readonly place: number;
  readonly from_m: number;
  readonly to_m: number;
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
  /** Names of the places, by index. */
  readonly places: RouteField["places"];
  readonly flat: boolean;
  readonly left: RouteField["left"];
}

/** Ground counts this far beside the way, m. */
const BESIDE_M = 400;
/** Two gaps with less than this between them are one, and a stretch shorter than this is none, m: 0.3 NM. */
const LEAST_M = 555.6;
/** Ends of a route that lie this near to a place begin and end there, m. */
const AT_PLACE_M = 2500;
/** The end of a flight is looked at with this much wind from behind, and this much height over what is needed. */
const FAST_WIND_MPS = 15;
const END_SPARE_M = 15;
/** A height is tried in steps of this: a hundred feet. */
const ALTITUDE_STEP_M = 30.48;
/** Descents that are tried where the planned one is flatter than the glide: 700 to 3,000 ft/min. */
const STEEPER_MPS = [3.556, 5.08, 7.62, 10.16, 15.24];
/** What is needed is asked again at the altitude found, so often. */
const CLOSING_TRIES = 4;
/** The highest that is tried to close a gap, m. */
const HIGHEST_M = 6096;

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
  const gaps = gapsOf(points).map((gap) => ({ ...gap, closing: closingOf(question, cover, points, gap) }));
  const last = points[points.length - 1];
  return success({
    points,
    profile: flown,
    gaps,
    stretches: stretchesOf(points),
    length_m: last.distance_m,
    time_s: last.time_s,
    withoutPlace_s: gaps.reduce((sum, { time_s }) => sum + time_s, 0),
    places: cover.places,
    flat: cover.flat,
    left: cover.left,
  });
}

/**
 * Altitudes at which the flight begins and ends: on the ground of a place, and over one so high that the approach can
 * begin without the engine; otherwise as it is planned.
 */
function endsOf(
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
): Needed {
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

/** What is missing at a point; more than nothing where no place is in reach. */
const short_m = ({ cover_m, altitude_m }: Pick<FlightPoint, "cover_m" | "altitude_m">) =>
  cover_m === null ? Infinity : cover_m - altitude_m;

function gapsOf(points: readonly FlightPoint[]): Omit<Gap, "closing">[] {
  const parts: [number, number][] = [];
  points.forEach((point, i) => {
    if (!(short_m(point) > 0)) return;
    const last = parts[parts.length - 1];
    if (last && point.distance_m - points[last[1]].distance_m < LEAST_M) last[1] = i;
    else parts.push([i, i]);
  });
  return parts.map(([from, to]) => {
    const [first, last] = [points[Math.max(0, from - 1)], points[Math.min(points.length - 1, to + 1)]];
    const worst = points.slice(from, to + 1).reduce((most, point) => (short_m(point) > short_m(most) ? point : most));
    const missing_m = short_m(worst);
    return {
      from_m: first.distance_m,
      to_m: last.distance_m,
      time_s: last.time_s - first.time_s,
      fromTime_s: first.time_s,
      short_m: missing_m === Infinity ? null : missing_m,
      worstAt_m: worst.distance_m,
      groundDecides: worst.groundDecides,
    };
  });
}

/** The lowest altitude of the route, in hundreds of feet, at which a gap is none, with the flattest descent for it. */
function closingOf(
  question: RouteQuestion,
  cover: RouteField,
  points: readonly FlightPoint[],
  gap: Omit<Gap, "closing">,
): Closing | null {
  if (gap.short_m === null) return null;
  const within = points.filter(({ distance_m }) => distance_m >= gap.from_m && distance_m <= gap.to_m);
  const wanted = (points_: readonly Needed[]) =>
    Math.ceil(Math.max(...points_.map(({ cover_m }) => cover_m ?? Infinity)) / ALTITUDE_STEP_M - 1e-9) *
    ALTITUDE_STEP_M;
  const steeper = within.some(({ phase }) => phase === "descent")
    ? STEEPER_MPS.filter((rate_mps) => rate_mps > (question.route.descent_mps ?? 0) + 0.01)
    : [];
  for (const descent_mps of [null, ...steeper]) {
    let altitude_m = Math.max(wanted(within), question.route.altitude_m);
    for (let i = 0; i < CLOSING_TRIES && altitude_m <= Math.max(HIGHEST_M, question.route.altitude_m); i += 1) {
      const higher = { ...question, route: flownAs(question.route, { altitude_m, descent_mps }) };
      const profile = routeProfile(higher, points, endsOf(higher, cover, points), cover.wind);
      if (!profile.ok) return null;
      const now = points.flatMap((point, j) => {
        const flown = profile.value.points[j];
        return point.distance_m < gap.from_m || point.distance_m > gap.to_m
          ? []
          : [{ ...flown, ...coverOn(question, cover, point, flown) }];
      });
      if (!now.some((point) => short_m(point) > 0)) return { altitude_m, descent_mps };
      // Flown faster, the reaction leads farther: a little more may be needed.
      if (wanted(now) <= altitude_m) break;
      altitude_m = Math.max(wanted(now), altitude_m);
    }
  }
  return null;
}

/** A route flown as what closes a gap says. */
export function flownAs(route: RoutePlan, { altitude_m, descent_mps }: Closing): RoutePlan {
  return {
    ...route,
    altitude_m: Math.max(route.altitude_m, altitude_m),
    descent_mps: descent_mps ?? route.descent_mps,
    points: route.points.map((point, i) =>
      i === route.points.length - 1 || point.altitude_m === null || point.altitude_m >= altitude_m
        ? point
        : { ...point, altitude_m },
    ),
  };
}

/** Which place holds which part; parts too short to be told are those of the one before. */
function stretchesOf(points: readonly FlightPoint[]): Stretch[] {
  const stretches: { place: number; from_m: number; to_m: number }[] = [];
  points.forEach((point, i) => {
    const place = short_m(point) > 0 ? -1 : point.place;
    const to_m = points[Math.min(i + 1, points.length - 1)].distance_m;
    const last = stretches[stretches.length - 1];
    if (last?.place === place) last.to_m = to_m;
    else stretches.push({ place, from_m: point.distance_m, to_m });
  });
  const merged: typeof stretches = [];
  for (const stretch of stretches) {
    const last = merged[merged.length - 1];
    if (last && (last.place === stretch.place || stretch.to_m - stretch.from_m < LEAST_M)) last.to_m = stretch.to_m;
    else merged.push({ ...stretch });
  }
  return merged;
}
