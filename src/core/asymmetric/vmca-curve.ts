import { asymmetricCase } from "./anchored-case";
import type { AsymmetricQuestion } from "./asymmetric-case";
import { vmca } from "./vmca";

/** Minimum control speed and stall at one altitude. */
export interface VmcaAtAltitude {
  readonly altitude_m: number;
  /** Null where no control limit is met, or one everywhere. */
  readonly vmca_mps: number | null;
  readonly stall_mps: number;
}

/** Both over altitude, equivalent airspeeds; altitudes outside the atmosphere's model are left out. */
export function vmcaCurve(question: AsymmetricQuestion, bank_rad: number, altitudes_m: readonly number[]): VmcaAtAltitude[] {
  return altitudes_m.flatMap((altitude_m) => {
    const one = asymmetricCase({ ...question, altitude_m });
    if (!one.ok) return [];
    const found = vmca(one.value, bank_rad);
    return [{ altitude_m, vmca_mps: found.eas_mps, stall_mps: found.stall_mps }];
  });
}

/** Altitude at which the stall comes before control is lost, between the curve's points; null when it does not on the curve. */
export function stallCrossing_m(curve: readonly VmcaAtAltitude[]): number | null {
  const margin = ({ vmca_mps, stall_mps }: VmcaAtAltitude) => (vmca_mps === null ? null : vmca_mps - stall_mps);
  for (let i = 1; i < curve.length; i += 1) {
    const [before, here] = [margin(curve[i - 1]), margin(curve[i])];
    if (before !== null && here !== null && before > 0 && here <= 0) return curve[i - 1].altitude_m + ((curve[i].altitude_m - curve[i - 1].altitude_m) * before) / (before - here);
  }
  return null;
}
