// Running integrals over height that make time and wind drift of any descent exact at the cost of two table look-ups.
//
// At constant airspeed the true speed falls on the way down, and what it loses in kinetic energy carries the aircraft
// on: a distance through the air costs *energy* height e = h + V²/2g, so that dh = de/(1 + AF) with the acceleration
// factor AF = d(V²/2g)/dh (under 1 % for light aircraft, 7 % for a jet at FL140). A descent from A to B then takes
// ∫√σ(1 + AF) dh / s, s being the sink at sea-level density without it, and drifts ∫w·√σ(1 + AF) dh / s.
//
// The integrals are tabulated once per air, wind, ground and airspeed, and read with cubic Hermite interpolation (the
// integrand is the table's own derivative). Taking the wind at mid-height instead misses by up to 190 m.
import { clamp } from "../numeric/clamp";
import { type AirMass, airAtAltitude } from "../air/altimetry";
import type { WindVector } from "../air/wind";
import { kineticHeight_m } from "./acceleration-factor";

/** Integrals up to one altitude; differences between two altitudes are what counts. */
export interface IntegralsAt {
  /** ∫√σ(1 + AF) dh, m. */
  time_m: number;
  /** ∫w·√σ(1 + AF) dh, m²/s. */
  east_m2ps: number;
  north_m2ps: number;
}

/** A table over altitude, for one air mass, wind column, ground and airspeed. */
export interface DescentIntegrals {
  readonly low_m: number;
  readonly high_m: number;
  /** Fills `out` for an altitude; beyond the table the end values are continued with their slope. */
  at(altitude_m: number, out: IntegralsAt): IntegralsAt;
  /** √σ at an altitude, linear between nodes (error under 1e-7). */
  rootSigmaAt(altitude_m: number): number;
  /** Energy height at an altitude, m. */
  energyAt(altitude_m: number): number;
  /** Altitude after spending an energy height from another; a negative one leads up. */
  descend(altitude_m: number, energy_m: number): number;
}

/**
 * Spacing of the table, m. The 1/7 law bends hardest at 3 m and 10 m above ground; there the error is under 2 cm of
 * drift per kt.
 */
const STEP_M = 10;
/** Per node: three integrals and their three slopes. */
const STRIDE = 6;

/**
 * Tabulates the integrals.
 *
 * @param wind - air motion by altitude
 * @param low_m - lowest altitude, usually well below the target so that shortfalls stay smooth
 * @param high_m - highest altitude, at or above the start
 * @param cas_mps - calibrated airspeed held; that of the straight glide serves for the turns too (a few per cent
 *   faster, of AF)
 */
export function descentIntegrals(
  air: AirMass,
  wind: (altitude_m: number) => WindVector,
  low_m: number,
  high_m: number,
  cas_mps: number,
): DescentIntegrals {
  const steps = Math.max(2, Math.ceil((high_m - low_m) / STEP_M));
  const nodes = new Float64Array((steps + 1) * STRIDE);
  const rootSigma = new Float64Array(steps + 1);
  const energy = new Float64Array(steps + 1);
  // Kinetic height at half steps, one beyond each end: its differences are AF at nodes and half-way between.
  const kinetic = Float64Array.from({ length: 2 * steps + 3 }, (_, i) =>
    kineticHeight_m(cas_mps, low_m + ((i - 1) * STEP_M) / 2, air),
  );
  const integrand = (half: number) => {
    const altitude_m = low_m + (half * STEP_M) / 2;
    const root = Math.sqrt(airAtAltitude(altitude_m, air).sigma);
    const weight = root * (1 + (kinetic[half + 2] - kinetic[half]) / STEP_M);
    if (half % 2 === 0) {
      rootSigma[half / 2] = root;
      energy[half / 2] = altitude_m + kinetic[half + 1];
    }
    const { east_mps, north_mps } = wind(altitude_m);
    return [weight, weight * east_mps, weight * north_mps];
  };
  let before = integrand(0);
  nodes.set(before, 3);
  for (let i = 1; i <= steps; i += 1) {
    const middle = integrand(2 * i - 1);
    const now = integrand(2 * i);
    for (let j = 0; j < 3; j += 1) {
      // Simpson's rule over the step.
      nodes[i * STRIDE + j] = nodes[(i - 1) * STRIDE + j] + (STEP_M / 6) * (before[j] + 4 * middle[j] + now[j]);
      nodes[i * STRIDE + 3 + j] = now[j];
    }
    before = now;
  }
  const cellOf = (altitude_m: number) => clamp(Math.floor((altitude_m - low_m) / STEP_M), 0, steps - 1);
  const energyAt = (altitude_m: number) => {
    const i = cellOf(altitude_m);
    return energy[i] + ((altitude_m - low_m) / STEP_M - i) * (energy[i + 1] - energy[i]);
  };
  return {
    low_m,
    high_m: low_m + steps * STEP_M,
    rootSigmaAt(altitude_m) {
      const position = clamp((altitude_m - low_m) / STEP_M, 0, steps);
      const i = Math.min(Math.floor(position), steps - 1);
      return rootSigma[i] + (position - i) * (rootSigma[i + 1] - rootSigma[i]);
    },
    energyAt,
    descend(altitude_m, energy_m) {
      const wanted = energyAt(altitude_m) - energy_m;
      let level_m = altitude_m - energy_m;
      // Newton's steps on a table whose slope changes by 1e-5 a cell: three end within a tenth of a millimetre.
      for (let i = 0; i < 3; i += 1) {
        const cell = cellOf(level_m);
        level_m -= (energyAt(level_m) - wanted) / ((energy[cell + 1] - energy[cell]) / STEP_M);
      }
      return level_m;
    },
    at(altitude_m, out) {
      const position = (altitude_m - low_m) / STEP_M;
      const i = clamp(Math.floor(position), 0, steps - 1);
      const t = position - i;
      const a = i * STRIDE;
      const b = a + STRIDE;
      if (t < 0 || t > 1) {
        const end = t < 0 ? a : b;
        const beyond = (t < 0 ? t : t - 1) * STEP_M;
        out.time_m = nodes[end] + beyond * nodes[end + 3];
        out.east_m2ps = nodes[end + 1] + beyond * nodes[end + 4];
        out.north_m2ps = nodes[end + 2] + beyond * nodes[end + 5];
        return out;
      }
      const t2 = t * t;
      const t3 = t2 * t;
      const h01 = 3 * t2 - 2 * t3;
      const h00 = 1 - h01;
      const h10 = (t3 - 2 * t2 + t) * STEP_M;
      const h11 = (t3 - t2) * STEP_M;
      out.time_m = h00 * nodes[a] + h10 * nodes[a + 3] + h01 * nodes[b] + h11 * nodes[b + 3];
      out.east_m2ps = h00 * nodes[a + 1] + h10 * nodes[a + 4] + h01 * nodes[b + 1] + h11 * nodes[b + 4];
      out.north_m2ps = h00 * nodes[a + 2] + h10 * nodes[a + 5] + h01 * nodes[b + 2] + h11 * nodes[b + 5];
      return out;
    },
  };
}
