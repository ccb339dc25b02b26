// What of an aeroplane only its motion depends on: inertia, tail, damping, propeller shaft. The steady flight of the
// other sections stays as it is; nothing here is a second polar.
import { z } from "zod";
import { range } from "./document-fields";

/**
 * Control sideways, that one-engine flight needs as well. Signs as in flight mechanics: see the equations of one-engine
 * flight. A derivative whose sign makes an aeroplane is held to it.
 */
export const SIDEWAYS = {
  cl0: range("CL0", -1, 2),
  cdBeta: range("CDβ", 0, 10),
  cyBeta: range("CYβ", -5, -0.05),
  clBeta: range("Clβ", -1, 0.2),
  cnBeta: range("Cnβ", 0.005, 1),
  clDeltaA: range("Clδa", 0.01, 2),
  cnDeltaA: range("Cnδa", -0.5, 0.5),
  finArm_m: range("The fin’s arm, in m,", 0.5, 60),
  finHeight_m: range("The fin’s height, in m,", -5, 20),
  rudderMax_rad: range("Rudder travel, in rad,", 0.02, 1),
  aileronMax_rad: range("Aileron travel, in rad,", 0.02, 1),
};

/** Control sideways of an aeroplane without a one-engine section, whose figures stand there otherwise. */
const Lateral = z.strictObject({ ...SIDEWAYS, cnDeltaR: range("Cnδr", 0.005, 1) });

const Shaft = z.strictObject({
  blades: z.int().min(2).max(8),
  chord_m: range("A blade’s chord, in m,", 0.03, 1.5),
  /** Turns of the propeller for one of the engine. */
  gearing: range("A propeller’s gearing", 0.02, 1.5),
  inertia_kgm2: range("Inertia of propeller and engine, in kg m²,", 0.05, 500),
  /** Speed at which a dead propeller at its fine stop just holds the governed speed; null for fixed pitch. */
  hold_mps: range("The speed that holds the propeller’s, in m/s,", 15, 150).nullable(),
});

/** @see Dynamics */
export const Dynamics = z.strictObject({
  length_m: range("A length, in m,", 3, 90),
  /** Radii of gyration about the axes, of half span, length and their mean. */
  rollRadius: range("A radius of gyration", 0.05, 1),
  pitchRadius: range("A radius of gyration", 0.05, 1),
  yawRadius: range("A radius of gyration", 0.05, 1),
  tailArm_m: range("The tail’s arm, in m,", 1, 60),
  tailVolume: range("The tail’s volume", 0.1, 3),
  /** With the centre of gravity at its aft limit, of the mean chord. */
  staticMargin: range("The static margin", 0.01, 1),
  /** Where half a wing’s lift acts when it stalls by itself, of the span. */
  wingArm: range("The wing’s arm", 0.05, 0.3),
  /** Pitching moment by lift of the flap. */
  flapPitch: range("CmF", -0.5, 0.2),
  elevatorUp_rad: range("Elevator travel up, in rad,", 0.05, 1),
  elevatorDown_rad: range("Elevator travel down, in rad,", 0.05, 1),
  tailWheel: z.boolean(),
  lateral: Lateral.nullable(),
  /** Null for jets. */
  shaft: Shaft.nullable(),
});
/** What of an aeroplane only its motion depends on. */
export type Dynamics = z.infer<typeof Dynamics>;
