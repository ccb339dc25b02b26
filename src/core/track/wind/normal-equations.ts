// Gauss–Newton for few unknowns: residuals with their slopes, priors as pulls, weights against outliers.
import { inverse, solveLinear } from "../../numeric/solve-linear";

/** Fills the slopes of one residual. @returns the residual */
export type Residual = (unknowns: readonly number[], i: number, slopes: number[]) => number;

/** An unknown's value before anything is measured, and how far from it it may be. */
export interface Prior {
  readonly mean: number;
  readonly sigma: number;
}

/** @see leastSquares */
export interface Fit {
  readonly unknowns: readonly number[];
  /** Of the unknowns. */
  readonly covariance: readonly (readonly number[])[];
  /** Root mean square of the residuals. */
  readonly rms: number;
}

const ITERATIONS = 25;
const SETTLED = 1e-7;

/**
 * Fits unknowns to residuals.
 *
 * @param variance - of one residual, as it counts: its own times what neighbours have in common
 * @param huber - residuals beyond this count less, m/s
 * @returns null where the unknowns cannot be told apart
 */
export function leastSquares(
  count: number,
  residual: Residual,
  start: readonly number[],
  priors: readonly (Prior | null)[],
  variance: number,
  huber = Infinity,
): Fit | null {
  const size = start.length;
  let unknowns = [...start];
  let normal: number[][] = [];
  let squares = 0;
  const slopes = start.map(() => 0);
  for (let iteration = 0; iteration < ITERATIONS; iteration += 1) {
    normal = Array.from({ length: size }, () => Array.from({ length: size }, () => 0));
    const right = start.map(() => 0);
    squares = 0;
    for (let i = 0; i < count; i += 1) {
      const off = residual(unknowns, i, slopes);
      squares += off * off;
      const weight = Math.min(1, huber / Math.max(Math.abs(off), 1e-12)) / variance;
      for (let a = 0; a < size; a += 1) {
        right[a] -= weight * slopes[a] * off;
        for (let b = a; b < size; b += 1) normal[a][b] += weight * slopes[a] * slopes[b];
      }
    }
    priors.forEach((prior, a) => {
      if (!prior) return;
      normal[a][a] += 1 / prior.sigma ** 2;
      right[a] += (prior.mean - unknowns[a]) / prior.sigma ** 2;
    });
    for (let a = 0; a < size; a += 1) for (let b = 0; b < a; b += 1) normal[a][b] = normal[b][a];
    const step = solveLinear(normal, right);
    if (!step || !step.every(Number.isFinite)) return null;
    unknowns = unknowns.map((value, a) => value + step[a]);
    if (Math.max(...step.map(Math.abs)) < SETTLED) break;
  }
  const covariance = inverse(normal);
  return covariance && { unknowns, covariance, rms: Math.sqrt(squares / Math.max(count, 1)) };
}
