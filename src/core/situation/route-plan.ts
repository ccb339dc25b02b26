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
  /** Rates; null: the aircraft's own climb, and what is usual for its kind down. */
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
    /** Ids of places that are left out by hand. */
    except: z.array(z.string().min(1).max(64)).max(400, "At most 400 places are left out."),
  }),
  /** One engine of two, en route. */
  oneEngine: z.strictObject({
    /** Height wanted over the ground on the way. */
    clearance_m: range(0, 1500, "A clearance is 0 to 1 500 m (4 920 ft)."),
    /** Ground so far to either side counts. */
    beside_m: range(0, 10_000, "Ground counts 0 to 10 km (5.4 NM) to either side."),
    /** Taken off the gradient for the net path. */
    decrement: range(0, 0.05, "A decrement is 0 to 5 %."),
    /** Ids of the alternates; none: those that are nearest to the route. */
    alternates: z.array(z.string().min(1).max(64)).max(4, "At most 4 alternates."),
  }),
  /** How the climb-out may be flown, where it is asked for the way with the least time without a place. */
  climbOut: z.strictObject({
    /** No turn under this height over the runway. */
    earliestTurn_m: range(30, 1000, "An earliest turn is at 30 to 1 000 m (100 to 3 280 ft)."),
    side: z.enum(["either", "left", "right"]),
    /** What is not flown over. */
    avoid: z
      .array(
        z.strictObject({
          name: RoutePoint.shape.name,
          position: LatLon,
          radius_m: range(50, 10_000, "A radius is 50 m to 10 km."),
        }),
      )
      .max(10, "At most 10 places are kept clear of."),
  }),
});
/** @see RoutePlan */
export type RoutePlan = z.infer<typeof RoutePlan>;

/**
 * What a route starts from. A thousand feet overhead and no turn under 500 ft are common practice; 2,000 ft over the
 * ground and 1.1 % are examples of rules: 14 CFR 121.191, 25.123 (memory).
 */
export const DEFAULT_ROUTE: RoutePlan = {
  points: [],
  altitude_m: 1066.8,
  tas_mps: null,
  climb_mps: null,
  descent_mps: null,
  flow_m3ph: null,
  overhead_m: 304.8,
  places: { runways: true, fields: true, beaches: true, least_m: 250, except: [] },
  oneEngine: { clearance_m: 609.6, beside_m: 2963.2, decrement: 0.011, alternates: [] },
  climbOut: { earliestTurn_m: 152.4, side: "either", avoid: [] },
};
