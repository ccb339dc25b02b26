import { z } from "zod";
import { Gyroplane } from "../aircraft/gyroplane";
import { Helicopter } from "../aircraft/helicopter";
import type { AirMass } from "../air/altimetry";

/** Either kind of aircraft that a rotor carries. */
export const Rotorcraft = z.discriminatedUnion("category", [Helicopter, Gyroplane]);
/** @see Rotorcraft */
export type Rotorcraft = z.infer<typeof Rotorcraft>;

/** A rotorcraft in the air of a place. */
export interface RotorQuestion {
  readonly aircraft: Rotorcraft;
  readonly mass_kg: number;
  readonly altitude_m: number;
  readonly air: AirMass;
}
