// The rotor of a gyroplane: no engine turns it, the air that comes up through it does.
import { airAtAltitude, pressureAltitudeOnQnh_m } from "../air/altimetry";
import type { Gyroplane } from "../aircraft/gyroplane";
import { type Outcome, failure, success } from "../outcome";
import { G0 } from "../quantities/constants";
import { formatNumber } from "../quantities/units";
import type { Blades } from "./blade-drag";
import type { GyroEngine, GyroQuestion } from "./gyro-question";

/** The air that this holds in, m of pressure altitude. */
const HIGHEST_M = 4600;
/** Section drag of blades that are not faired, over a smooth one's. */
const ROUGHNESS = 0.0015;

/** A gyroplane at a mass in an air, made ready. */
export interface GyroCase {
  readonly aircraft: Gyroplane;
  readonly mass_kg: number;
  readonly weight_N: number;
  readonly density: number;
  readonly blades: Blades;
}

/**
 * Makes a gyroplane ready.
 *
 * @returns `mass_outside`, `too_high` above 4,600 m (15,000 ft) of pressure altitude
 */
export function gyroCase({ aircraft, mass_kg, altitude_m, air }: GyroQuestion): Outcome<GyroCase> {
  const { minimum_kg, maximum_kg } = aircraft.mass;
  if (!(mass_kg >= minimum_kg && mass_kg <= maximum_kg))
    return failure(
      "mass_outside",
      `The mass of ${aircraft.name} is ${formatNumber(minimum_kg)} to ${formatNumber(maximum_kg)} kg; ${formatNumber(mass_kg)} kg is outside.`,
      "mass_kg",
    );
  const altitudePressure_m = pressureAltitudeOnQnh_m(altitude_m, air.qnh_Pa);
  if (!(altitudePressure_m >= -2000 && altitudePressure_m <= HIGHEST_M))
    return failure(
      "too_high",
      "A gyroplane’s rotor is computed to 4 600 m (15 000 ft) of pressure altitude.",
      "altitude_m",
    );
  const { rotor } = aircraft;
  return success({
    aircraft,
    mass_kg,
    weight_N: mass_kg * G0,
    density: airAtAltitude(altitude_m, air).density,
    blades: {
      discArea_m2: Math.PI * rotor.radius_m ** 2,
      solidity: (rotor.blades * rotor.chord_m) / (Math.PI * rotor.radius_m),
      dragFactor: rotor.bladeDragFactor,
      extraCd: ROUGHNESS,
    },
  });
}

/** Drag of the propeller along the flight, N; an idling one still pulls at low speed. */
export function propellerDrag_N(
  { aircraft: { body }, density }: GyroCase,
  tas_mps: number,
  engine: GyroEngine,
): number {
  return engine === "stopped"
    ? 0.5 * density * tas_mps * Math.abs(tas_mps) * body.stoppedPropeller_m2
    : -body.idleThrust_N * (1 - (tas_mps / body.idleNone_mps) ** 2);
}

/** What the rotor has to carry: ahead against drag, and up. */
export function load_N(
  flight: GyroCase,
  tas_mps: number,
  sink_mps: number,
  engine: GyroEngine,
): { readonly ahead_N: number; readonly drag_N: number; readonly up_N: number } {
  const { aircraft, density, weight_N } = flight;
  const speed = Math.hypot(tas_mps, sink_mps);
  const drag_N =
    0.5 * density * tas_mps * speed * aircraft.body.flatPlateAlong_m2 + propellerDrag_N(flight, tas_mps, engine);
  const held_N = 0.5 * density * speed * sink_mps * aircraft.body.flatPlateAcross_m2;
  return { ahead_N: drag_N, drag_N: held_N, up_N: weight_N - held_N };
}
