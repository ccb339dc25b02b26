// A route as a line of points 100 m apart, along the geodesics between its points.
import { type LatLon, destination, geodesicBetween } from "../earth/geodesic";
import type { LocalPlane } from "../earth/local-plane";
import { type Outcome, failure, success } from "../outcome";
import type { RoutePoint } from "../situation/route-plan";

/** A point of the line. */
export interface LinePoint {
  /** From the beginning of the route. */
  readonly distance_m: number;
  readonly position: LatLon;
  readonly x_m: number;
  readonly y_m: number;
  /** Direction flown there, in the plane. */
  readonly track_rad: number;
  /** Which leg it is on. */
  readonly leg: number;
}

/** Points lie no farther apart than this; they are spread out where a route would have too many. */
export const SPACING_M = 100;
const MOST_POINTS = 12_000;
/** Two points of a route that lie closer than this are one. */
const LEAST_LEG_M = 1;
/** Longest route, m. */
const LONGEST_M = 5_000_000;

/**
 * The line of a route.
 *
 * @returns `route_short` for fewer than two points, `route_stands` for two that are one, `route_long`
 */
export function routeLine(points: readonly RoutePoint[], plane: LocalPlane): Outcome<LinePoint[]> {
  if (points.length < 2) return failure("route_short", "A route has two points at least.", "route.points");
  const legs = points.slice(1).map((point, i) => geodesicBetween(points[i].position, point.position));
  const stands = legs.findIndex(({ distance_m }) => distance_m < LEAST_LEG_M);
  if (stands >= 0)
    return failure(
      "route_stands",
      `${points[stands].name} and ${points[stands + 1].name} are the same place: leave one of them out.`,
      `route.points.${stands + 1}`,
    );
  const length_m = legs.reduce((sum, { distance_m }) => sum + distance_m, 0);
  if (length_m > LONGEST_M)
    return failure("route_long", "A route is at most 5 000 km (2 700 NM) long.", "route.points");
  const spacing_m = Math.max(SPACING_M, length_m / MOST_POINTS);
  const line: LinePoint[] = [];
  let before_m = 0;
  legs.forEach(({ distance_m, azimuthStart_rad }, leg) => {
    const steps = Math.max(1, Math.ceil(distance_m / spacing_m));
    // The end of a leg is the beginning of the next.
    for (let i = 0; i < steps + (leg === legs.length - 1 ? 1 : 0); i += 1) {
      const along_m = (i / steps) * distance_m;
      const position = destination(points[leg].position, azimuthStart_rad, along_m);
      line.push({ distance_m: before_m + along_m, position, ...plane.toPlane(position), track_rad: 0, leg });
    }
    before_m += distance_m;
  });
  return success(
    line.map((point, i) => {
      // Forward, but back at the end of the route.
      const [a, b] = i < line.length - 1 ? [point, line[i + 1]] : [line[i - 1], point];
      return { ...point, track_rad: Math.atan2(b.x_m - a.x_m, b.y_m - a.y_m) };
    }),
  );
}
