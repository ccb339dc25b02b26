// The air of a flight tabulated before it begins. The table is in single precision, so that every machine reads the
// same: what engines of JavaScript differ in, the last bit of a double, is gone from it.
import { type AirMass, airAtAltitude } from "../air/altimetry";
import type { WindVector } from "../air/wind";
import { type AirColumn, TABLE_STEP_M } from "./step-air";

/** So deep below the ground and so high above it; gusts go by the wind at this height, m. */
const [DEPTH_M, HEIGHT_M, GUST_M] = [300, 6000, 6];

/**
 * Tabulates the air from 300 m below a ground to 6,000 m above it.
 *
 * @param turbulence - 0 none, 1 what the surface wind makes over open country
 */
export function airColumn(
  air: AirMass,
  wind: (altitude_m: number) => WindVector,
  ground_m: number,
  turbulence: number,
): AirColumn {
  const low_m = Math.fround(ground_m - DEPTH_M);
  const count = (DEPTH_M + HEIGHT_M) / TABLE_STEP_M + 1;
  const table = (of: (altitude_m: number) => number) =>
    Float32Array.from({ length: count }, (_, i) => of(low_m + i * TABLE_STEP_M));
  const surface = wind(ground_m + GUST_M);
  return {
    low_m,
    density: table((altitude_m) => airAtAltitude(altitude_m, air).density),
    pressure_Pa: table((altitude_m) => airAtAltitude(altitude_m, air).pressure_Pa),
    speedOfSound_mps: table((altitude_m) => airAtAltitude(altitude_m, air).speedOfSound_mps),
    north_mps: table((altitude_m) => wind(altitude_m).north_mps),
    east_mps: table((altitude_m) => wind(altitude_m).east_mps),
    surfaceWind_mps: Math.fround(Math.sqrt(surface.north_mps ** 2 + surface.east_mps ** 2)),
    turbulence: Math.fround(turbulence),
  };
}
