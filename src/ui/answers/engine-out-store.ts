import { create } from "zustand";
import type { PropellerState } from "@/core/aircraft/propeller-state";
import type { BankChoice } from "@/core/asymmetric/climb-ledger";
import type { Issue } from "@/core/outcome";
import type { EngineOutNow, EngineOutTables } from "@/core/asymmetric/engine-out";

/** What is tried out; null takes what the situation or the aircraft has. */
export interface EngineOutTrial {
  readonly failed: "left" | "right";
  readonly deadPropeller: PropellerState | null;
  readonly gearDown: boolean;
  readonly flap: number;
  readonly items: readonly string[];
  readonly bank: BankChoice;
  readonly setting: number;
  readonly eas_mps: number | null;
  readonly mass_kg: number | null;
  readonly centreOfGravity: number | null;
  readonly altitude_m: number | null;
  readonly deviation_K: number | null;
}

interface EngineOutState {
  readonly trial: EngineOutTrial;
  readonly now: EngineOutNow | null;
  readonly tables: EngineOutTables | null;
  readonly issue: Issue | null;
  try(patch: Partial<EngineOutTrial>): void;
  set(patch: Partial<Pick<EngineOutState, "now" | "tables" | "issue">>): void;
}

/**
 * What the Engine out stage tries and shows. It begins as the engine has just failed: everything out that a take-off
 * has out.
 */
export const useEngineOut = create<EngineOutState>()((set) => ({
  trial: {
    failed: "left",
    deadPropeller: null,
    gearDown: true,
    flap: 0,
    items: [],
    bank: { kind: "bank", bank_rad: 0 },
    setting: 1,
    eas_mps: null,
    mass_kg: null,
    centreOfGravity: null,
    altitude_m: null,
    deviation_K: null,
  },
  now: null,
  tables: null,
  issue: null,
  try: (patch) => set((state) => ({ trial: { ...state.trial, ...patch } })),
  set: (patch) => set(patch),
}));

/** Bank into the live engine that is flown: as chosen, or the one without sideslip. */
export function flownBank_rad(
  trial: Pick<EngineOutTrial, "bank">,
  now: Pick<EngineOutNow, "zeroSideslip_rad"> | null,
): number {
  return trial.bank.kind === "bank" ? trial.bank.bank_rad : (now?.zeroSideslip_rad ?? 0);
}
