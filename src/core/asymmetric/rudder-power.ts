import type { AsymmetricCase } from "./asymmetric-case";
import { loadingAt } from "./equilibrium";

/** Bank of the certification case, into the live engine. 14 CFR 23.149 as it was before 2017 (memory). */
const BANK_RAD = (5 * Math.PI) / 180;

/**
 * Rudder power Cnδr that makes the rudder reach its stop at the published minimum control speed.
 *
 * With speed, bank and rudder given, the three equations are linear in sideslip, aileron and Cnδr.
 *
 * @param certified - the certification case: sea level, light, aft centre of gravity, left (critical) engine
 *   windmilling, take-off flap
 * @returns null when no positive Cnδr does
 */
export function rudderPower(certified: AsymmetricCase): number | null {
  const { asymmetric: a, wing, liveSide: s } = certified;
  const bank_rad = s * BANK_RAD;
  const load = loadingAt(certified, a.publishedVmca_mps, bank_rad);
  const rudder = s * a.rudderMax_rad;
  // Cnδr·x from the side force in terms of sideslip, aileron from the roll, then the yaw: all linear in sideslip.
  const p0 = (load.cw * Math.sin(bank_rad) * a.finArm_m) / (wing.span_m * rudder);
  const p1 = (a.cyBeta * a.finArm_m) / (wing.span_m * rudder);
  const roll = -(a.finHeight_m / a.finArm_m) * rudder;
  const a0 = -(load.clThrust + roll * p0) / a.clDeltaA;
  const a1 = -(a.clBeta + roll * p1) / a.clDeltaA;
  const beta = -(load.cnThrust + a.cnDeltaA * a0 + rudder * p0) / (a.cnBeta + a.cnDeltaA * a1 + rudder * p1);
  const power = p0 + p1 * beta;
  return power > 0 ? power : null;
}
