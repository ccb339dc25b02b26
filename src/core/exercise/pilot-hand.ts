// The hand of a pilot over several flights: how long it takes to act, what bank and speed it holds, and how far it
// strays from them.
import type { FlownResult } from "./flown-result";

/** A figure with its spread, one standard deviation. */
export interface Spread {
  readonly mean: number;
  readonly spread: number;
}

/** @see pilotHand */
export interface PilotHand {
  readonly flights: number;
  readonly reaction_s: Spread;
  /** Of turns; null where none was flown. */
  readonly bank_rad: Spread | null;
  /** Beside the speed to hold. */
  readonly speedOff_mps: Spread;
}

/**
 * Pools the hand of flights: of figures with a spread each, σ² = mean(σᵢ² + (μᵢ − μ)²). Flights count alike.
 *
 * @returns null where no flight shows a hand
 */
export function pilotHand(results: readonly Pick<FlownResult, "hand">[]): PilotHand | null {
  const hands = results.flatMap(({ hand }) => hand ?? []);
  if (hands.length === 0) return null;
  const banks = hands.flatMap(({ bank }) => (bank ? [{ mean: bank.mean_rad, spread: bank.spread_rad }] : []));
  return {
    flights: hands.length,
    reaction_s: pooled(hands.map(({ reaction_s }) => ({ mean: reaction_s, spread: 0 }))),
    bank_rad: banks.length > 0 ? pooled(banks) : null,
    speedOff_mps: pooled(hands.map(({ speed }) => ({ mean: speed.off_mps, spread: speed.spread_mps }))),
  };
}

function pooled(parts: readonly Spread[]): Spread {
  const mean = parts.reduce((sum, part) => sum + part.mean, 0) / parts.length;
  const square = parts.reduce((sum, part) => sum + part.spread ** 2 + (part.mean - mean) ** 2, 0) / parts.length;
  return { mean, spread: Math.sqrt(square) };
}
