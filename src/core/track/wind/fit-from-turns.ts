// The wind without an airspeed: in a turn at a steady speed the tip of the ground's velocity goes round a circle whose
// middle is the wind.
import { inverse } from "../../numeric/solve-linear";
import type { FittedWind } from "./fitted-wind";
import { leastSquares } from "./normal-equations";

/** A turn's velocity over the ground, one a second. */
export interface TurnPoints {
  readonly time_s: Float64Array;
  readonly east_mps: Float64Array;
  readonly north_mps: Float64Array;
  readonly altitude_m: number;
}

/** Residuals of seconds that lie nearer than this have the same gust and the same change of speed in them, s. */
const COMMON_S = 20;
const LEAST_VARIANCE = 0.12;
/** The speed may change by so much, m/s². */
const CHANGE = { mean: 0, sigma: 0.1 };
const WIND = { mean: 0, sigma: 10 };
/** Where the search begins: no wind, and one from each side, m/s. */
const STARTS = [
  [0, 0],
  [8, 8],
  [-8, 8],
  [8, -8],
  [-8, -8],
] as const;
/** A wind that is known less well than this is not told, m/s. */
const WORST_SIGMA_MPS = 7;

interface OfTurn {
  readonly east_mps: number;
  readonly north_mps: number;
  readonly covariance: readonly [number, number, number];
}

/** The circle of one turn; null where there is none. */
function ofTurn({ time_s, east_mps, north_mps }: TurnPoints): OfTurn | null {
  const count = time_s.length;
  if (count < 6) return null;
  const middle_s = (time_s[0] + time_s[count - 1]) / 2;
  const residual = ([we, wn, v0, v1]: readonly number[], i: number, slopes: number[]) => {
    const [east, north] = [east_mps[i] - we, north_mps[i] - wn];
    const speed = Math.max(Math.hypot(east, north), 1e-6);
    const t = time_s[i] - middle_s;
    slopes[0] = -east / speed;
    slopes[1] = -north / speed;
    slopes[2] = -1;
    slopes[3] = -t;
    return speed - v0 - v1 * t;
  };
  let mean = 0;
  for (let i = 0; i < count; i += 1) mean += Math.hypot(east_mps[i], north_mps[i]) / count;
  const priors = [WIND, WIND, null, CHANGE];
  let best: ReturnType<typeof leastSquares> = null;
  for (const [we, wn] of STARTS) {
    const rough = leastSquares(count, residual, [we, wn, mean, 0], priors, COMMON_S);
    if (rough && (!best || rough.rms < best.rms)) best = rough;
  }
  if (!best) return null;
  const fit = leastSquares(count, residual, best.unknowns, priors, Math.max(best.rms ** 2, LEAST_VARIANCE) * COMMON_S);
  if (!fit || fit.unknowns[2] < 5) return null;
  const { covariance: c } = fit;
  return { east_mps: fit.unknowns[0], north_mps: fit.unknowns[1], covariance: [c[0][0], c[0][1], c[1][1]] };
}

/**
 * The wind of all turns together, each counting by how well it shows it.
 *
 * @param turns - of 125° and more
 * @returns null where they show none
 */
export function windFromTurns(turns: readonly TurnPoints[]): FittedWind | null {
  const information = [0, 0, 0];
  const pull = [0, 0];
  let [altitude, weight] = [0, 0];
  for (const turn of turns) {
    const found = ofTurn(turn);
    if (!found) continue;
    const [ee, en, nn] = found.covariance;
    const of = inverse([
      [ee, en],
      [en, nn],
    ]);
    if (!of) continue;
    information[0] += of[0][0];
    information[1] += of[0][1];
    information[2] += of[1][1];
    pull[0] += of[0][0] * found.east_mps + of[0][1] * found.north_mps;
    pull[1] += of[1][0] * found.east_mps + of[1][1] * found.north_mps;
    const trace = of[0][0] + of[1][1];
    altitude += trace * turn.altitude_m;
    weight += trace;
  }
  if (weight === 0) return null;
  const covariance = inverse([
    [information[0], information[1]],
    [information[1], information[2]],
  ]);
  if (!covariance) return null;
  const [[ee, en], [, nn]] = covariance;
  if (!(Math.sqrt(Math.max(ee, nn)) < WORST_SIGMA_MPS)) return null;
  return {
    east_mps: ee * pull[0] + en * pull[1],
    north_mps: en * pull[0] + nn * pull[1],
    eastGradient: 0,
    northGradient: 0,
    altitude_m: altitude / weight,
    covariance: [ee, en, nn],
    airspeedScale: 1,
    sensors: ["position"],
  };
}
