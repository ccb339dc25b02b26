// One-engine flight as the worker offers it: what moves with a slider at once, and what may take a moment longer. No formulas here.
import { asymmetricCase } from "@/core/asymmetric/anchored-case";
import type { AsymmetricQuestion } from "@/core/asymmetric/asymmetric-case";
import { type BankChoice, type ClimbLedger, bestPropeller, climbLedger } from "@/core/asymmetric/climb-ledger";
import { type ClimbSpeeds, SERVICE_ONE_MPS, ceiling_m, oneEngineSpeeds, zeroSideslip } from "@/core/asymmetric/one-engine-climb";
import { CONTROLS, type ControlLimit, type Vmca, usedShare, vmca } from "@/core/asymmetric/vmca";
import { type VmcaAtAltitude, vmcaCurve } from "@/core/asymmetric/vmca-curve";
import { type VmcaFactor, vmcaFactors } from "@/core/asymmetric/vmca-factors";
import { type Outcome, success } from "@/core/outcome";

/** What moves with a slider. */
export interface EngineOutNow {
  readonly eas_mps: number;
  readonly ledger: ClimbLedger;
  /** Of the aeroplane mended: clean, feathered, no sideslip. These are its V_YSE and V_XSE. */
  readonly speeds: ClimbSpeeds;
  readonly vmca: Vmca;
  /** Bank without sideslip at this speed, into the live engine; null where there is none. */
  readonly zeroSideslip_rad: number | null;
  /** Share used of each control's stop. */
  readonly used: Readonly<Record<ControlLimit, number>>;
}

/** What may take a moment longer. */
export interface EngineOutTables {
  readonly factors: readonly VmcaFactor[];
  readonly curve: readonly VmcaAtAltitude[];
  readonly service: Outcome<number>;
  readonly absolute: Outcome<number>;
}

/** Altitudes of the curve: sea level to 6,000 m. */
const CURVE_M = Array.from({ length: 21 }, (_, i) => i * 300);

/** The part of the worker that the Engine out stage asks. */
export const engineOutWork = {
  /** @param eas_mps - null takes V_YSE */
  engineOutNow(question: AsymmetricQuestion, bank: BankChoice, eas_mps: number | null): Outcome<EngineOutNow> {
    const one = asymmetricCase(question);
    if (!one.ok) return one;
    const mended = asymmetricCase({ ...question, deadPropeller: bestPropeller(question), gearDown: false, flap: 0, items: [] });
    if (!mended.ok) return mended;
    const speeds = oneEngineSpeeds(mended.value);
    const speed = eas_mps ?? speeds.rate.eas_mps;
    const ledger = climbLedger({ ...question, eas_mps: speed, bank });
    if (!ledger.ok) return ledger;
    const straight = zeroSideslip(one.value, speed);
    const { state } = ledger.value;
    return success({
      eas_mps: speed, speeds, ledger: ledger.value,
      vmca: vmca(one.value, bank.kind === "bank" ? bank.bank_rad : one.value.s * (straight?.bank_rad ?? 0)),
      zeroSideslip_rad: straight && one.value.s * straight.bank_rad,
      used: Object.fromEntries(CONTROLS.map((control) => [control, usedShare(one.value, state, control)])) as Record<ControlLimit, number>,
    });
  },

  engineOutTables(question: AsymmetricQuestion, bank_rad: number): EngineOutTables {
    return { factors: vmcaFactors(question, bank_rad), curve: vmcaCurve(question, bank_rad, CURVE_M), service: ceiling_m(question, SERVICE_ONE_MPS, 1), absolute: ceiling_m(question, 0, 1) };
  },
};
