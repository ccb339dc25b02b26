// Where an aircraft is loaded, how much it may carry there, and between which arms its centre of gravity may lie.
import { z } from "zod";

const range = (what: string, low: number, high: number) => {
  const message = `${what} is ${low} to ${high}.`;
  return z.number(message).min(low, message).max(high, message);
};
const name = z.string().trim().min(1, "It needs a name.").max(30, "At most 30 characters.");
const id = z
  .string()
  .max(40, "At most 40 characters.")
  .regex(/^[a-z][a-z0-9-]*$/, "An id is small letters, digits and hyphens.");
/** From the datum, aft positive. */
const arm_m = range("An arm, in m from the datum,", -60, 60);

/** A row of seats or a baggage space. */
export const Station = z.strictObject({
  id,
  name,
  arm_m,
  maximum_kg: range("What a place may carry, in kg,", 1, 50_000),
});
/** @see Station */
export type Station = z.infer<typeof Station>;

/** A tank, or tanks that empty together. */
export const Tank = z.strictObject({ id, name, arm_m, capacity_m3: range("A tank, in m³,", 0.001, 100) });
/** @see Tank */
export type Tank = z.infer<typeof Tank>;

/** A corner of the limits of mass and centre of gravity. */
export const LimitCorner = z.strictObject({ mass_kg: range("A mass, in kg,", 50, 700_000), arm_m });
/** @see LimitCorner */
export type LimitCorner = z.infer<typeof LimitCorner>;

const { min, max } = Math;

/** Whether a line of constant mass meets the limits in one piece, corner by corner. */
function isOnePiece(limits: readonly LimitCorner[]): boolean {
  const masses = [...new Set(limits.map((corner) => corner.mass_kg))].sort((a, b) => a - b);
  return masses.slice(1).every((upper, i) => {
    const middle = (masses[i] + upper) / 2;
    const crossings = limits.filter((corner, at) => {
      const next = limits[(at + 1) % limits.length];
      return min(corner.mass_kg, next.mass_kg) < middle && max(corner.mass_kg, next.mass_kg) > middle;
    });
    return crossings.length === 2;
  });
}

/** How it is loaded, as its weighing and its handbook have it. */
export const LoadingPlan = z
  .strictObject({
    /** Where arms are counted from, as the handbook says it. */
    datum: z.string().trim().max(60, "At most 60 characters."),
    /** Empty as weighed, with unusable fuel and oil. */
    empty_kg: range("An empty mass, in kg,", 50, 700_000),
    emptyArm_m: arm_m,
    stations: z.array(Station).min(1, "At least one seat.").max(12, "At most 12 places."),
    tanks: z.array(Tank).max(6, "At most 6 tanks."),
    fuelDensity_kgpm3: range("A fuel’s density, in kg/m³,", 600, 1000),
    /** Corners in order, once round. */
    limits: z.array(LimitCorner).min(3, "Limits have at least three corners.").max(20, "At most 20 corners."),
  })
  .superRefine(({ stations, tanks, limits }, context) => {
    const ids = [...stations, ...tanks].map((place) => place.id);
    if (new Set(ids).size < ids.length)
      context.addIssue({ code: "custom", path: ["stations"], message: "Two places have the same id." });
    if (new Set(limits.map((corner) => corner.mass_kg)).size < 2 || !isOnePiece(limits))
      context.addIssue({
        code: "custom",
        path: ["limits"],
        message: "The corners are given in order, once round: at each mass there is one forward and one aft limit.",
      });
  });
/** @see LoadingPlan */
export type LoadingPlan = z.infer<typeof LoadingPlan>;

/** What is on board, by place, and what of the fuel is burnt until when. */
export const Load = z.strictObject({
  stations: z.array(z.strictObject({ id, mass_kg: range("A load, in kg,", 0, 50_000) })).max(12, "At most 12 places."),
  tanks: z.array(z.strictObject({ id, volume_m3: range("Fuel, in m³,", 0, 100) })).max(6, "At most 6 tanks."),
  burntAtFailure_m3: range("Fuel burnt, in m³,", 0, 500),
  burntAtLanding_m3: range("Fuel burnt, in m³,", 0, 500),
  /** Which of the three masses is the situation's. */
  moment: z.enum(["now", "failure", "landing"]),
});
/** @see Load */
export type Load = z.infer<typeof Load>;
