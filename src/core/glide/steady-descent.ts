// A descent at a held airspeed, in time and in distance through the air: the one way down of glide, restart, relight
// and minutes left. True airspeed falls on the way down, and what it loses in kinetic energy carries the aircraft on:
// dh/dt = V·sinγ/(1 + AF).
import { type AirMass, airAtAltitude } from "../air/altimetry";
import { airspeedsFromEas } from "../air/airspeed";
import { accelerationFactor, kineticHeight_m } from "./acceleration-factor";
import type { StraightGlide } from "./straight-glide";

/** What an airspeed indicator shows at an equivalent airspeed; that airspeed itself where it would be supersonic. */
export function heldCas_mps(eas_mps: number, altitude_m: number, air: AirMass): number {
  const speeds = airspeedsFromEas(eas_mps, airAtAltitude(altitude_m, air));
  return speeds.ok ? speeds.value.cas_mps : eas_mps;
}

/**
 * Rate of descent at a held calibrated airspeed, m/s: V_EAS·sinγ/√σ/(1 + AF).
 *
 * @param sinkEas_mps - of the steady path at sea-level density, without the acceleration; negative climbs
 */
export function steadySink_mps(sinkEas_mps: number, cas_mps: number, altitude_m: number, air: AirMass): number {
  return (
    sinkEas_mps / Math.sqrt(airAtAltitude(altitude_m, air).sigma) / (1 + accelerationFactor(cas_mps, altitude_m, air))
  );
}

/** A way down at one airspeed. */
export interface SteadyDescent {
  sinkAt_mps(altitude_m: number): number;
  /** Altitude after a time; a negative time leads back up. */
  after_m(altitude_m: number, time_s: number): number;
  time_s(high_m: number, low_m: number): number;
  /** Distance through the air, horizontal. */
  air_m(high_m: number, low_m: number): number;
}

/** Steps of the midpoint rule; half of them moves nothing by 1e-5. */
const STEP_S = 5;
const STEP_M = 50;

/**
 * The descent of a glide.
 *
 * @param glide - its sink and ratio
 * @param cas_mps - calibrated airspeed that is held
 */
export function steadyDescent(
  { sinkEas_mps, ratio }: Pick<StraightGlide, "sinkEas_mps" | "ratio">,
  cas_mps: number,
  air: AirMass,
): SteadyDescent {
  const sinkAt_mps = (altitude_m: number) => steadySink_mps(sinkEas_mps, cas_mps, altitude_m, air);
  return {
    sinkAt_mps,
    after_m(altitude_m, time_s) {
      const steps = Math.max(1, Math.ceil(Math.abs(time_s) / STEP_S));
      const step_s = time_s / steps;
      let now_m = altitude_m;
      for (let i = 0; i < steps; i += 1) now_m -= step_s * sinkAt_mps(now_m - (step_s / 2) * sinkAt_mps(now_m));
      return now_m;
    },
    time_s(high_m, low_m) {
      const steps = Math.max(1, Math.ceil(Math.abs(high_m - low_m) / STEP_M));
      const step_m = (high_m - low_m) / steps;
      let sum_s = 0;
      for (let i = 0; i < steps; i += 1) sum_s += step_m / sinkAt_mps(low_m + (i + 0.5) * step_m);
      return sum_s;
    },
    air_m: (high_m, low_m) =>
      (high_m - low_m + kineticHeight_m(cas_mps, high_m, air) - kineticHeight_m(cas_mps, low_m, air)) * ratio,
  };
}
