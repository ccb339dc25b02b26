// Calibrated, equivalent and true airspeed and Mach number, by the subsonic compressible pitot equations.
// Not here: position error of the installation (the aircraft's handbook), supersonic flow.
import { A0_MPS, P0_PA, RHO0 } from "../quantities/constants";
import { type Outcome, failure, success } from "../outcome";
import type { AirState } from "./atmosphere";

/** (γ−1)/2 and γ/(γ−1) for γ = 1.4. */
const HALF = 0.2;
const POWER = 3.5;

/** The four speeds of one state of flight. */
export interface Airspeeds {
  readonly cas_mps: number;
  readonly eas_mps: number;
  readonly tas_mps: number;
  readonly mach: number;
}

/** Impact pressure over static pressure at a Mach number. */
function impactRatio(mach: number): number {
  return (1 + HALF * mach * mach) ** POWER - 1;
}

/** Mach number at an impact pressure over static pressure. */
function machOfImpact(ratio: number): number {
  return Math.sqrt(((1 + ratio) ** (1 / POWER) - 1) / HALF);
}

function speedsAtMach(mach: number, air: AirState): Outcome<Airspeeds> {
  if (!(mach >= 0 && mach < 1))
    return failure("not_subsonic", "The pitot equations used here hold below Mach 1.", "mach");
  const tas_mps = mach * air.speedOfSound_mps;
  const cas_mps = A0_MPS * machOfImpact((impactRatio(mach) * air.pressure_Pa) / P0_PA);
  return success({ mach, tas_mps, cas_mps, eas_mps: tas_mps * Math.sqrt(air.density / RHO0) });
}

/** Speeds from calibrated airspeed, m/s; `not_subsonic` at Mach 1 and above. */
export function airspeedsFromCas(cas_mps: number, air: AirState): Outcome<Airspeeds> {
  if (!(cas_mps >= 0)) return failure("negative_speed", "An airspeed is zero or more.", "cas_mps");
  return speedsAtMach(machOfImpact((impactRatio(cas_mps / A0_MPS) * P0_PA) / air.pressure_Pa), air);
}

/** Speeds from equivalent airspeed, m/s. */
export function airspeedsFromEas(eas_mps: number, air: AirState): Outcome<Airspeeds> {
  return airspeedsFromTas(eas_mps / Math.sqrt(air.density / RHO0), air);
}

/** Speeds from true airspeed, m/s. */
export function airspeedsFromTas(tas_mps: number, air: AirState): Outcome<Airspeeds> {
  return speedsAtMach(tas_mps / air.speedOfSound_mps, air);
}

/** Speeds from Mach number. */
export function airspeedsFromMach(mach: number, air: AirState): Outcome<Airspeeds> {
  return speedsAtMach(mach, air);
}
