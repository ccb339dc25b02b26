// Thrust of a propeller by momentum theory. Not here: blade stall at standstill, compressibility at the tips.
import type { Aeroplane } from "./aeroplane";
import { RHO0 } from "../quantities/constants";
import { type Outcome, failure, success } from "../outcome";

/** What a disc needs to know. */
export interface Disc {
  readonly power_W: number;
  readonly efficiency: number;
  readonly diameter_m: number;
}

/**
 * Thrust of an actuator disc: w = V + vi, w³ − V·w² − ηP/(2ρA) = 0, T = 2ρA·w·vi.
 *
 * @param tas_mps - 0 or more
 * @param density - kg/m³
 * @returns newtons
 * @see momentum theory (Rankine, Froude)
 */
export function discThrust_N({ power_W, efficiency, diameter_m }: Disc, tas_mps: number, density: number): number {
  const twoRhoA = (density * Math.PI * diameter_m * diameter_m) / 2;
  const c = (efficiency * power_W) / twoRhoA;
  // The root lies above V by no more than c's cube root, and so by no more than this: Newton's steps come down to it
  // without passing it.
  let w = tas_mps + Math.max(1, Math.sqrt(c));
  for (let i = 0; i < 60; i += 1) {
    const step = (w * w * (w - tas_mps) - c) / (w * (3 * w - 2 * tas_mps));
    w -= step;
    if (Math.abs(step) < 1e-12 * w) break;
  }
  return twoRhoA * w * (w - tas_mps);
}

/** Full-power thrust at sea level as a line over airspeed. */
export interface ThrustLine {
  readonly static_N: number;
  readonly slope_Nspm: number;
  /** Where it comes from. */
  readonly source: "aircraft document" | "momentum theory";
}

/**
 * The thrust line of all engines together: as the document has it, or the chord of the actuator disc between lift-off
 * and climb speed.
 *
 * @param slow_mps - lift-off speed
 * @param fast_mps - climb speed, above the other
 * @returns `no_propeller_thrust` for jets and rotorcraft
 */
export function thrustLine(aircraft: Aeroplane, slow_mps: number, fast_mps: number): Outcome<ThrustLine> {
  const { engines } = aircraft;
  if (engines.kind !== "propeller")
    return failure(
      "no_propeller_thrust",
      `${aircraft.name} has no piston engine and propeller, which this take-off is computed with.`,
      "aircraft",
    );
  if (engines.thrustLine) return success({ ...engines.thrustLine, source: "aircraft document" });
  const disc: Disc = {
    power_W: engines.power_W,
    efficiency: engines.propeller.efficiency,
    diameter_m: engines.propeller.diameter_m,
  };
  const [slow, fast] = [slow_mps, fast_mps].map((speed) => engines.count * discThrust_N(disc, speed, RHO0));
  const slope_Nspm = (slow - fast) / (fast_mps - slow_mps);
  return success({ static_N: slow + slope_Nspm * slow_mps, slope_Nspm, source: "momentum theory" });
}
