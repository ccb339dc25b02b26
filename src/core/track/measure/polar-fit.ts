// A polar from glides that were flown: two coefficients, with how well they are known.
import { G0, RHO0 } from "../../quantities/constants";
import { inverse } from "../../numeric/solve-linear";
import { type Outcome, failure, success } from "../../outcome";

/** A glide that was flown. */
export interface FlownGlide {
  readonly eas_mps: number;
  /** True airspeed and sink. */
  readonly tas_mps: number;
  readonly sink_mps: number;
  readonly sinkSigma_mps: number;
}

/** @see fitFlownPolar */
export interface FlownPolar {
  readonly cd0: number;
  readonly k: number;
  readonly cd0Sigma: number;
  readonly kSigma: number;
  readonly bestRatio: number;
  readonly bestRatioSigma: number;
  /** Equivalent airspeed of best glide. */
  readonly bestEas_mps: number;
  readonly bestEasSigma_mps: number;
  /** Sum of squares over its degrees of freedom: near 1 where the glides agree within their bounds. */
  readonly chiSquared: number;
  /** What is wrong with it, for a pilot. */
  readonly doubts: readonly string[];
}

/** Speeds further apart than this, of the lower one, are different speeds. */
const APART = 0.05;
const MOST_CHI = 4;

/** How many speeds there are among the glides. */
function speeds(glides: readonly FlownGlide[]): number {
  const sorted = glides.map(({ eas_mps }) => eas_mps).sort((a, b) => a - b);
  let [count, last] = [0, -Infinity];
  for (const speed of sorted)
    if (speed > last * (1 + APART)) {
      count += 1;
      last = speed;
    }
  return count;
}

/**
 * Fits CD0 and k: (sink/V)·(W/S) = CD0·q + k·(W/S)²·cos²γ/q, each glide by how well it is known.
 *
 * @param glides - straight, of one configuration
 * @param wingLoading - W/S, N/m²
 * @returns `too_few` under two speeds; `no_polar` where a coefficient comes out zero or below
 */
export function fitFlownPolar(
  glides: readonly FlownGlide[],
  mass_kg: number,
  wingArea_m2: number,
): Outcome<FlownPolar> {
  const wingLoading = (mass_kg * G0) / wingArea_m2;
  const different = speeds(glides);
  if (different < 2)
    return failure("too_few", "A polar needs glides at two speeds at least, better at three.", "glides");
  const rows = glides.map(({ eas_mps, tas_mps, sink_mps, sinkSigma_mps }) => {
    const q = (RHO0 / 2) * eas_mps ** 2;
    const sinAngle = sink_mps / tas_mps;
    return {
      a: q,
      b: (wingLoading ** 2 * (1 - sinAngle ** 2)) / q,
      y: sinAngle * wingLoading,
      w: 1 / ((sinkSigma_mps / tas_mps) * wingLoading) ** 2,
    };
  });
  const sum = (of: (row: (typeof rows)[number]) => number) => rows.reduce((total, row) => total + row.w * of(row), 0);
  const [aa, ab, bb] = [sum(({ a }) => a * a), sum(({ a, b }) => a * b), sum(({ b }) => b * b)];
  const covariance = inverse([
    [aa, ab],
    [ab, bb],
  ]);
  if (!covariance) return failure("too_few", "The glides do not tell the two coefficients apart.", "glides");
  const [ay, by] = [sum(({ a, y }) => a * y), sum(({ b, y }) => b * y)];
  const cd0 = covariance[0][0] * ay + covariance[0][1] * by;
  const k = covariance[1][0] * ay + covariance[1][1] * by;
  if (!(cd0 > 0 && k > 0))
    return failure("no_polar", "These glides make no polar: was the engine off, and the air calm?", "glides");
  const freedom = rows.length - 2;
  const chiSquared = freedom > 0 ? sum(({ a, b, y }) => (y - cd0 * a - k * b) ** 2) / freedom : 1;
  const wide = Math.max(chiSquared, 1);
  const [[vcc, vck], [, vkk]] = covariance.map((row) => row.map((value) => value * wide));
  // Of 1/(2√(k·CD0)) and √(2·(W/S)/ρ0·√(k/CD0)): relative variances of first order.
  const [rc, rk, rck] = [vcc / cd0 ** 2, vkk / k ** 2, vck / (cd0 * k)];
  const bestRatio = 1 / (2 * Math.sqrt(k * cd0));
  const bestEas_mps = Math.sqrt(((2 * wingLoading) / RHO0) * Math.sqrt(k / cd0));
  const doubts: string[] = [];
  if (different < 3) doubts.push("Two speeds only: a third would show whether they agree.");
  if (chiSquared > MOST_CHI)
    doubts.push(
      "The glides disagree by more than their bounds: was the air moving, or the configuration not the same?",
    );
  return success({
    cd0,
    k,
    cd0Sigma: Math.sqrt(vcc),
    kSigma: Math.sqrt(vkk),
    bestRatio,
    bestRatioSigma: bestRatio * 0.5 * Math.sqrt(Math.max(rc + rk + 2 * rck, 0)),
    bestEas_mps,
    bestEasSigma_mps: bestEas_mps * 0.25 * Math.sqrt(Math.max(rc + rk - 2 * rck, 0)),
    chiSquared,
    doubts,
  });
}
