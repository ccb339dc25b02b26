import { z } from "zod";
import type { AirMass } from "../air/altimetry";
import { Gyroplane } from "../aircraft/gyroplane";
import { SituationDocument } from "../situation/situation-document";

/** A gyroplane in the air of a place. */
export interface GyroQuestion {
  readonly aircraft: Gyroplane;
  readonly mass_kg: number;
  readonly altitude_m: number;
  readonly air: AirMass;
}

/** @see GyroQuestion */
export const GyroQuestion = z.strictObject({
  aircraft: Gyroplane,
  mass_kg: SituationDocument.shape.mass_kg,
  altitude_m: SituationDocument.shape.altitude_m,
  air: SituationDocument.shape.air,
});

/** What the propeller does in a glide: standing still, or idling as practice has it. */
export const GyroEngine = z.enum(["stopped", "idling"]);
/** @see GyroEngine */
export type GyroEngine = z.infer<typeof GyroEngine>;

/** A headwind over the ground; negative from behind. */
export const Headwind = z
  .number("A headwind is −30 to 30 m/s (58 kt).")
  .min(-30, "A headwind is −30 to 30 m/s (58 kt).")
  .max(30, "A headwind is −30 to 30 m/s (58 kt).");

/** An airspeed of a gyroplane. */
export const GyroSpeed = z
  .number("A speed is 0 to 50 m/s (97 kt).")
  .min(0, "A speed is 0 to 50 m/s (97 kt).")
  .max(50, "A speed is 0 to 50 m/s (97 kt).");
