// What is asked about a flown flight: the day and the aircraft as for a planned one, and where it was when.
import { z } from "zod";
import { LatLon } from "../earth/geodesic";
import { RouteQuestion } from "../route/route-question";
import { RoutePlan } from "../situation/route-plan";

/** Of a flight: on the ground; low after take-off or before landing; with the engine stopped. */
export const FLOWN_PHASES = ["ground", "low", "climb", "level", "descent", "stopped"] as const;
/** @see FLOWN_PHASES */
export type FlownPhase = (typeof FLOWN_PHASES)[number];

/** Most fixes that are asked about: as many as are drawn. */
const MOST_FIXES = 8001;

/** Where the aircraft was at a moment. */
export const FlownFix = z.strictObject({
  time_s: z.number().min(0).max(1e7),
  position: LatLon,
  altitude_m: z.number().min(-500, "An altitude is −500 m to 25 km.").max(25_000, "An altitude is −500 m to 25 km."),
  groundSpeed_mps: z.number().min(0).max(400, "A speed is at most 400 m/s."),
  phase: z.enum(FLOWN_PHASES),
});
/** @see FlownFix */
export type FlownFix = z.infer<typeof FlownFix>;

/** The question, in one object. */
export const ExposureQuestion = RouteQuestion.omit({ route: true }).extend({
  route: RoutePlan.pick({ overhead_m: true, places: true }),
  track: z
    .array(FlownFix)
    .min(2, "A flight has two fixes at least.")
    .max(MOST_FIXES, `At most ${MOST_FIXES} fixes at once.`)
    .refine((track) => track.every(({ time_s }, i) => i === 0 || time_s > track[i - 1].time_s), "Times rise."),
});
/** @see ExposureQuestion */
export type ExposureQuestion = z.infer<typeof ExposureQuestion>;
