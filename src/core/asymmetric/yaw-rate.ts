import type { AsymmetricCase } from "./asymmetric-case";

/** Coefficients per r·b/(2V) of a yawing aeroplane. */
export interface YawRateDerivatives {
  readonly cyR: number;
  readonly clR: number;
  readonly cnR: number;
}

/**
 * The fin's weathercock stability over the whole aeroplane's: the fuselage takes a third of it away. Textbook estimate.
 */
const FIN_SHARE = 1.5;

/**
 * What the fin and the wing do in a yaw rate: the fin meets the air r·lv/V more from the side, the outer wing lifts
 * more than the inner.
 *
 * CYr = 2·Cnβ,fin; Clr = CL/4 + 2·(zv/b)·Cnβ,fin; Cnr = −2·(lv/b)·Cnβ,fin, with Cnβ,fin = 1.5·Cnβ.
 *
 * @param cl - lift coefficient of the wing
 * @see flight-mechanics textbooks, estimates of rotary derivatives
 */
export function yawRateDerivatives(
  { asymmetric: a, wing }: Pick<AsymmetricCase, "asymmetric" | "wing">,
  cl: number,
): YawRateDerivatives {
  const fin = FIN_SHARE * a.cnBeta;
  return {
    cyR: 2 * fin,
    clR: cl / 4 + 2 * (a.finHeight_m / wing.span_m) * fin,
    cnR: -2 * (a.finArm_m / wing.span_m) * fin,
  };
}
