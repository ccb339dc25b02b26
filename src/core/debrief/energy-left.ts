// What is left of a turn back with its speed counted as height: slower than planned is height that was spent already.
import { G0, MPS_PER_KT } from "../quantities/constants";
import type { TurnBackBeside } from "./turn-back-beside";

/** @see energyLeft */
export interface EnergyLeft {
  /** Height that the speed flown is worth, less that of the planned speed, m. */
  readonly speed_m: number;
  /** Flown less predicted, height and speed together, m. */
  readonly difference_m: number;
}

/** Speeds nearer than this are the same, m/s. */
const SAME_MPS = 3 * MPS_PER_KT;

/**
 * The difference of energy height h + V²/2g at the end. Near the ground the equivalent airspeed stands for the true
 * one: 3 % too little at 2,000 ft.
 *
 * @returns null where it was never aligned, or the speed was the planned one within 3 kt: height alone says it all
 */
export function energyLeft({ predicted, flown }: Pick<TurnBackBeside, "predicted" | "flown">): EnergyLeft | null {
  if (flown.left_m === null || Math.abs(flown.finalEas_mps - predicted.finalEas_mps) < SAME_MPS) return null;
  const speed_m = (flown.finalEas_mps ** 2 - predicted.finalEas_mps ** 2) / (2 * G0);
  return { speed_m, difference_m: flown.left_m - predicted.left_m + speed_m };
}
