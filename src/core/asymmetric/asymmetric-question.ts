import type { AirMass } from "../air/altimetry";
import { z } from "zod";
import { Aeroplane } from "../aircraft/aeroplane";
import { PropellerState } from "../aircraft/propeller-state";
import { SituationDocument } from "../situation/situation-document";

/** What is asked about steady flight on one engine of two. */
export interface AsymmetricQuestion {
  readonly aircraft: Aeroplane;
  readonly mass_kg: number;
  /** 0 at the forward limit, 1 at the aft limit. */
  readonly centreOfGravity: number;
  readonly altitude_m: number;
  readonly air: AirMass;
  readonly flap: number;
  readonly gearDown: boolean;
  /** Ids of the aircraft's drag items that are open. */
  readonly items: readonly string[];
  readonly deadPropeller: PropellerState;
  readonly failed: "left" | "right";
  /** Share of the live engine's full power. */
  readonly setting: number;
}

/** @see AsymmetricQuestion */
export const AsymmetricQuestion = z.strictObject({
  aircraft: Aeroplane,
  mass_kg: SituationDocument.shape.mass_kg,
  centreOfGravity: SituationDocument.shape.centreOfGravity,
  altitude_m: SituationDocument.shape.altitude_m,
  air: SituationDocument.shape.air,
  flap: z.int().min(0).max(7),
  gearDown: z.boolean(),
  items: z.array(z.string().max(40, "At most 40 characters.")).max(12),
  deadPropeller: PropellerState,
  failed: z.enum(["left", "right"]),
  setting: z
    .number()
    .min(0, "A setting is 0 to 1 of full power.")
    .max(1, "A setting is 0 to 1 of full power.")
    .default(1),
});

/** Bank into the live engine. */
export const LiveBank = z
  .number()
  .min(-0.17, "Bank into the live engine is −10° to 20°.")
  .max(0.35, "Bank into the live engine is −10° to 20°.");
/** Equivalent airspeed. */
export const FlightSpeed = z.number().min(10, "A speed is 20 to 390 kt.").max(200, "A speed is 20 to 390 kt.");
