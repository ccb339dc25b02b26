// The climb ledger: from the climb on two engines down to what is left, each thing that can be mended with what it
// costs.
import { type Outcome, failure, success } from "../outcome";
import { asymmetricCase } from "./anchored-case";
import type { AsymmetricQuestion } from "./asymmetric-question";
import { type Equilibrium, NO_STEADY_PATH, equilibriumAt, gradientOf } from "./equilibrium";
import { twoEngineClimbAt, zeroSideslip } from "./one-engine-climb";
import { CONTROLS, type ControlLimit, usedShare } from "./vmca";

/** How it is banked: without sideslip, or by a number into the live engine. */
export type BankChoice = { readonly kind: "zero-sideslip" } | { readonly kind: "bank"; readonly bank_rad: number };

/** What the ledger is about. */
export interface LedgerQuestion extends AsymmetricQuestion {
  readonly eas_mps: number;
  readonly bank: BankChoice;
}

/** Something that costs climb and can be mended, in the order of the drill. */
export type ClimbItem = "propeller" | "gear" | "flap" | "items" | "bank";

/** The account in rate of climb, m/s. */
export interface ClimbLedger {
  readonly twoEngines_mps: number;
  /** Lost with the engine, all else mended. */
  readonly engine_mps: number;
  readonly items: readonly { readonly item: ClimbItem; readonly cost_mps: number }[];
  /** What the items cost more (or less) together than each alone. */
  readonly together_mps: number;
  readonly left_mps: number;
  readonly gradient: number;
  readonly state: Equilibrium;
  /** Everything mended. */
  readonly mended_mps: number;
  /** A control beyond its stop: the state cannot be flown. */
  readonly over: ControlLimit | null;
}

/**
 * Each item is the gain when it alone is mended; the remainder stands under "together", so the ledger adds up.
 *
 * @returns failures of the case; `no_equilibrium` when the bank cannot be held, `no_steady_path` when it drags more
 *   than it weighs
 */
export function climbLedger(question: LedgerQuestion): Outcome<ClimbLedger> {
  const best = bestPropeller(question);
  const mends: readonly { item: ClimbItem; needed: boolean; mended: Partial<LedgerQuestion> }[] = [
    { item: "propeller", needed: question.deadPropeller !== best, mended: { deadPropeller: best } },
    {
      item: "gear",
      needed: question.gearDown && (question.aircraft.polar?.gear.retractable ?? false),
      mended: { gearDown: false },
    },
    { item: "flap", needed: question.flap > 0, mended: { flap: 0 } },
    { item: "items", needed: question.items.length > 0, mended: { items: [] } },
    { item: "bank", needed: question.bank.kind !== "zero-sideslip", mended: { bank: { kind: "zero-sideslip" } } },
  ];
  const now = flown(question);
  if (!now.ok) return now;
  const all = flown(
    mends.reduce<LedgerQuestion>((mended, mend) => (mend.needed ? { ...mended, ...mend.mended } : mended), question),
  );
  if (!all.ok) return all;
  const items: { item: ClimbItem; cost_mps: number }[] = [];
  for (const { item, needed, mended } of mends) {
    if (!needed) continue;
    const alone = flown({ ...question, ...mended });
    if (!alone.ok) return alone;
    items.push({ item, cost_mps: alone.value.state.climb_mps - now.value.state.climb_mps });
  }
  const mended_mps = all.value.state.climb_mps;
  const twoEngines_mps = twoEngineClimbAt(all.value.one, question.eas_mps).climb_mps;
  const { state, one } = now.value;
  return success({
    twoEngines_mps,
    mended_mps,
    items,
    state,
    engine_mps: twoEngines_mps - mended_mps,
    together_mps: mended_mps - state.climb_mps - items.reduce((sum, item) => sum + item.cost_mps, 0),
    left_mps: state.climb_mps,
    gradient: gradientOf(state.sinGamma) ?? 0,
    over: CONTROLS.find((control) => usedShare(one, state, control) > 1) ?? null,
  });
}

function flown(question: LedgerQuestion) {
  const flight = asymmetricCase(question);
  if (!flight.ok) return flight;
  const state =
    question.bank.kind === "zero-sideslip"
      ? zeroSideslip(flight.value, question.eas_mps)
      : equilibriumAt(flight.value, question.eas_mps, flight.value.liveSide * question.bank.bank_rad);
  if (!state) return failure("no_equilibrium", "No bank holds this speed straight.", "eas_mps");
  return gradientOf(state.sinGamma) === null
    ? { ok: false as const, issue: NO_STEADY_PATH }
    : success({ one: flight.value, state });
}

/** The state of a dead propeller that drags least; `none` for jets. */
export function bestPropeller({ aircraft }: Pick<AsymmetricQuestion, "aircraft">): AsymmetricQuestion["deadPropeller"] {
  const drag = aircraft.engines.kind === "propeller" ? aircraft.polar?.deadPropeller : null;
  if (!drag) return "none";
  return (["feathered", "coarse", "stopped", "windmilling"] as const)
    .filter((state) => drag[state] !== null)
    .reduce((best, state) => ((drag[state] ?? Infinity) < (drag[best] ?? Infinity) ? state : best), "windmilling");
}
