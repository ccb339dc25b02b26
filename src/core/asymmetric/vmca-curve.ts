import { densityAltitude_m } from "../air/atmosphere";
import { asymmetricCase } from "./anchored-case";
import type { AsymmetricQuestion } from "./asymmetric-question";
import { vmca } from "./vmca";

/** Minimum control speed and stall in one state. */
interface Limits {
  /** Null where no control limit is met, or one everywhere. */
  readonly vmca_mps: number | null;
  readonly stall_mps: number;
}

/** At one altitude. */
export interface VmcaAtAltitude extends Limits {
  readonly altitude_m: number;
  readonly altitudeDensity_m: number;
}

/** At one bank into the live engine. */
export interface VmcaAtBank extends Limits {
  readonly bank_rad: number;
}

/** Both over altitude, equivalent airspeeds; altitudes outside the atmosphere's model are left out. */
export function vmcaCurve(
  question: AsymmetricQuestion,
  bank_rad: number,
  altitudes_m: readonly number[],
): VmcaAtAltitude[] {
  return altitudes_m.flatMap((altitude_m) => {
    const flight = asymmetricCase({ ...question, altitude_m });
    if (!flight.ok) return [];
    const minimum = vmca(flight.value, bank_rad);
    return [
      {
        altitude_m,
        altitudeDensity_m: densityAltitude_m(flight.value.state.density),
        vmca_mps: minimum.eas_mps,
        stall_mps: minimum.stall_mps,
      },
    ];
  });
}

/** Both over bank into the live engine; none when the case fails. */
export function vmcaByBank(question: AsymmetricQuestion, banks_rad: readonly number[]): VmcaAtBank[] {
  const flight = asymmetricCase(question);
  if (!flight.ok) return [];
  return banks_rad.map((bank_rad) => {
    const minimum = vmca(flight.value, bank_rad);
    return { bank_rad, vmca_mps: minimum.eas_mps, stall_mps: minimum.stall_mps };
  });
}

/**
 * Density altitude at which the stall comes before control is lost, between the curve's points; null when it does not
 * on the curve.
 */
export function stallCrossing_m(curve: readonly VmcaAtAltitude[]): number | null {
  const margin = ({ vmca_mps, stall_mps }: VmcaAtAltitude) => (vmca_mps === null ? null : vmca_mps - stall_mps);
  for (let i = 1; i < curve.length; i += 1) {
    const [before, here] = [margin(curve[i - 1]), margin(curve[i])];
    if (before !== null && here !== null && before > 0 && here <= 0)
      return (
        curve[i - 1].altitudeDensity_m +
        ((curve[i].altitudeDensity_m - curve[i - 1].altitudeDensity_m) * before) / (before - here)
      );
  }
  return null;
}
