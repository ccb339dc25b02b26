// Height above mean sea level: the pressure's for its shape, the receiver's for where it begins. Pressure altitude runs
// short in warm air by T/T_isa.
import { T0_K } from "../../quantities/constants";

/** Lapse rate below the tropopause, K/m. @see ICAO Doc 7488 */
const LAPSE = -0.0065;
const TROPOPAUSE_M = 11_000;
const TROPOPAUSE_K = T0_K + LAPSE * TROPOPAUSE_M;
/** Without the day's temperature, the shape's factor is 1 to so much: ISA ± 12 K. */
const SCALE_SIGMA = 0.04;
/** Standard deviation of a receiver's height with what it drifts by, m. */
const GPS_SIGMA_M = 4;

/** Height of a pressure altitude over that of pressure altitude 0, in air warmer than standard. @see hydrostatics */
export function hydrostaticHeight_m(altitudePressure_m: number, deviation_K: number): number {
  const low = Math.min(altitudePressure_m, TROPOPAUSE_M);
  const below = low + (deviation_K / LAPSE) * Math.log(1 + (LAPSE * low) / T0_K);
  return below + Math.max(altitudePressure_m - TROPOPAUSE_M, 0) * (1 + deviation_K / TROPOPAUSE_K);
}

/**
 * Height from pressure altitude.
 *
 * @param gps_m - by satellites; absent leaves pressure altitude where it is
 * @param deviation_K - of the day; null fits a factor to the receiver's heights, held near 1
 * @returns metres above mean sea level, NaN where there is no pressure altitude
 */
export function trueHeight(
  altitudePressure_m: Float64Array,
  gps_m: Float64Array | undefined,
  deviation_K: number | null,
): Float64Array {
  const shape = altitudePressure_m.map((value) => hydrostaticHeight_m(value, deviation_K ?? 0));
  if (!gps_m) return shape;
  let [count, meanShape, meanGps] = [0, 0, 0];
  for (let i = 0; i < shape.length; i += 1) {
    if (!(Number.isFinite(shape[i]) && Number.isFinite(gps_m[i]))) continue;
    count += 1;
    meanShape += (shape[i] - meanShape) / count;
    meanGps += (gps_m[i] - meanGps) / count;
  }
  if (count === 0) return shape;
  let scale = 1;
  if (deviation_K === null) {
    let [xx, xy] = [0, 0];
    for (let i = 0; i < shape.length; i += 1) {
      if (!(Number.isFinite(shape[i]) && Number.isFinite(gps_m[i]))) continue;
      const x = shape[i] - meanShape;
      xx += x * x;
      xy += x * (gps_m[i] - meanGps - x);
    }
    // A prior of ±4 % against what drifts with a receiver: it counts a hundred fixes as one.
    const each = 1 / (GPS_SIGMA_M ** 2 * Math.min(100, count));
    scale = 1 + (xy * each) / (xx * each + 1 / SCALE_SIGMA ** 2);
  }
  return shape.map((value) => meanGps + scale * (value - meanShape));
}
