import { z } from "zod";
import { LatLon } from "../earth/geodesic";

const range = (min: number, max: number, message: string) => z.number(message).min(min, message).max(max, message);
const altitude_m = range(-500, 15_000, "An altitude is −500 m to 15 000 m (49 200 ft).");

/** A point that the flight leads over. */
export const RoutePoint = z.strictObject({
  name: z.string().trim().min(1, "A point needs a name.").max(40, "At most 40 characters."),
  position: LatLon,
  /** Of the leg that begins here, of the last point that of the end; null: the altitude of the route. */
  altitude_m: altitude_m.nullable(),
});
/** @see RoutePoint */
export type RoutePoint = z.infer<typeof RoutePoint>;

/** A flight that is planned, and what counts as a place to land beside it. */
export const RoutePlan = z.strictObject({
  points: z.array(RoutePoint).max(200, "A route has at most 200 points."),
  altitude_m,
  /** True airspeed of the cruise; null: the aircraft's own at the usual power. */
  tas_mps: range(10, 340, "A cruising speed is 20 to 660 kt.").nullable(),
  /** Rates; null: the aircraft's own climb, and 500 ft/min down. */
  climb_mps: range(0.2, 60, "A climb is 40 to 11 800 ft/min.").nullable(),
  descent_mps: range(0.2, 60, "A descent is 40 to 11 800 ft/min.").nullable(),
  /** Fuel burnt by the hour, m³; null where it is not counted. */
  flow_m3ph: range(0.001, 50, "A fuel flow is 1 to 50 000 litres an hour.").nullable(),
  /** Height wanted overhead a place, for the approach. */
  overhead_m: range(0, 1500, "A height overhead is 0 to 1 500 m (4 920 ft); 1 000 ft is usual."),
  /** Which kinds of places count, and the shortest of them. */
  places: z.strictObject({
    runways: z.boolean(),
    fields: z.boolean(),
    beaches: z.boolean(),
    least_m: range(0, 5000, "A least length is 0 to 5 000 m."),
  }),
});
/** @see RoutePlan */
export type RoutePlan = z.infer<typeof RoutePlan>;

/** What a route starts from; a thousand feet overhead is common practice. */
export const DEFAULT_ROUTE: RoutePlan = {
  points: [],
  altitude_m: 1066.8,
  tas_mps: null,
  climb_mps: null,
  descent_mps: null,
  flow_m3ph: null,
  overhead_m: 304.8,
  places: { runways: true, fields: true, beaches: true, least_m: 250 },
};
