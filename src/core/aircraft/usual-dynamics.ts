// What moves an aeroplane whose document does not say it.
import type { Dynamics } from "./dynamics";

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
