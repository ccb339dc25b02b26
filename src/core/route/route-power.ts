// How an aircraft climbs and cruises with all engines, whichever kind it is.
import { isAeroplane } from "../aircraft/aircraft-kind";
import { airAtAltitude } from "../air/altimetry";
import { poweredFlight } from "../engine/powered-flight";
import { accelerationFactor } from "../glide/acceleration-factor";
import { heldCas_mps } from "../glide/steady-descent";
import { type Outcome, success } from "../outcome";
import { rotorPowered } from "../rotor/rotor-power";
import type { RouteQuestion } from "./route-question";

/** Climb and cruise by altitude. */
export interface RoutePower {
  /** Equivalent airspeed of the climb, chosen at an altitude. */
  climbEas_mps(altitude_m: number): number;
  /** What it climbs at that speed. */
  climb(eas_mps: number, altitude_m: number): { readonly rate_mps: number; readonly tas_mps: number };
  /** Null where its usual power does not hold the height. */
  cruiseTas_mps(altitude_m: number): number | null;
}

/** Power of the cruise where none is given. Common practice. */
const CRUISE_SETTING = 0.65;

/**
 * Makes an aircraft ready.
 *
 * @returns failures of an aeroplane's polar
 */
export function routePower(
  question: Pick<RouteQuestion, "aircraft" | "mass_kg" | "configuration" | "air">,
): Outcome<RoutePower> {
  const { aircraft, mass_kg, configuration, air } = question;
  if (!isAeroplane(aircraft)) {
    const at = (altitude_m: number) => rotorPowered({ aircraft, mass_kg, air, altitude_m });
    return success({
      climbEas_mps: (altitude_m) =>
        (at(altitude_m)?.climbTas_mps ?? 0) * Math.sqrt(airAtAltitude(altitude_m, air).sigma),
      // Where its air is not known any more it does not climb.
      climb: (_, altitude_m) => {
        const flown = at(altitude_m);
        return { rate_mps: flown?.climb_mps ?? 0, tas_mps: flown?.climbTas_mps ?? 0 };
      },
      cruiseTas_mps: (altitude_m) => at(altitude_m)?.cruiseTas_mps ?? null,
    });
  }
  const ready = poweredFlight(aircraft, mass_kg, configuration, air);
  if (!ready.ok) return ready;
  const flight = ready.value;
  return success({
    climbEas_mps: (altitude_m) => flight.bestRate_mps(altitude_m),
    climb: (eas_mps, altitude_m) => {
      const { tas_mps, sine } = flight.excess(eas_mps, altitude_m);
      const factor = 1 + accelerationFactor(heldCas_mps(eas_mps, altitude_m, air), altitude_m, air);
      return { rate_mps: (tas_mps * sine) / factor, tas_mps };
    },
    cruiseTas_mps: (altitude_m) => {
      const eas_mps = flight.level_mps(altitude_m, CRUISE_SETTING) ?? flight.level_mps(altitude_m);
      return eas_mps === null ? null : eas_mps / Math.sqrt(airAtAltitude(altitude_m, air).sigma);
    },
  });
}
