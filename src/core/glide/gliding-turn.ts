// Steady gliding turn, exact in bank and glide angle.
// Source of the equations: equilibrium of lift, drag and weight on a descending helix; compare D. F. Rogers,
// The "Possible" Turn-back, J. Aircraft 32 (1995) (memory).
import { type Polar, dragCoefficient, stallSpeed_mps } from "../aircraft/polar";
import { G0, RHO0 } from "../quantities/constants";
import { bestGlide, liftCoefficientAt } from "./straight-glide";

/** A steady gliding turn at one density. */
export interface GlidingTurn {
  readonly bank_rad: number;
  readonly cl: number;
  readonly tas_mps: number;
  readonly eas_mps: number;
  readonly sink_mps: number;
  readonly loadFactor: number;
  /** Of the helix seen from above. */
  readonly radius_m: number;
  readonly rate_radps: number;
  /** Height lost for each radian of heading. */
  readonly heightPerRadian_m: number;
}

/**
 * Turn at a lift coefficient and bank: q = (W/S)/√(CL²cos²φ + CD²), tanθ = ε/cosφ, ω = g·n·sinφ/(V·cosθ).
 *
 * @param bank_rad - more than 0, below π/2
 * @param density - kg/m³
 */
export function glidingTurn(polar: Polar, cl: number, bank_rad: number, density: number): GlidingTurn {
  const cd = dragCoefficient(polar, cl);
  const cosBank = Math.cos(bank_rad);
  const q = polar.wingLoading / Math.hypot(cl * cosBank, cd);
  const tas_mps = Math.sqrt((2 * q) / density);
  const glide_rad = Math.atan2(cd, cl * cosBank);
  const loadFactor = (q * cl) / polar.wingLoading;
  const rate_radps = (G0 * loadFactor * Math.sin(bank_rad)) / (tas_mps * Math.cos(glide_rad));
  const sink_mps = tas_mps * Math.sin(glide_rad);
  return {
    bank_rad,
    cl,
    tas_mps,
    sink_mps,
    loadFactor,
    rate_radps,
    eas_mps: tas_mps * Math.sqrt(density / RHO0),
    radius_m: (tas_mps * Math.cos(glide_rad)) / rate_radps,
    heightPerRadian_m: sink_mps / rate_radps,
  };
}

/**
 * Bank of least height loss per radian at fixed lift coefficient: cos²φ = (1 + √(1 − 8ε²))/4 … just over 45°.
 *
 * @param epsilon - CD/CL, above 0 and at most 1/√8
 * @returns radians; null when the glide is so steep that the closed form ends
 */
export function bestBankAtFixedLift_rad(epsilon: number): number | null {
  const root = 1 - 8 * epsilon * epsilon;
  return root >= 0 ? Math.acos(Math.sqrt((1 + Math.sqrt(root)) / 4)) : null;
}

/** What set the speed of a turn. */
export type TurnSpeedLimit = "midway" | "stall margin";

/** The speed that a pilot turning in a glide is taken to hold. */
export interface TurnSpeed {
  readonly eas_mps: number;
  readonly cl: number;
  readonly limit: TurnSpeedLimit;
}

/**
 * Speed in the turns of a glide path: midway between best glide and best glide scaled by √n, the small addition that
 * pilots make in a bank, but never under the stall margin k·V_S·√n.
 *
 * @param bank_rad - above 0, below 75°
 * @param stallMargin - k, 1.05 or more
 */
export function turnSpeed(polar: Polar, bank_rad: number, stallMargin: number): TurnSpeed {
  const n = 1 / Math.cos(bank_rad);
  const best = bestGlide(polar).eas_mps;
  const midway = (best * (1 + Math.sqrt(n))) / 2;
  const floor = stallMargin * stallSpeed_mps(polar, n);
  const eas_mps = Math.max(midway, floor);
  // With a margin of 1.05 or more the wing is never at its stall here, so a coefficient exists up to terminal speed.
  const cl = liftCoefficientAt(polar, eas_mps, bank_rad) ?? polar.clMax / stallMargin ** 2;
  return { eas_mps, cl, limit: midway >= floor ? "midway" : "stall margin" };
}
