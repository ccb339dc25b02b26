// Fits of several figures by several factors: each factor is set by the figure that it moves most, round after round.
import { bisect } from "../numeric/bisect";

/** Rounds: each leaves about a fifth of the error of the one before. */
const ROUNDS = 14;
/** Halvings of a factor's range. */
const HALVINGS = 26;

/** A factor and the figure that sets it. */
export interface FitFactor<T> {
  readonly low: number;
  readonly high: number;
  readonly with: (model: T, factor: number) => T;
  /** What the model makes of the figure, rising with the factor; NaN where it has none. */
  readonly figure: (model: T) => number;
  readonly target: number;
}

/** The model whose figures are the targets, as near as the factors' ranges allow. */
export function fitRounds<T>(model: T, factors: readonly FitFactor<T>[]): T {
  let fitted = model;
  for (let round = 0; round < ROUNDS; round += 1)
    for (const { low, high, with: put, figure, target } of factors) {
      const from = fitted;
      const { low: factor } = bisect((x) => figure(put(from, x)) < target, low, high, HALVINGS);
      fitted = put(from, factor);
    }
  return fitted;
}

/** A figure of the book beside the model's. */
export interface BookResidual {
  readonly name: string;
  readonly kind: "speed" | "verticalSpeed" | "ratio" | "mass";
  readonly book: number;
  readonly model: number;
  /** A factor was set by it; the others only compare. */
  readonly fitted: boolean;
}
