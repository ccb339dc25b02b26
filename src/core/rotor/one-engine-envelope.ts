// Level flight of a helicopter on one engine over altitude: between which speeds, how it climbs, and how high.
import type { AirMass } from "../air/altimetry";
import type { Helicopter, Rating } from "../aircraft/helicopter";
import { bisect } from "../numeric/bisect";
import { type Outcome, failure, success } from "../outcome";
import { M_PER_FT } from "../quantities/constants";
import { helicopterCase } from "./helicopter-case";
import { livePower } from "./hover-on-one";
import { climbOnPower_mps, leastPowerSpeed_mps, levelSpeeds } from "./speeds-of-power";

/** What counts as a service ceiling on one engine, m/s: 50 ft/min. Definition. */
const SERVICE_MPS = (50 * M_PER_FT) / 60;
/** Altitudes that are shown and searched, m: to 18,000 ft. */
const [STEP_M, TOP_M] = [2000 * M_PER_FT, 18_000 * M_PER_FT];
/** Ceilings to a metre. */
const CEILING_HALVINGS = 13;

/** One engine at an altitude. */
export interface OneEngineAltitude {
  readonly altitude_m: number;
  /** Null where it does not fly level. */
  readonly level: { readonly slowest_mps: number; readonly fastest_mps: number } | null;
  /** Best climb, negative where it sinks, and the airspeed of it. */
  readonly climb_mps: number;
  readonly climbSpeed_mps: number;
}

/** One engine over altitude. */
export interface OneEngineEnvelope {
  readonly rating: Rating;
  readonly altitudes: readonly OneEngineAltitude[];
  /** Null where it does not climb so much at sea level; the highest looked at where it does there. */
  readonly service_m: number | null;
  readonly absolute_m: number | null;
  readonly top_m: number;
}

/** What is asked. */
export interface EnvelopeQuestion {
  readonly aircraft: Helicopter;
  readonly mass_kg: number;
  readonly air: AirMass;
  /** Index into the document's ratings. */
  readonly rating: number;
}

/**
 * Best climb on a rating at an altitude: all that is spare at the speed of least power.
 *
 * @returns faults of mass and air
 */
function at({ rating, ...question }: EnvelopeQuestion, altitude_m: number): Outcome<OneEngineAltitude> {
  const flight = helicopterCase({ ...question, altitude_m });
  if (!flight.ok) return flight;
  const { power_W } = livePower(flight.value, question.aircraft.engines.ratings[rating]);
  const climbSpeed_mps = leastPowerSpeed_mps(flight.value);
  const climb_mps = climbOnPower_mps(flight.value, climbSpeed_mps, power_W);
  return success({ altitude_m, level: levelSpeeds(flight.value, power_W), climb_mps, climbSpeed_mps });
}

/**
 * Level flight on one engine fewer, over altitude.
 *
 * @returns `one_engine`; faults of mass and air
 * @see power required against power available; 50 ft/min for the service ceiling by definition
 */
export function oneEngineEnvelope(question: EnvelopeQuestion): Outcome<OneEngineEnvelope> {
  const { aircraft } = question;
  if (aircraft.engines.count < 2)
    return failure("one_engine", `${aircraft.name} has one engine: without it there is no level flight.`, "aircraft");
  const altitudes: OneEngineAltitude[] = [];
  for (let altitude_m = 0; altitude_m <= TOP_M; altitude_m += STEP_M) {
    const here = at(question, altitude_m);
    if (!here.ok) return here;
    altitudes.push(here.value);
  }
  const climbAt = (altitude_m: number) => {
    const here = at(question, altitude_m);
    return here.ok ? here.value.climb_mps : -Infinity;
  };
  const ceiling = (rate_mps: number) => {
    if (climbAt(0) < rate_mps) return null;
    if (climbAt(TOP_M) >= rate_mps) return TOP_M;
    return bisect((altitude_m) => climbAt(altitude_m) >= rate_mps, 0, TOP_M, CEILING_HALVINGS).low;
  };
  return success({
    rating: aircraft.engines.ratings[question.rating],
    altitudes,
    service_m: ceiling(SERVICE_MPS),
    absolute_m: ceiling(0),
    top_m: TOP_M,
  });
}
