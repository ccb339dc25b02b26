// What a leg on one engine costs in height: the net path's sink over the ground, in the wind of each altitude.
import type { WindVector } from "../air/wind";
import { groundSpeed_mps } from "../air/wind-triangle";
import { type CoverMetric, coverMetric } from "../cover/cover-metric";
import type { OneEnginePath } from "./one-engine-path";

/**
 * Where the net path holds its height it goes as far as anybody wants: this many metres for each of height, so that a
 * way still has an order. 25 m on 50 km.
 */
export const LEVEL_RATIO = 2000;
/** Step of the table, m. */
const STEP_M = 100;

/** The metric of the net path. @param decrement - of the gradient; 0 for the gross path */
export function driftMetric(
  path: OneEnginePath,
  decrement: number,
  wind: (altitude_m: number) => WindVector,
): CoverMetric {
  const levels = new Map<number, { tas_mps: number; sink_mps: number } & WindVector>();
  const levelAt = (altitude_m: number) => {
    let level = levels.get(altitude_m);
    if (!level) {
      const { tas_mps } = path.at(altitude_m);
      const sink_mps = Math.max(-path.climb_mps(altitude_m, decrement), tas_mps / LEVEL_RATIO);
      level = { ...wind(altitude_m), tas_mps, sink_mps };
      levels.set(altitude_m, level);
    }
    return level;
  };
  return coverMetric(
    (east, north, altitude_m) => {
      const level = levelAt(altitude_m);
      return groundSpeed_mps(level.tas_mps, level, east, north) / level.sink_mps;
    },
    { low_m: path.low_m, high_m: path.high_m, step_m: STEP_M },
  );
}
