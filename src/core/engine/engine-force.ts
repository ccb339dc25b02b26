// What an engine does to the aeroplane: thrust, the slipstream's speed, torque; and the drag of a dead one.
import type { Aeroplane } from "../aircraft/aeroplane";
import type { PropellerState } from "../aircraft/propeller-state";
import { discThrust_N } from "../aircraft/propeller-thrust";
import { GAMMA_AIR, RHO0 } from "../quantities/constants";
import { powerShare } from "./power-share";

/** The air that an engine breathes. */
export interface EngineAir {
  readonly density: number;
  /** Pressure over sea-level pressure. */
  readonly delta: number;
  /** Temperature over standard sea-level temperature. */
  readonly theta: number;
  readonly speedOfSound_mps: number;
}

/** One live engine at a speed. */
export interface EngineForce {
  readonly thrust_N: number;
  /** Velocity that the propeller adds at its disc; 0 for jets. */
  readonly induced_mps: number;
  /** Shaft power; 0 for jets. */
  readonly power_W: number;
}

/**
 * A live engine.
 *
 * Propeller: actuator disc at ηP. Jet: F = F0·δ0·[1 − 0.49√M − 3(θ0 − TR)⁺/(1.5 + M)], total conditions of the stream.
 *
 * @param tas_mps - more than 0
 * @param setting - share of the full power or thrust of the moment, 0…1
 * @see momentum theory; J. D. Mattingly, Elements of Propulsion, for the jet's lapse (memory)
 */
export function engineForce(
  engines: Aeroplane["engines"],
  air: EngineAir,
  tas_mps: number,
  setting: number,
  sigmaCritical: number | null,
): EngineForce {
  switch (engines.kind) {
    case "propeller": {
      const power_W = Math.max(engines.power_W * powerShare(air.density / RHO0, sigmaCritical) * setting, 0);
      const { efficiency, diameter_m } = engines.propeller;
      const thrust_N = discThrust_N({ power_W, efficiency, diameter_m }, tas_mps, air.density);
      // T = ρ·A·(V + vi)·2vi, solved for vi.
      const area = (Math.PI * diameter_m ** 2) / 4;
      const induced_mps = (Math.sqrt(tas_mps ** 2 + (2 * thrust_N) / (air.density * area)) - tas_mps) / 2;
      return { thrust_N, induced_mps, power_W };
    }
    case "jet": {
      const mach = tas_mps / air.speedOfSound_mps;
      const ram = 1 + ((GAMMA_AIR - 1) / 2) * mach ** 2;
      const delta0 = air.delta * ram ** (GAMMA_AIR / (GAMMA_AIR - 1));
      const theta0 = air.theta * ram;
      const lapse = 1 - 0.49 * Math.sqrt(mach) - (3 * Math.max(theta0 - engines.throttleRatio, 0)) / (1.5 + mach);
      return { thrust_N: Math.max(engines.thrust_N * delta0 * lapse * setting, 0), induced_mps: 0, power_W: 0 };
    }
  }
}

/** Drag area (D/q) of one dead engine, m²; null when its propeller cannot be in that state. */
export function deadDragArea_m2(aircraft: Aeroplane, state: PropellerState): number | null {
  const { engines, polar, wing } = aircraft;
  if (engines.kind === "jet") return engines.deadDragArea_m2;
  if (engines.kind !== "propeller" || !polar?.deadPropeller || !wing || state === "none") return null;
  const coefficient = polar.deadPropeller[state];
  if (coefficient === null) return null;
  // On the wing area the document counts all propellers together.
  return polar.deadPropeller.basis === "disc"
    ? (coefficient * Math.PI * engines.propeller.diameter_m ** 2) / 4
    : (coefficient * wing.area_m2) / engines.count;
}
