import { z } from "zod";

const range = (min: number, max: number, message: string) => z.number(message).min(min, message).max(max, message);

/** A train of waves as it is seen from above. */
export const Swell = z.strictObject({
  /** Trough to crest. */
  height_m: range(0, 15, "A swell is 0 to 15 m (49 ft) high."),
  period_s: range(2, 25, "A swell has a period of 2 to 25 s: a period of 0 is no swell."),
  /** Where it comes from, true. */
  from_rad: range(0, 2 * Math.PI, "A direction is 0 to 360°."),
});
/** @see Swell */
export type Swell = z.infer<typeof Swell>;

/** A ship that was seen, as bearing and distance from the aircraft. */
export const Ship = z.strictObject({
  name: z.string().trim().min(1, "A ship needs a name, if only “ship”.").max(40, "At most 40 characters."),
  bearing_rad: range(0, 2 * Math.PI, "A bearing is 0 to 360°."),
  distance_m: range(0, 200_000, "A ship within sight is 0 to 108 NM away."),
});
/** @see Ship */
export type Ship = z.infer<typeof Ship>;

/** What can be done with height to lose, in the order in which it is used. */
export const LossAction = z.enum(["turn", "s-turns", "speed", "slip", "flap", "gear", "last-flap"]);
/** @see LossAction */
export type LossAction = z.infer<typeof LossAction>;

/** How landing lengths are judged. */
export const LengthRule = z.enum(["computed", "factor", "leaflet", "own"]);
/** @see LengthRule */
export type LengthRule = z.infer<typeof LengthRule>;

/** What is said on the radio besides where and how high. */
export const CallPlan = z.strictObject({
  callSign: z
    .string()
    .trim()
    .min(2, "A call sign has 2 to 20 characters.")
    .max(20, "A call sign has 2 to 20 characters."),
  aboard: z
    .int("People on board are a whole number.")
    .min(1, "There is at least one person on board.")
    .max(900, "At most 900 people."),
  /** Of fuel; null when it is not known. */
  endurance_s: range(0, 86_400, "An endurance is 0 to 24 hours.").nullable(),
  nature: z.enum(["engine-failure", "one-engine", "fire", "rough", "fuel"]),
  /** Whom it is said to: anybody on the frequency in use, or a tower that is talked to already. */
  to: z.enum(["all", "tower"]),
  degree: z.enum(["distress", "urgency"]),
});
/** @see CallPlan */
export type CallPlan = z.infer<typeof CallPlan>;

/** How a forced landing or ditching is planned, beside the path to it. */
export const LandingPlan = z.strictObject({
  /** Index into the aircraft's flaps; null takes its landing flap. */
  flap: z.int().min(0).max(7).nullable(),
  wet: z.boolean(),
  rule: LengthRule,
  /** What the user's own authority or operator multiplies by, for the rule of that name. */
  ownFactor: range(1, 3, "A factor on landing distance is 1 to 3."),
  /** Most wind from behind that a landing is planned with. */
  tailwindLimit_mps: range(0, 15, "A tailwind limit is 0 to 29 kt; 10 kt is usual."),
  /** Most wind from the side; null takes 15 kt or 0.2 V_S0, whichever is more. */
  crosswindLimit_mps: range(0, 30, "A crosswind limit is 0 to 58 kt.").nullable(),
  /** Time of day for the sun, UTC; null leaves the sun out. */
  utc_h: range(0, 24, "A time of day is 0 to 24 h UTC.").nullable(),
  allowed: z.array(LossAction).max(7),
  /** No full turn ends lower than this above the landing place. */
  turnFloor_m: range(60, 1500, "A full turn ends 200 to 4 920 ft or more above the ground."),
  /** Below this it is certain that the place is made: gear and last flap come out. */
  certain_m: range(15, 600, "Certain is 50 to 1 970 ft above the landing place."),
  /** Schools of one-engine approach. */
  gear: z.enum(["late", "usual"]),
  /** Retractable gear is left up on touchdown. */
  wheelsUp: z.boolean(),
  /** Stopping: load in g that is counted on when something solid is met. */
  stopping: range(0.05, 30, "A mean deceleration is 0.05 to 30 g."),
  swells: z.array(Swell).max(2, "Two systems of swell at most: the primary and one across it."),
  ships: z.array(Ship).max(4, "At most four ships."),
  call: CallPlan,
});
/** @see LandingPlan */
export type LandingPlan = z.infer<typeof LandingPlan>;

/** What a landing plan starts from; floors, heights and 10 kt of tailwind are common practice. */
export const DEFAULT_LANDING: LandingPlan = {
  flap: null,
  wet: false,
  rule: "factor",
  ownFactor: 1.67,
  tailwindLimit_mps: 5.14444,
  crosswindLimit_mps: null,
  utc_h: null,
  allowed: ["turn", "s-turns", "slip", "flap", "gear", "last-flap"],
  turnFloor_m: 304.8,
  certain_m: 91.44,
  gear: "late",
  wheelsUp: false,
  stopping: 0.3,
  swells: [{ height_m: 2, period_s: 10, from_rad: 3.92699 }],
  ships: [],
  call: {
    callSign: "Alder Two Seven",
    aboard: 2,
    endurance_s: 7200,
    nature: "engine-failure",
    to: "all",
    degree: "distress",
  },
};
