// The air of a flight as a table by height, read between its entries, and gusts on top of it. Runs inside a step:
// functions of numeric/exact only.
import { PI, cos, log, pow } from "../numeric/exact";
import * as S from "./state";

/** Air by altitude. */
export interface AirColumn {
  readonly low_m: number;
  /** Entries a step of 5 m: density, pressure, speed of sound, wind to the north and to the east. */
  readonly density: Float32Array;
  readonly pressure_Pa: Float32Array;
  readonly speedOfSound_mps: Float32Array;
  readonly north_mps: Float32Array;
  readonly east_mps: Float32Array;
  /** Wind at 6 m over open ground, which gusts go by, and how much of them there is: 0 none. */
  readonly surfaceWind_mps: number;
  readonly turbulence: number;
}

/** The air of one step. */
export interface StepAir {
  density: number;
  pressure_Pa: number;
  speedOfSound_mps: number;
  /** Wind and gusts, to the north, to the east, down. */
  north_mps: number;
  east_mps: number;
  down_mps: number;
  /** Rolling of the air itself, rad/s. */
  roll_radps: number;
}

/** A step's air to write into. */
export const stepAir = (): StepAir => ({
  density: 1.225,
  pressure_Pa: 101_325,
  speedOfSound_mps: 340,
  north_mps: 0,
  east_mps: 0,
  down_mps: 0,
  roll_radps: 0,
});

/** Between two entries of the table, m. */
export const TABLE_STEP_M = 5;
const FT_PER_M = 1 / 0.3048;

/** Reads the table at an altitude; beyond its ends the end holds. */
export function readAir(column: AirColumn, altitude_m: number, out: StepAir): StepAir {
  const place = Math.max(0, Math.min(column.density.length - 1.000001, (altitude_m - column.low_m) / TABLE_STEP_M));
  const i = Math.floor(place);
  const t = place - i;
  out.density = column.density[i] + t * (column.density[i + 1] - column.density[i]);
  out.pressure_Pa = column.pressure_Pa[i] + t * (column.pressure_Pa[i + 1] - column.pressure_Pa[i]);
  out.speedOfSound_mps = column.speedOfSound_mps[i] + t * (column.speedOfSound_mps[i + 1] - column.speedOfSound_mps[i]);
  out.north_mps = column.north_mps[i] + t * (column.north_mps[i + 1] - column.north_mps[i]);
  out.east_mps = column.east_mps[i] + t * (column.east_mps[i + 1] - column.east_mps[i]);
  out.down_mps = 0;
  out.roll_radps = 0;
  return out;
}

/**
 * A chance of 0…1 without the ends: 48,271 times the last modulo 2³¹ − 1, which doubles hold (Park, Miller; memory).
 */
function random(s: Float64Array): number {
  const next = (s[S.RANDOM] * 48_271) % 2_147_483_647;
  s[S.RANDOM] = next;
  return next / 2_147_483_647;
}

/** A normal deviate of two uniform ones (Box, Muller). */
const normal = (s: Float64Array): number => Math.sqrt(-2 * log(random(s))) * cos(2 * PI * random(s));

/** Slower than this air does not pass by, m/s. */
const LEAST_MPS = 8;
/** Below this the ground lets no gust through it, m. */
const FADES_M = 10;

/**
 * Gusts a step later, added to the air: filters of the first order whose scale and strength go by height.
 *
 * σw = 0.1·W20, σu = σv = σw/(0.177 + 0.000823h)^0.4; Lw = h, Lu = Lv = h/(0.177 + 0.000823h)^1.2, in feet, up to
 * 1,000 ft.
 *
 * @see MIL-F-8785C, low-altitude model, Dryden form (memory)
 */
export function addGusts(
  column: AirColumn,
  s: Float64Array,
  height_m: number,
  tas_mps: number,
  span_m: number,
  step_s: number,
  out: StepAir,
): void {
  if (column.turbulence === 0 || column.surfaceWind_mps === 0) return;
  const h = Math.max(10, Math.min(1000, height_m * FT_PER_M));
  const base = 0.177 + 0.000823 * h;
  const sigmaW = 0.1 * column.surfaceWind_mps * column.turbulence;
  const sigmaU = sigmaW / pow(base, 0.4);
  const lengthU = h / pow(base, 1.2) / FT_PER_M;
  const lengthW = h / FT_PER_M;
  const v = Math.max(tas_mps, LEAST_MPS);
  const filter = (at: number, sigma: number, length: number) => {
    const a = Math.max(0, 1 - (v * step_s) / length);
    s[at] = a * s[at] + sigma * Math.sqrt(1 - a * a) * normal(s);
  };
  filter(S.GUST_U, sigmaU, lengthU);
  filter(S.GUST_V, sigmaU, lengthU);
  filter(S.GUST_W, sigmaW, lengthW);
  filter(S.GUST_P, (1.9 * sigmaW) / Math.sqrt(Math.max(lengthW, span_m) * span_m), 2.6 * Math.sqrt(lengthW * span_m));
  const fade = Math.max(0, Math.min(1, height_m / FADES_M));
  out.north_mps += s[S.GUST_U];
  out.east_mps += s[S.GUST_V];
  out.down_mps += fade * s[S.GUST_W];
  out.roll_radps += fade * s[S.GUST_P];
}

/** Sets the generator; any whole number will do. */
export function seedGusts(s: Float64Array, seed: number): void {
  s[S.RANDOM] = (Math.abs(Math.trunc(seed)) % 2_147_483_645) + 1;
  for (let i = 0; i < 8; i += 1) random(s);
}
