// Too high on the way in: what is asked.
import { z } from "zod";
import { Aeroplane } from "../aircraft/aeroplane";
import { Configuration } from "../aircraft/configuration";
import { LandingPlan } from "../situation/landing-plan";
import { Pilot, SituationDocument } from "../situation/situation-document";

/** What is to be lost, and with what. */
export const LoseQuestion = z.strictObject({
  aircraft: Aeroplane,
  mass_kg: SituationDocument.shape.mass_kg,
  configuration: Configuration,
  air: SituationDocument.shape.air,
  /** Above the sea, of the aim point. */
  elevation_m: SituationDocument.shape.altitude_m,
  /** Over the aim point, straight ahead of it. */
  height_m: z.number().min(10, "There must be some height over the aim point.").max(15_000, "Heights end at 15 000 m."),
  /** To be lost on the way beyond the glide as it is flown. */
  lose_m: z.number().min(0, "Height to lose is 0 or more.").max(15_000, "Heights end at 15 000 m."),
  /** Air motion along the way in, a headwind negative. */
  tailwind_mps: z
    .number()
    .min(-40, "A wind along the way in is −78 to 78 kt.")
    .max(40, "A wind along the way in is −78 to 78 kt."),
  /** Equivalent airspeed flown; null takes best glide as configured, at least 1.2 V_S. */
  eas_mps: z.number().min(10, "A speed flown is 20 to 500 kt.").max(260, "A speed flown is 20 to 500 kt.").nullable(),
  bank_rad: Pilot.shape.bank_rad,
  stallMargin: Pilot.shape.stallMargin,
  allowed: LandingPlan.shape.allowed,
  turnFloor_m: LandingPlan.shape.turnFloor_m,
  certain_m: LandingPlan.shape.certain_m,
});
/** @see LoseQuestion */
export type LoseQuestion = z.infer<typeof LoseQuestion>;
