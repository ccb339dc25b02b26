// A steady airspeed is not a steady speed: going down, the air thickens and the true speed falls. What it loses in
// kinetic energy carries the aircraft on.
import { type AirMass, airAtAltitude } from "../air/altimetry";
import { airspeedsFromCas } from "../air/airspeed";
import { G0 } from "../quantities/constants";

/** Distance over which the kinetic height is differentiated, m; its slope changes by 1e-5 over it. */
const STEP_M = 10;

/**
 * Kinetic height V²/2g at a calibrated airspeed.
 *
 * @returns metres; 0 where that airspeed would be supersonic (no glide here is flown so fast)
 */
export function kineticHeight_m(cas_mps: number, altitude_m: number, air: AirMass): number {
  const speeds = airspeedsFromCas(cas_mps, airAtAltitude(altitude_m, air));
  return speeds.ok ? speeds.value.tas_mps ** 2 / (2 * G0) : 0;
}

/**
 * Acceleration factor AF = (V/g)·dV/dh at constant calibrated airspeed: sinγ = (D/W)/(1 + AF).
 *
 * @returns about 0.005 for a light single, 0.07 for a jet at FL140
 */
export function accelerationFactor(cas_mps: number, altitude_m: number, air: AirMass): number {
  return (
    (kineticHeight_m(cas_mps, altitude_m + STEP_M / 2, air) - kineticHeight_m(cas_mps, altitude_m - STEP_M / 2, air)) /
    STEP_M
  );
}
