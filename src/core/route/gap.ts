// Where along a flight what is needed lies above what is planned, and what closes that.
import type { RoutePlan } from "../situation/route-plan";
import type { ProfilePoint } from "./route-profile";

/** What is needed at a point of a flight. */
export interface Needed {
  /** Lowest altitude from which a place is in reach, reaction and turn counted; null where none ever is. */
  readonly cover_m: number | null;
  /** The ground decides, not the distance. */
  readonly groundDecides: boolean;
  /** Index of that place; −1 for none. */
  readonly place: number;
}

/** A point of a flight, as far as its gaps ask. */
export type GapPoint = Needed & Pick<ProfilePoint, "altitude_m" | "time_s" | "phase"> & { readonly distance_m: number };

/** Part of a flight from which no place is in reach. */
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

/** Two gaps with less than this between them are one, and a stretch shorter than this is none, m: 0.3 NM. */
const LEAST_M = 555.6;
/** A height is tried in steps of this: a hundred feet. */
export const ALTITUDE_STEP_M = 30.48;
/** Descents that are tried where the planned one is flatter than the glide: 700 to 3,000 ft/min. */
const STEEPER_MPS = [3.556, 5.08, 7.62, 10.16, 15.24];
/** What is needed is asked again at the altitude found, so often. */
const CLOSING_TRIES = 4;
/** The highest that is tried to close a gap, m. */
const HIGHEST_M = 6096;

/** What is missing at a point; more than nothing where no place is in reach. */
const short_m = ({ cover_m, altitude_m }: Pick<GapPoint, "cover_m" | "altitude_m">) =>
  cover_m === null ? Infinity : cover_m - altitude_m;

/** The gaps of a flight in their order. */
export function gapsOf(points: readonly Omit<GapPoint, "phase">[]): Omit<Gap, "closing">[] {
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

/**
 * The lowest altitude of the route, in hundreds of feet, at which a gap is none, with the flattest descent for it.
 *
 * @param route - with the rate that its descent is flown at where none is given
 * @param fly - the points of the flight by another plan; null where that cannot be flown
 * @param need - what is needed at a point of it
 */
export function closingOf<P extends GapPoint>(
  route: RoutePlan,
  points: readonly P[],
  gap: Omit<Gap, "closing">,
  fly: (route: RoutePlan) => readonly ProfilePoint[] | null,
  need: (point: P, flown: ProfilePoint) => Needed,
): Closing | null {
  if (gap.short_m === null) return null;
  const inGap = ({ distance_m }: P) => distance_m >= gap.from_m && distance_m <= gap.to_m;
  const within = points.filter(inGap);
  const wanted = (needed: readonly Needed[]) =>
    Math.ceil(Math.max(...needed.map(({ cover_m }) => cover_m ?? Infinity)) / ALTITUDE_STEP_M - 1e-9) * ALTITUDE_STEP_M;
  const steeper = STEEPER_MPS.filter((rate_mps) => rate_mps > (route.descent_mps ?? 0) + 0.01);
  for (const descent_mps of [null, ...steeper]) {
    let altitude_m = Math.max(wanted(within), route.altitude_m);
    let tooFlat = false;
    for (let i = 0; i < CLOSING_TRIES && altitude_m <= Math.max(HIGHEST_M, route.altitude_m); i += 1) {
      const flown = fly(flownAs(route, { altitude_m, descent_mps }));
      if (!flown) return null;
      const now = points.flatMap((point, j) => (inGap(point) ? [{ ...flown[j], ...need(point, flown[j]) }] : []));
      const left = now.filter((point) => short_m(point) > 0);
      if (left.length === 0) return { altitude_m, descent_mps };
      tooFlat = left.some(({ phase }) => phase === "descent");
      // Flown faster, the reaction leads farther: a little more may be needed.
      if (wanted(now) <= altitude_m) break;
      altitude_m = Math.max(wanted(now), altitude_m);
    }
    if (!tooFlat) return null;
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

/**
 * Which place holds which part. Parts too short to be told are those of the one before, but not a part that no place
 * holds.
 */
export function stretchesOf(points: readonly Omit<GapPoint, "phase">[]): Stretch[] {
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
    const told = stretch.place < 0 || stretch.to_m - stretch.from_m >= LEAST_M;
    if (last && (last.place === stretch.place || !told)) last.to_m = stretch.to_m;
    else merged.push({ ...stretch });
  }
  return merged;
}
