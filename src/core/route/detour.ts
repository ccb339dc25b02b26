// The way round a gap: the least extra time over ground from where the planned altitude keeps a place in reach.
//
// What is offered is flown once more as a route before it is offered.
import type { TerrainGrid } from "../earth/terrain";
import type { RoutePlan, RoutePoint } from "../situation/route-plan";
import type { Gap } from "./gap";
import { type RouteAnswer, routeAnswer } from "./route-answer";
import type { RouteField } from "./route-field";
import type { RouteQuestion } from "./route-question";
import { freeCells, isFree, wayRound } from "./way-round";

/** A way round a gap. */
export interface Detour {
  /** Index of the gap. */
  readonly gap: number;
  readonly extra_s: number;
  /** The whole route with it. */
  readonly route: RoutePlan;
  /** Its own points. */
  readonly points: readonly RoutePoint[];
  /** Names of the points that were planned and are flown over no more. */
  readonly without: readonly string[];
}

/** A detour has at most so many bends, and takes at most so much longer, s. */
const MOST_BENDS = 12;
const LONGEST_S = 3600;

/**
 * Ways round the gaps of a flight, one for each gap that can be flown round at the planned altitude.
 *
 * @param terrain - as for the answer
 */
export function detours(
  question: RouteQuestion,
  cover: RouteField,
  answer: RouteAnswer,
  terrain: TerrainGrid | null,
): Detour[] {
  return answer.gaps.flatMap((gap, i) => {
    const found = detour(question, cover, answer, gap, terrain);
    return found ? [{ gap: i, ...found }] : [];
  });
}

function detour(
  question: RouteQuestion,
  cover: RouteField,
  { points, time_s }: RouteAnswer,
  gap: Gap,
  terrain: TerrainGrid | null,
): Omit<Detour, "gap"> | null {
  const before = points.filter(({ distance_m }) => distance_m < gap.from_m);
  const after = points.filter(({ distance_m }) => distance_m > gap.to_m);
  // What begins or ends in a gap has no end to come back to.
  if (before.length === 0 || after.length === 0) return null;
  const map = freeCells(question, cover, before[before.length - 1].altitude_m);
  const start = before.findLast((point) => isFree(map, point));
  const end = after.find((point) => isFree(map, point) && (point.cover_m ?? Infinity) <= point.altitude_m);
  if (!start || !end) return null;
  const way = wayRound(map, cover, start, end);
  if (!way || way.length > MOST_BENDS) return null;
  const { plane } = cover;
  const { route } = question;
  const bends = way.map(({ x_m, y_m }, i): RoutePoint => ({
    name: `Round ${i + 1}`,
    position: plane.toLatLon({ x_m, y_m }),
    altitude_m: route.points[start.leg].altitude_m,
  }));
  const inserted: RoutePoint[] = [
    ...route.points.slice(0, start.leg + 1),
    { name: "Off", position: start.position, altitude_m: route.points[start.leg].altitude_m },
    ...bends,
    { name: "Back", position: end.position, altitude_m: route.points[end.leg].altitude_m },
    ...route.points.slice(end.leg + 1),
  ];
  if (inserted.length > 200) return null;
  const round = { ...route, points: inserted };
  const flown = routeAnswer({ ...question, route: round }, cover, terrain);
  if (!flown.ok) return null;
  const extra_s = flown.value.time_s - time_s;
  // Between where it leaves the way and where it comes back there must be no gap any more.
  const [left_m, back_m] = [
    start.distance_m,
    flown.value.length_m - (points[points.length - 1].distance_m - end.distance_m),
  ];
  const open = flown.value.gaps.some(({ from_m, to_m }) => to_m > left_m + 1 && from_m < back_m - 1);
  if (open || extra_s > LONGEST_S) return null;
  return {
    extra_s,
    route: round,
    points: inserted.slice(start.leg + 1, start.leg + 3 + bends.length),
    without: route.points.slice(start.leg + 1, end.leg + 1).map(({ name }) => name),
  };
}
