/** Lift slope of a blade section, per rad. */
export const SECTION_SLOPE = 5.7;

/**
 * Drag coefficient of a blade section at its mean angle.
 *
 * cd = 0.0087 − 0.0216α + 0.400α²
 *
 * @param alpha_rad - mean angle of attack; valid −0.05 to 0.25, beyond it the blade stalls
 * @see F. J. Bailey Jr., NACA Report 716 (memory)
 */
export function sectionDrag(alpha_rad: number): number {
  return 0.0087 - 0.0216 * alpha_rad + 0.4 * alpha_rad * alpha_rad;
}

/** A rotor as its blades see it. */
export interface Blades {
  readonly discArea_m2: number;
  readonly solidity: number;
  /** Over the drag of a smooth blade. */
  readonly dragFactor: number;
  /** Added to the section's drag: roughness of a rotor that is not faired. */
  readonly extraCd: number;
}

/**
 * Power that the blades' drag takes, with the in-plane force's share in forward flight.
 *
 * P0 = σcd/8·ρA·tip³(1 + 4.65μtip²), cd at α = 6CT/(σa)
 *
 * @param inPlane_mps - speed in the plane of the disc
 * @returns W
 * @see A. R. S. Bramwell, Helicopter Dynamics (memory), for 4.65
 */
export function profilePower_W(
  { discArea_m2, solidity, dragFactor, extraCd }: Blades,
  thrust_N: number,
  tip_mps: number,
  inPlane_mps: number,
  density: number,
): number {
  const ct = thrust_N / (density * discArea_m2 * tip_mps * tip_mps);
  const cd = dragFactor * sectionDrag((6 * ct) / (solidity * SECTION_SLOPE)) + extraCd;
  const mu = inPlane_mps / tip_mps;
  return ((solidity * cd) / 8) * density * discArea_m2 * tip_mps * tip_mps * tip_mps * (1 + 4.65 * mu * mu);
}
