import { z } from "zod";
import type { AirMass } from "../air/altimetry";
import { Helicopter } from "../aircraft/helicopter";
import { SituationDocument } from "../situation/situation-document";

/** A helicopter in the air of a place. */
export interface HelicopterQuestion {
  readonly aircraft: Helicopter;
  readonly mass_kg: number;
  readonly altitude_m: number;
  readonly air: AirMass;
}

/** @see HelicopterQuestion */
export const HelicopterQuestion = z.strictObject({
  aircraft: Helicopter,
  mass_kg: SituationDocument.shape.mass_kg,
  altitude_m: SituationDocument.shape.altitude_m,
  air: SituationDocument.shape.air,
});

/** Speed of the air past a hovering helicopter: from whichever side, so that a negative one is what it amounts to. */
export const HoverWind = z
  .number("A wind is −30 to 30 m/s (58 kt).")
  .min(-30, "A wind is −30 to 30 m/s (58 kt).")
  .max(30, "A wind is −30 to 30 m/s (58 kt).");

/** Height of the skids above the ground; null out of ground effect. */
export const SkidsHeight = z
  .number("The skids are 0 to 300 m above the ground.")
  .min(0, "The skids are 0 to 300 m above the ground.")
  .max(300, "The skids are 0 to 300 m above the ground.")
  .nullable();

/** Rotor speed over the nominal one. */
export const RotorSpeed = z
  .number("A rotor speed is 70 to 110 %.")
  .min(0.7, "A rotor speed is 70 to 110 %.")
  .max(1.1, "A rotor speed is 70 to 110 %.");
