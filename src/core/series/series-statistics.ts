// What several runs say together: mean of flown over predicted, its bound, where most runs lie, which do not belong.
import { studentT95 } from "../numeric/student-t";

/** @see seriesStatistics */
export interface SeriesStatistics {
  readonly count: number;
  /** Of flown over predicted. */
  readonly mean: number;
  /** Sample standard deviation, n − 1; 0 of one. */
  readonly spread: number;
  /** 95 of 100 such means hold the true one within it; null of one. */
  readonly meanBound: number | null;
  /** 19 of 20 more runs lie within it of the mean; null of one. */
  readonly runBound: number | null;
}

/**
 * Mean, spread and bounds of a sample.
 *
 * @returns null of none
 * @see NIST/SEMATECH e-Handbook 1.3.5.2, confidence limits for the mean: t·s/√n; prediction interval t·s·√(1 + 1/n)
 */
export function seriesStatistics(values: readonly number[]): SeriesStatistics | null {
  const count = values.length;
  if (count === 0) return null;
  const mean = values.reduce((sum, value) => sum + value, 0) / count;
  if (count === 1) return { count, mean, spread: 0, meanBound: null, runBound: null };
  const spread = Math.sqrt(values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / (count - 1));
  const t = studentT95(count - 1);
  return {
    count,
    mean,
    spread,
    meanBound: (t * spread) / Math.sqrt(count),
    runBound: t * spread * Math.sqrt(1 + 1 / count),
  };
}

/** Of fewer runs nothing is called an outlier. */
export const LEAST_FOR_OUTLIERS = 5;
/** A modified score beyond this does not belong. */
export const OUTLIER_SCORE = 3.5;
/** 0.75 quantile of the normal distribution; √(π/2). */
const [QUARTILE, MEAN_TO_SIGMA] = [0.6745, 1.253314];

function median(values: readonly number[]): number {
  const sorted = values.toSorted((a, b) => a - b);
  const middle = sorted.length >> 1;
  return sorted.length % 2 === 1 ? sorted[middle] : (sorted[middle - 1] + sorted[middle]) / 2;
}

/**
 * Modified scores 0.6745·(x − median)/MAD; with more than half alike, by the mean deviation. All 0 of fewer than five.
 *
 * @see B. Iglewicz and D. Hoaglin (1993), How to Detect and Handle Outliers, in NIST/SEMATECH e-Handbook 1.3.5.17
 */
export function outlierScores(values: readonly number[]): number[] {
  if (values.length < LEAST_FOR_OUTLIERS) return values.map(() => 0);
  const middle = median(values);
  const away = values.map((value) => Math.abs(value - middle));
  const mad = median(away);
  const mean = away.reduce((sum, value) => sum + value, 0) / away.length;
  const scale = mad > 0 ? mad / QUARTILE : mean * MEAN_TO_SIGMA;
  return values.map((value) => (scale > 0 ? (value - middle) / scale : 0));
}
