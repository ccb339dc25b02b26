// Changes of a route's points.
import type { LatLon } from "@/core/earth/geodesic";
import type { LocalPlane, PlanePoint } from "@/core/earth/local-plane";
import type { RoutePlan, RoutePoint } from "@/core/situation/route-plan";

/** A point has not been moved while it lies within this of where it was, m. */
const STILL_M = 1;

/** A name that no point has yet: "P3". */
export function freeName(points: readonly RoutePoint[]): string {
  const taken = new Set(points.map(({ name }) => name));
  for (let i = points.length; ; i += 1) if (!taken.has(`P${i}`)) return `P${i}`;
}

/** The points of a route after its line was dragged: one moved, or one put in. */
export function movedPoints(
  before: readonly RoutePoint[],
  now: readonly PlanePoint[],
  plane: LocalPlane,
): RoutePoint[] {
  const still = (point: RoutePoint, { x_m, y_m }: PlanePoint) => {
    const here = plane.toPlane(point.position);
    return Math.hypot(here.x_m - x_m, here.y_m - y_m) < STILL_M;
  };
  if (now.length === before.length)
    return before.map((point, i) => (still(point, now[i]) ? point : { ...point, position: plane.toLatLon(now[i]) }));
  const at = now.findIndex((point, i) => i >= before.length || !still(before[i], point));
  const put: RoutePoint = { name: freeName(before), position: plane.toLatLon(now[at]), altitude_m: null };
  return [...before.slice(0, at), put, ...before.slice(at)];
}

/** The route flown the other way. An altitude belongs to the leg after its point: it goes with the leg. */
export function reversed(points: readonly RoutePoint[]): RoutePoint[] {
  return points.map((point, i) => ({ ...point, altitude_m: i === 0 ? null : points[i - 1].altitude_m })).reverse();
}

/** A point more at the end. */
export function withPoint(points: readonly RoutePoint[], name: string, position: LatLon): RoutePoint[] {
  return [...points, { name: name.slice(0, 40), position, altitude_m: null }];
}

/** A point moved up or down the list. */
export function shifted(points: readonly RoutePoint[], index: number, by: 1 | -1): RoutePoint[] {
  const next = [...points];
  const [point] = next.splice(index, 1);
  next.splice(index + by, 0, point);
  return next;
}

/** Name of the points of a climb-out that was planned. */
const TURN = "Turn out";

/** The route with its climb-out by these turns, in place of the one that was planned before. */
export function withClimbOut(route: RoutePlan, turns: readonly PlanePoint[], plane: LocalPlane): RoutePlan {
  const [first, ...rest] = route.points.filter(({ name }) => !name.startsWith(TURN));
  const put = turns.map((turn, i): RoutePoint => ({
    name: `${TURN} ${i + 1}`,
    position: plane.toLatLon(turn),
    altitude_m: first.altitude_m,
  }));
  return { ...route, points: [first, ...put, ...rest] };
}
