// What an aeroplane with two engines usually has for its controls, by its class: where the book is silent the model
// starts here, and is anchored on the published minimum control speed.
import type { Aeroplane } from "../aircraft/aeroplane";

/** Classes of aeroplanes with two engines. */
export const TWIN_CLASSES = ["light-twin", "cabin-twin", "jet"] as const;
/** @see TWIN_CLASSES */
export type TwinClass = (typeof TWIN_CLASSES)[number];

type Controls = NonNullable<Aeroplane["asymmetric"]>;
type Wing = NonNullable<Aeroplane["wing"]>;

/** Lengths as shares of the span, areas of the wing's, chords of the mean chord; the rest as it stands. */
interface Usual {
  readonly armY: number;
  readonly finArm: number;
  readonly finHeight: number;
  readonly rudderArea: number;
  readonly rudderChord: number;
  readonly forwardCg: number;
  readonly figures: Omit<
    Controls,
    "armY_m" | "finArm_m" | "finHeight_m" | "rudderArea_m2" | "rudderChord_m" | "forwardCg_m" | "publishedVmca_mps"
  >;
}

/** Typical of the class; common practice, no survey stands behind them. */
const USUAL: Record<TwinClass, Usual> = {
  "light-twin": {
    armY: 0.17,
    finArm: 0.44,
    finHeight: 0.066,
    rudderArea: 0.05,
    rudderChord: 0.3,
    forwardCg: -0.19,
    figures: {
      cl0: 0.25,
      clAlpha: 4.9,
      thrustIncidence_rad: 0,
      cyBeta: -0.65,
      clBeta: -0.075,
      cnBeta: 0.1,
      clDeltaA: 0.19,
      cnDeltaA: -0.01,
      rudderMax_rad: 0.436332,
      aileronMax_rad: 0.349066,
      finStall_rad: 0.314159,
      finRudderFactor: 0.25,
      rudderGearing_radpm: 4.8,
      chDelta: 0.65,
      chBeta: 0.15,
      cdBeta: 0.6,
      cdDeltaR: 0.08,
      cdDeltaA: 0.05,
    },
  },
  "cabin-twin": {
    armY: 0.17,
    finArm: 0.44,
    finHeight: 0.074,
    rudderArea: 0.055,
    rudderChord: 0.31,
    forwardCg: -0.22,
    figures: {
      cl0: 0.25,
      clAlpha: 5,
      thrustIncidence_rad: 0,
      cyBeta: -0.68,
      clBeta: -0.085,
      cnBeta: 0.085,
      clDeltaA: 0.2,
      cnDeltaA: -0.01,
      rudderMax_rad: 0.488692,
      aileronMax_rad: 0.314159,
      finStall_rad: 0.314159,
      finRudderFactor: 0.25,
      rudderGearing_radpm: 4.5,
      chDelta: 0.38,
      chBeta: 0.09,
      cdBeta: 0.6,
      cdDeltaR: 0.08,
      cdDeltaA: 0.05,
    },
  },
  jet: {
    armY: 0.12,
    finArm: 0.42,
    finHeight: 0.1,
    rudderArea: 0.05,
    rudderChord: 0.28,
    forwardCg: -0.25,
    figures: {
      cl0: 0.2,
      clAlpha: 5.1,
      thrustIncidence_rad: 0,
      cyBeta: -0.85,
      clBeta: -0.1,
      cnBeta: 0.075,
      clDeltaA: 0.18,
      cnDeltaA: -0.01,
      rudderMax_rad: 0.436332,
      aileronMax_rad: 0.314159,
      finStall_rad: 0.314159,
      finRudderFactor: 0.25,
      rudderGearing_radpm: 0.6,
      chDelta: 0.3,
      chBeta: 0.08,
      cdBeta: 0.7,
      cdDeltaR: 0.08,
      cdDeltaA: 0.05,
    },
  },
};

/** Of a V_MCA that is not known yet, over the stall; most are published near it. Common practice. */
const VMCA_OVER_STALL = 1.1;

/** The class that an aeroplane most likely belongs to: a cabin twin weighs over two tonnes. */
export function usualClass({ category, mass }: Pick<Aeroplane, "category" | "mass">): TwinClass {
  return category === "jet" ? "jet" : mass.maximum_kg > 2300 ? "cabin-twin" : "light-twin";
}

/**
 * Controls of a class for a wing.
 *
 * @param vmca_mps - published; null takes 1.1 times the stall
 * @param stall_mps - clean
 */
export function usualControls(
  of: TwinClass,
  { span_m, area_m2 }: Wing,
  vmca_mps: number | null,
  stall_mps: number,
): Controls {
  const { armY, finArm, finHeight, rudderArea, rudderChord, forwardCg, figures } = USUAL[of];
  const chord_m = area_m2 / span_m;
  return {
    ...figures,
    armY_m: armY * span_m,
    finArm_m: finArm * span_m,
    finHeight_m: finHeight * span_m,
    rudderArea_m2: rudderArea * area_m2,
    rudderChord_m: rudderChord * chord_m,
    forwardCg_m: forwardCg * chord_m,
    publishedVmca_mps: vmca_mps ?? VMCA_OVER_STALL * stall_mps,
  };
}
