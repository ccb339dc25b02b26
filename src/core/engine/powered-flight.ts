// Straight flight with all engines running: what is left of the thrust after the drag, by speed and height. Not here:
// turns, the ground, an engine that has stopped.
import { type AirMass, airAtAltitude } from "../air/altimetry";
import type { Aeroplane } from "../aircraft/aeroplane";
import type { Configuration } from "../aircraft/configuration";
import { type Polar, polarOf } from "../aircraft/polar";
import { bisect } from "../numeric/bisect";
import { halvingsTo } from "../numeric/halvings";
import { goldenMinimum } from "../numeric/golden-section";
import { type Outcome, success } from "../outcome";
import { G0, P0_PA, RHO0, T0_K } from "../quantities/constants";
import { engineForce } from "./engine-force";
import { powerShare } from "./power-share";

/** An aeroplane under power. Speeds are equivalent. */
export interface PoweredFlight {
  /** Of the configuration with its propellers dead, for the glide. */
  readonly gliding: Polar;
  /**
   * Thrust less drag, of weight, and the true airspeed.
   *
   * @param setting - share of full power; 1 for all of it
   */
  excess(eas_mps: number, altitude_m: number, setting?: number): { readonly tas_mps: number; readonly sine: number };
  /** Speeds between which climb and level flight are looked for. */
  readonly slowest_mps: number;
  readonly fastest_mps: number;
  /** Speed of the best rate of climb at full power. */
  bestRate_mps(altitude_m: number): number;
  /** Fastest speed at which the thrust holds the drag; null when none does. */
  level_mps(altitude_m: number, setting?: number): number | null;
}

/** Speeds over the stall between which the climb and the level speed are looked for. */
const SLOWEST = 1.15;
const FASTEST = 3.5;
/** Part of the never-exceed speed that is flown level. Common practice. */
const OF_VNE = 0.9;

/**
 * Makes an aeroplane ready.
 *
 * @returns failures of the polar
 */
export function poweredFlight(
  aircraft: Aeroplane,
  mass_kg: number,
  configuration: Configuration,
  air: AirMass,
): Outcome<PoweredFlight> {
  const dead = polarOf(aircraft, mass_kg, configuration);
  if (!dead.ok) return dead;
  // With the engines running nothing of them drags: the thrust is net.
  const share = dead.value.shares.find((entry) => entry.dead)?.deltaCd ?? 0;
  const running: Polar = { ...dead.value.polar, cd0: dead.value.polar.cd0 - share };
  const thrust = thrustOf(aircraft, mass_kg);
  const stall_mps = Math.sqrt((2 * running.wingLoading) / (RHO0 * running.clMax));
  const [slowest_mps, fastest_mps] = [
    SLOWEST * stall_mps,
    Math.min(FASTEST * stall_mps, (aircraft.limits.vne_mps ?? Infinity) * OF_VNE),
  ];
  const excess: PoweredFlight["excess"] = (eas_mps, altitude_m, setting = 1) => {
    const { density, pressure_Pa, temperature_K, speedOfSound_mps } = airAtAltitude(altitude_m, air);
    const tas_mps = eas_mps / Math.sqrt(density / RHO0);
    const cl = running.wingLoading / (0.5 * RHO0 * eas_mps ** 2);
    const state = { density, delta: pressure_Pa / P0_PA, theta: temperature_K / T0_K, speedOfSound_mps };
    return { tas_mps, sine: thrust(tas_mps, state, setting) - (running.cd0 + running.k * cl ** 2) / cl };
  };
  const bestRate_mps = (altitude_m: number) =>
    goldenMinimum(
      (eas_mps) => {
        const { tas_mps, sine } = excess(eas_mps, altitude_m);
        return -sine * tas_mps;
      },
      slowest_mps,
      fastest_mps,
      0.05,
    );
  return success({
    gliding: dead.value.polar,
    excess,
    slowest_mps,
    fastest_mps,
    bestRate_mps,
    level_mps: (altitude_m, setting = 1) => {
      const holds = (eas_mps: number) => excess(eas_mps, altitude_m, setting).sine >= 0;
      const from_mps = bestRate_mps(altitude_m);
      if (!holds(from_mps)) return null;
      if (holds(fastest_mps)) return fastest_mps;
      return bisect(holds, from_mps, fastest_mps, halvingsTo(0.01, from_mps, fastest_mps)).low;
    },
  });
}

type ThrustOverWeight = (
  tas_mps: number,
  air: { density: number; delta: number; theta: number; speedOfSound_mps: number },
  setting: number,
) => number;

/** Thrust of all engines over weight. */
function thrustOf({ engines }: Aeroplane, mass_kg: number): ThrustOverWeight {
  const weight = mass_kg * G0;
  const sigmaCritical =
    engines.kind === "propeller" && engines.criticalHeight_m !== null
      ? airAtAltitude(engines.criticalHeight_m, { qnh_Pa: P0_PA, deviation_K: 0 }).sigma
      : null;
  if (engines.kind === "propeller" && engines.thrustLine) {
    const { static_N, slope_Nspm } = engines.thrustLine;
    // The line holds about climb speed; beyond it the propeller's disc gives less.
    return (tas_mps, air, setting) =>
      Math.min(
        Math.max(static_N - slope_Nspm * tas_mps, 0) * powerShare(air.density / RHO0, sigmaCritical) * setting,
        engines.count * engineForce(engines, air, tas_mps, setting, sigmaCritical).thrust_N,
      ) / weight;
  }
  return (tas_mps, air, setting) =>
    (engines.count * engineForce(engines, air, tas_mps, setting, sigmaCritical).thrust_N) / weight;
}
