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

/** Climbs searched, m/s, to a third of a millimetre a second. */
const [MOST_CLIMB_MPS, CLIMB_HALVINGS] = [25, 16];

/**
 * Rate of climb that a power gives at an airspeed, m/s; negative where it sinks, at most 25 either way.
 *
 * @param power_W - at the shaft
 */
export function climbOnPower_mps(flight: HelicopterCase, tas_mps: number, power_W: number): number {
  const takes = (climb_mps: number) => steadyPower(flight, { ...HOVER, tas_mps, climb_mps }).shaft_W;
  const [low, high] = takes(0) <= power_W ? [0, MOST_CLIMB_MPS] : [-MOST_CLIMB_MPS, 0];
  return bisect((climb) => takes(climb) <= power_W, low, high, CLIMB_HALVINGS).low;
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
