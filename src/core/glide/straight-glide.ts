// Steady straight glide of a parabolic polar, without the small-angle approximation.
// Speeds are equivalent airspeeds: they hold at every height; true airspeed and sink grow by 1/√σ.
import { type Polar, dragCoefficient, stallSpeed_mps } from "../aircraft/polar";
import { goldenMinimum } from "../numeric/golden-section";
import { RHO0 } from "../quantities/constants";

/** A steady straight glide. */
export interface StraightGlide {
  readonly cl: number;
  readonly cd: number;
  readonly eas_mps: number;
  /** Rate of descent at sea-level density; divide by √σ for the true one. */
  readonly sinkEas_mps: number;
  /** Horizontal distance over height lost: CL/CD. */
  readonly ratio: number;
  /** Flight path below the horizon. */
  readonly angle_rad: number;
}

/**
 * Glide at a lift coefficient: tanθ = CD/CL, q = (W/S)/√(CL² + CD²).
 *
 * @param cl - more than 0; callers keep it under the polar's `clMax`
 */
export function straightGlide(polar: Polar, cl: number): StraightGlide {
  const cd = dragCoefficient(polar, cl);
  const resultant = Math.hypot(cl, cd);
  const eas_mps = Math.sqrt((2 * polar.wingLoading) / (RHO0 * resultant));
  return { cl, cd, eas_mps, sinkEas_mps: (eas_mps * cd) / resultant, ratio: cl / cd, angle_rad: Math.atan2(cd, cl) };
}

/** The lift coefficient of a straight glide at an equivalent airspeed; null when it would exceed `clMax` (stall). */
export function liftCoefficientAt(polar: Polar, eas_mps: number, bank_rad = 0): number | null {
  const cos2 = Math.cos(bank_rad) ** 2;
  const resultant = polar.wingLoading / (0.5 * RHO0 * eas_mps * eas_mps);
  // CL²·cos²φ + (CD0 + k·CL²)² = (W/S/q)², a quadratic in CL².
  const a = polar.k ** 2;
  const b = cos2 + 2 * polar.cd0 * polar.k;
  const c = polar.cd0 ** 2 - resultant ** 2;
  // Drag alone exceeding the weight (a dive past terminal speed) leaves no lift to solve for.
  if (!(c < 0)) return null;
  // In the form that does not cancel when k is small.
  const cl = Math.sqrt((-2 * c) / (b + Math.sqrt(b * b - 4 * a * c)));
  return cl <= polar.clMax ? cl : null;
}

/**
 * Best glide in still air: CL = √(CD0/k), (L/D)max = 1/(2√(k·CD0)).
 *
 * @returns the glide, and whether the stall margin forced it faster than the ideal (1.05 V_S)
 */
export function bestGlide(polar: Polar): StraightGlide & { limitedByStall: boolean } {
  const ideal = Math.sqrt(polar.cd0 / polar.k);
  const limit = polar.clMax / LEAST_STALL_MARGIN ** 2;
  return { ...straightGlide(polar, Math.min(ideal, limit)), limitedByStall: ideal > limit };
}

/** No speed to fly is offered closer to the stall than this. Common practice is more; this is the model's own edge. */
const LEAST_STALL_MARGIN = 1.05;

/**
 * Glide of least sink. For a parabolic polar about CL = √(3·CD0/k), found by golden section because the exact
 * resultant shifts it; limited to 1.05 V_S.
 */
export function leastSink(polar: Polar): StraightGlide & { limitedByStall: boolean } {
  const limit = polar.clMax / LEAST_STALL_MARGIN ** 2;
  const cl = goldenMinimum((candidate) => straightGlide(polar, candidate).sinkEas_mps, limit / 20, limit, 1e-6);
  return { ...straightGlide(polar, cl), limitedByStall: cl > limit - 1e-4 };
}

/** Slowest and fastest equivalent airspeed that a speed to fly may take: 1.05 V_S to 2.5 times best glide. */
export function speedRange(polar: Polar): { slow_mps: number; fast_mps: number } {
  return { slow_mps: stallSpeed_mps(polar) * LEAST_STALL_MARGIN, fast_mps: bestGlide(polar).eas_mps * 2.5 };
}
