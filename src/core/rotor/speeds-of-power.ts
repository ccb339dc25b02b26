import { bisect } from "../numeric/bisect";
import { goldenMinimum } from "../numeric/golden-section";
import type { HelicopterCase } from "./helicopter-case";
import { HOVER, steadyPower } from "./steady-power";

/** Speeds searched, m/s; the fastest light helicopters fly level at about 85. */
const [SLOWEST, FASTEST] = [0, 90];
/** To half a centimetre a second. */
const CLOSE_MPS = 0.005;
const HALVINGS = 15;

/** Shaft power of level flight, W. */
export const levelPower_W = (flight: HelicopterCase, tas_mps: number): number =>
  steadyPower(flight, { ...HOVER, tas_mps }).shaft_W;

/** Speed of least power, m/s through the air: best rate of climb, longest in the air. */
export function leastPowerSpeed_mps(flight: HelicopterCase): number {
  return goldenMinimum((tas) => levelPower_W(flight, tas), SLOWEST + 5, FASTEST, CLOSE_MPS);
}

/** Speed of best range in still air, m/s: least power over speed. */
export function bestRangeSpeed_mps(flight: HelicopterCase): number {
  return goldenMinimum((tas) => levelPower_W(flight, tas) / tas, leastPowerSpeed_mps(flight), FASTEST, CLOSE_MPS);
}

/**
 * Between which airspeeds a power flies level: from 0 where it hovers; null where there is no such speed.
 *
 * @param power_W - at the shaft
 */
export function levelSpeeds(
  flight: HelicopterCase,
  power_W: number,
): { readonly slowest_mps: number; readonly fastest_mps: number } | null {
  const best = leastPowerSpeed_mps(flight);
  const enough = (tas: number) => levelPower_W(flight, tas) <= power_W;
  if (!enough(best)) return null;
  return {
    slowest_mps: enough(SLOWEST) ? 0 : bisect((tas) => !enough(tas), SLOWEST, best, HALVINGS).high,
    fastest_mps: enough(FASTEST) ? FASTEST : bisect(enough, best, FASTEST, HALVINGS).low,
  };
}
