import { atmosphereAt } from "../air/atmosphere";
import { pressureAltitudeOnQnh_m } from "../air/altimetry";
import type { Helicopter } from "../aircraft/helicopter";
import { type Outcome, failure, success } from "../outcome";
import { G0, P0_PA, T0_K } from "../quantities/constants";
import { formatNumber } from "../quantities/units";
import type { Blades } from "./blade-drag";
import type { HelicopterQuestion } from "./helicopter-question";

/** The air that rotor powers hold in, m of pressure altitude. */
const HIGHEST_M = 6100;

/** A helicopter at a mass in an air, made ready. */
export interface HelicopterCase {
  readonly aircraft: Helicopter;
  readonly mass_kg: number;
  readonly weight_N: number;
  readonly density: number;
  /** Pressure and temperature over the standard ones at sea level. */
  readonly delta: number;
  readonly theta: number;
  readonly blades: Blades;
}

/** The main rotor as its blades see it. */
function bladesOf({ rotor }: Helicopter): Blades {
  return {
    discArea_m2: Math.PI * rotor.radius_m ** 2,
    solidity: (rotor.blades * rotor.chord_m) / (Math.PI * rotor.radius_m),
    dragFactor: rotor.bladeDragFactor,
    extraCd: 0,
  };
}

/**
 * Makes a helicopter ready.
 *
 * @returns `mass_outside`, `too_high` above 6,100 m (20,000 ft) of pressure altitude, faults of the air
 */
export function helicopterCase({ aircraft, mass_kg, altitude_m, air }: HelicopterQuestion): Outcome<HelicopterCase> {
  const { minimum_kg, maximum_kg } = aircraft.mass;
  if (!(mass_kg >= minimum_kg && mass_kg <= maximum_kg))
    return failure(
      "mass_outside",
      `The mass of ${aircraft.name} is ${formatNumber(minimum_kg)} to ${formatNumber(maximum_kg)} kg; ${formatNumber(mass_kg)} kg is outside.`,
      "mass_kg",
    );
  const altitudePressure_m = pressureAltitudeOnQnh_m(altitude_m, air.qnh_Pa);
  if (!(altitudePressure_m <= HIGHEST_M))
    return failure("too_high", "Rotor powers hold to 6 100 m (20 000 ft) of pressure altitude.", "altitude_m");
  const state = atmosphereAt(altitudePressure_m, air.deviation_K);
  if (!state.ok) return state;
  return success({
    aircraft,
    mass_kg,
    weight_N: mass_kg * G0,
    density: state.value.density,
    delta: state.value.pressure_Pa / P0_PA,
    theta: state.value.temperature_K / T0_K,
    blades: bladesOf(aircraft),
  });
}

/** The same helicopter at another mass; for searches, within what it may weigh or not. */
export function withMass(flight: HelicopterCase, mass_kg: number): HelicopterCase {
  return { ...flight, mass_kg, weight_N: mass_kg * G0 };
}
