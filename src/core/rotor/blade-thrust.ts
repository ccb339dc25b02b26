import { type Blades, SECTION_SLOPE } from "./blade-drag";

/** Air at the disc: through it as in a climb, and in its plane. */
export interface DiscAir {
  readonly through_mps: number;
  readonly inPlane_mps: number;
}

/**
 * Thrust of the blades, N: ½ρσaA·tip²(θ(1/3 + μ²/2) + λ/2), λ the air that comes up over the tip's speed.
 *
 * @param pitch_rad - of the blades, θ
 * @see blade-element theory of a rotor without twist
 */
export function bladeThrust_N(
  { density, blades }: { readonly density: number; readonly blades: Blades },
  pitch_rad: number,
  { through_mps, inPlane_mps }: DiscAir,
  induced_mps: number,
  tip_mps: number,
): number {
  const mu = inPlane_mps / tip_mps;
  const inflow = -(through_mps + induced_mps) / tip_mps;
  return (
    0.5 *
    density *
    blades.solidity *
    SECTION_SLOPE *
    blades.discArea_m2 *
    tip_mps *
    tip_mps *
    (pitch_rad * (1 / 3 + (mu * mu) / 2) + inflow / 2)
  );
}
