import { z } from "zod";
import { DEFAULT_TAKE_OFF, TakeOffPlan } from "./take-off-plan";

const range = (min: number, max: number, message: string) => z.number(message).min(min, message).max(max, message);

/** How a departure is to be flown and judged. */
export const DeparturePlan = z.strictObject({
  /**
   * Landing end of the library whose direction is the take-off's; null takes the end of the nearest aerodrome most into
   * the wind.
   */
  endId: z.string().max(140).nullable(),
  /** Where the take-off begins, from the beginning of the runway. */
  intersection_m: range(0, 6000, "An intersection lies 0 to 6 000 m along the runway."),
  /** Index into the aircraft's flaps; null takes its take-off flap. */
  flap: z.int().min(0).max(7).nullable(),
  /** Index into the aircraft's flaps for the landing after the turn back; null takes its landing flap. */
  landingFlap: z.int().min(0).max(7).nullable(),
  /** Climb speed, equivalent; null takes the handbook's V_Y. */
  climb_mps: range(10, 200, "A climb speed is 20 to 390 kt.").nullable(),
  /** Height of an early turn crosswind; null climbs straight out. */
  crosswind: z
    .strictObject({
      height_m: range(15, 762, "A crosswind turn begins 50 to 2 500 ft above the runway."),
      side: z.enum(["left", "right"]),
    })
    .nullable(),
  reaction: z.enum(["attitude", "hands-off"]),
  /** Bank of the turn back; null takes the best of 20, 30, 45 and 60° that has been practised. */
  bank_rad: range(0.1745, 1.0647, "A turn back is flown with 10° to 61° of bank.").nullable(),
  practisedBank_rad: range(0.1745, 1.0647, "The greatest practised bank is 10° to 61°."),
  /** k: speed in the turn back over the stall speed there. */
  stallMargin: range(
    1.05,
    2,
    "The stall margin in the turn is 1.05 to 2 times the stall speed there; 1.1 to 1.2 is usual.",
  ),
  requiredChance: range(0.5, 0.99, "The chance asked for is 50 to 99 %."),
  school: z.enum(["fixed", "computed", "higher", "spot-ahead"]),
  /** The fixed heights: ahead below the first, near the nose below the second. */
  fixedAhead_m: range(30, 1500, "The fixed heights are 100 to 4 900 ft."),
  fixedConsider_m: range(30, 1500, "The fixed heights are 100 to 4 900 ft."),
  /** Altitude that stands for the ground in practice. */
  hardDeck_m: range(300, 4000, "A hard deck is 980 to 13 100 ft."),
  /** With two engines. */
  twoEngines: TakeOffPlan,
});

/** @see DeparturePlan */
export type DeparturePlan = z.infer<typeof DeparturePlan>;

/** What a departure starts from; fixed heights and margins are common practice. */
export const DEFAULT_DEPARTURE: DeparturePlan = {
  endId: null,
  intersection_m: 0,
  flap: null,
  landingFlap: null,
  climb_mps: null,
  crosswind: null,
  reaction: "hands-off",
  bank_rad: null,
  practisedBank_rad: 0.7854,
  stallMargin: 1.1,
  requiredChance: 0.9,
  school: "higher",
  fixedAhead_m: 152.4,
  fixedConsider_m: 304.8,
  hardDeck_m: 914.4,
  twoEngines: DEFAULT_TAKE_OFF,
};
