// The wind by which speed over the ground and airspeed agree all along a flight.
import type { FittedWind } from "./fitted-wind";
import { leastSquares } from "./normal-equations";

/** What of a flight the fit looks at: one a second, in the air. */
export interface WindPoints {
  readonly east_mps: Float64Array;
  readonly north_mps: Float64Array;
  readonly altitude_m: Float64Array;
  readonly tas_mps: Float64Array;
}

/** Most points. */
const MOST_POINTS = 3000;
/** Residuals of seconds that lie nearer than this have the same gust in them, s. */
const COMMON_S = 8;
/** Least variance of a residual, m²/s². */
const LEAST_VARIANCE = 0.12;
const HUBER_MPS = 1.6;
/** A wind does not grow in a straight line: what that leaves, m/s. Measured against flights with a known wind. */
const MODEL_MPS = 0.45;
const PRIORS = [
  { mean: 0, sigma: 15 },
  { mean: 0, sigma: 15 },
  { mean: 0, sigma: 0.006 },
  { mean: 0, sigma: 0.006 },
  { mean: 1, sigma: 0.03 },
] as const;

/**
 * Fits w, its change by height and the indicator's scale: least Σ (|v_g − w − g·(h − hm)| − k·V)².
 *
 * @returns null with fewer than 30 points
 */
export function windWithAirspeed(points: WindPoints): { wind: FittedWind; rms_mps: number } | null {
  const all = points.tas_mps.length;
  if (all < 30) return null;
  const stride = Math.max(1, Math.ceil(all / MOST_POINTS));
  const count = Math.floor((all - 1) / stride) + 1;
  let mean_m = 0;
  for (let i = 0; i < count; i += 1) mean_m += points.altitude_m[i * stride] / count;
  const residual = ([we, wn, ge, gn, k]: readonly number[], i: number, slopes: number[]) => {
    const at = i * stride;
    const above = points.altitude_m[at] - mean_m;
    const east = points.east_mps[at] - we - ge * above;
    const north = points.north_mps[at] - wn - gn * above;
    const speed = Math.max(Math.hypot(east, north), 1e-6);
    slopes[0] = -east / speed;
    slopes[1] = -north / speed;
    slopes[2] = slopes[0] * above;
    slopes[3] = slopes[1] * above;
    slopes[4] = -points.tas_mps[at];
    return speed - k * points.tas_mps[at];
  };
  const start = [0, 0, 0, 0, 1];
  const common = Math.max(COMMON_S / stride, 1);
  const first = leastSquares(count, residual, start, PRIORS, common, HUBER_MPS);
  if (!first) return null;
  const variance = Math.max(first.rms ** 2, LEAST_VARIANCE) * common;
  const fit = leastSquares(count, residual, first.unknowns, PRIORS, variance, HUBER_MPS);
  if (!fit) return null;
  const [east_mps, north_mps, eastGradient, northGradient, airspeedScale] = fit.unknowns;
  const { covariance: c } = fit;
  return {
    wind: {
      east_mps,
      north_mps,
      eastGradient,
      northGradient,
      altitude_m: mean_m,
      covariance: [c[0][0] + MODEL_MPS ** 2, c[0][1], c[1][1] + MODEL_MPS ** 2],
      airspeedScale,
      sensors: ["position", "airspeed"],
    },
    rms_mps: fit.rms,
  };
}
