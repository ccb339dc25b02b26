// What of an aeroplane only its motion depends on: inertia, tail, damping, propeller shaft. The steady flight of the
// other sections stays as it is; nothing here is a second polar.
import { z } from "zod";
import { range } from "./document-fields";

/** Control sideways of an aeroplane without a one-engine section, whose figures stand there otherwise. */
const Lateral = z.strictObject({
  cl0: range("CL0", -1, 2),
  cdBeta: range("CDβ", 0, 10),
  cyBeta: range("CYβ", -5, -0.05),
  clBeta: range("Clβ", -1, 0.2),
  cnBeta: range("Cnβ", 0.005, 1),
  clDeltaA: range("Clδa", 0.01, 2),
  cnDeltaA: range("Cnδa", -0.5, 0.5),
  cnDeltaR: range("Cnδr", 0.005, 1),
  finArm_m: range("The fin’s arm, in m,", 0.5, 60),
  finHeight_m: range("The fin’s height, in m,", -5, 20),
  rudderMax_rad: range("Rudder travel, in rad,", 0.02, 1),
  aileronMax_rad: range("Aileron travel, in rad,", 0.02, 1),
});

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

/** What is needed of an aeroplane to take its kind's usual figures. */
interface Sized {
  readonly category: "single" | "twin" | "jet";
  readonly wing: { readonly area_m2: number; readonly span_m: number };
  readonly engines: { readonly kind: "propeller" | "jet" };
  readonly fixedPitch: boolean;
  /** It has a section of one-engine flight. */
  readonly asymmetric: boolean;
}

const RAD_PER_DEG = Math.PI / 180;

/**
 * Figures of an aeroplane that has none of its own, scaled from the demo fleet by span and chord: right in kind, not in
 * detail. A document of one's own flies, and what it flies like is said to be usual.
 *
 * @see J. Roskam, Airplane Design V, for radii of gyration (memory); the rest common practice
 */
export function usualDynamics({ category, wing, engines, fixedPitch, asymmetric }: Sized): Dynamics {
  const { span_m } = wing;
  const jet = engines.kind === "jet";
  const twin = category === "twin";
  const tailArm_m = (jet ? 0.46 : twin ? 0.44 : 0.42) * span_m;
  return {
    length_m: (jet ? 0.98 : twin ? 0.78 : 0.76) * span_m,
    rollRadius: twin ? 0.34 : 0.25,
    pitchRadius: twin ? 0.32 : 0.38,
    yawRadius: twin ? 0.44 : 0.4,
    tailArm_m,
    tailVolume: jet ? 0.95 : 0.67,
    staticMargin: twin ? 0.1 : 0.15,
    wingArm: 0.13,
    flapPitch: -0.08,
    elevatorUp_rad: 24 * RAD_PER_DEG,
    elevatorDown_rad: 14 * RAD_PER_DEG,
    tailWheel: false,
    lateral: asymmetric
      ? null
      : {
          cl0: 0.26,
          cdBeta: 0.6,
          cyBeta: -0.48,
          clBeta: -0.09,
          cnBeta: 0.077,
          clDeltaA: 0.17,
          cnDeltaA: -0.008,
          cnDeltaR: 0.06,
          finArm_m: tailArm_m,
          finHeight_m: 0.08 * span_m,
          rudderMax_rad: 22 * RAD_PER_DEG,
          aileronMax_rad: 18 * RAD_PER_DEG,
        },
    shaft: jet
      ? null
      : { blades: fixedPitch ? 2 : 3, chord_m: 0.145, gearing: 1, inertia_kgm2: 1.6, hold_mps: fixedPitch ? null : 42 },
  };
}
