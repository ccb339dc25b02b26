// Fits of several figures by several factors: each factor is set by the figure that it moves most, round after round.
import type { Doubt } from "../aircraft/plausibility";
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

/** Collects residuals: a figure that either side is silent about makes none. */
export function bookRows() {
  const rows: BookResidual[] = [];
  return {
    rows,
    row: (
      name: string,
      kind: BookResidual["kind"],
      book: number | null,
      model: number | undefined,
      fitted = false,
    ): void => {
      if (book !== null && model !== undefined) rows.push({ name, kind, book, model, fitted });
    },
  };
}

/** A speed that the model puts this far from the book's is told. */
const SPEED_APART = 0.12;

/** What the book's speeds leave in doubt: those that its other figures do not make. */
export function speedDoubts(residuals: readonly BookResidual[]): Doubt[] {
  return residuals
    .filter(({ kind, book, model }) => kind === "speed" && Math.abs(model / book - 1) > SPEED_APART)
    .map(({ name, book, model }) => ({
      path: "handbook",
      message: `The ${name} of the book is ${Math.round(Math.abs(model / book - 1) * 100)} % from what its other figures make.`,
    }));
}

/** Tells of a disc that carries what none is met with. */
export function discDoubts(maximum_kg: number, radius_m: number, usual: readonly [number, number]): Doubt[] {
  const loading = maximum_kg / (Math.PI * radius_m ** 2);
  return loading >= usual[0] && loading <= usual[1]
    ? []
    : [
        {
          path: "rotor.radius_m",
          message: `The disc carries ${loading.toFixed(0)} kg/m²; ${usual[0]} to ${usual[1]} is met with. Check mass and radius.`,
        },
      ];
}
