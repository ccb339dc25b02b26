// Air over a runway as a table: wind along and across the take-off direction and density, every metre of height.
// The flights of this folder read it some hundred thousand times; a table is as exact as they are and much faster.
import { clamp } from "../numeric/clamp";
import { airAtAltitude, type AirMass } from "../air/altimetry";
import type { WindVector } from "../air/wind";

/** Air motion and density by height above the runway. */
export interface AirColumn {
  /** Of the first entry, m above the runway. */
  readonly low_m: number;
  readonly step_m: number;
  /** Air motion along the take-off direction: a headwind is negative. m/s, one entry a step from `low_m`. */
  readonly along_mps: Float64Array;
  /** Air motion to the right of the take-off direction. */
  readonly across_mps: Float64Array;
  readonly density: Float64Array;
  /** The wind is off by so much at every height. */
  readonly alongShift_mps: number;
  readonly acrossShift_mps: number;
}

/** Flights that are short go on below the runway to tell by how much; deeper than this nothing is asked. */
const LOW_M = -500;
const STEP_M = 1;

/**
 * Tabulates the air over a runway.
 *
 * @param wind - by altitude above mean sea level, as `windProfile` returns it for the runway's elevation
 * @param takeOff_rad - direction of take-off in the wind's frame
 * @param high_m - height of the last entry, m above the runway; above it the last value holds
 */
export function airColumn(
  air: AirMass,
  wind: (altitude_m: number) => WindVector,
  elevation_m: number,
  takeOff_rad: number,
  high_m: number,
): AirColumn {
  const count = Math.ceil((high_m - LOW_M) / STEP_M) + 1;
  const column = {
    low_m: LOW_M,
    step_m: STEP_M,
    along_mps: new Float64Array(count),
    across_mps: new Float64Array(count),
    density: new Float64Array(count),
    alongShift_mps: 0,
    acrossShift_mps: 0,
  };
  const [cos, sin] = [Math.cos(takeOff_rad), Math.sin(takeOff_rad)];
  for (let i = 0; i < count; i += 1) {
    const altitude_m = elevation_m + LOW_M + i * STEP_M;
    const { east_mps, north_mps } = wind(altitude_m);
    column.along_mps[i] = east_mps * sin + north_mps * cos;
    column.across_mps[i] = east_mps * cos - north_mps * sin;
    column.density[i] = airAtAltitude(altitude_m, air).density;
  }
  return column;
}

/** The air at one height. */
export interface AirSample {
  density: number;
  along_mps: number;
  across_mps: number;
  /** Change of the wind with height, 1/s. */
  alongSlope_ps: number;
  acrossSlope_ps: number;
}

/** A sample to write into. */
export function airSample(): AirSample {
  return { density: 0, along_mps: 0, across_mps: 0, alongSlope_ps: 0, acrossSlope_ps: 0 };
}

/**
 * Reads the table between its entries; beyond its ends the end holds.
 *
 * @param out - written and returned; owned by the caller
 */
export function readAir(
  { low_m, step_m, along_mps, across_mps, density, alongShift_mps, acrossShift_mps }: AirColumn,
  height_m: number,
  out: AirSample,
): AirSample {
  const place = clamp((height_m - low_m) / step_m, 0, density.length - 1.000001);
  const i = Math.floor(place);
  const share = place - i;
  const along = along_mps[i + 1] - along_mps[i];
  const across = across_mps[i + 1] - across_mps[i];
  out.density = density[i] + share * (density[i + 1] - density[i]);
  out.along_mps = along_mps[i] + share * along + alongShift_mps;
  out.across_mps = across_mps[i] + share * across + acrossShift_mps;
  out.alongSlope_ps = along / step_m;
  out.acrossSlope_ps = across / step_m;
  return out;
}
