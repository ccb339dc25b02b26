// How fast height goes while a drill is run: what waiting costs.
import type { AircraftDocument } from "../aircraft/aircraft-document";
import { isAeroplane } from "../aircraft/aircraft-kind";
import { polarOf } from "../aircraft/polar";
import { airAtAltitude } from "../air/altimetry";
import { asymmetricCase } from "../asymmetric/anchored-case";
import { type OneEngineSituation, oneEngineQuestion } from "../asymmetric/one-engine-question";
import { oneEngineSpeeds } from "../asymmetric/one-engine-climb";
import { bestGlide } from "../glide/straight-glide";
import { type Outcome, failure, success } from "../outcome";
import { rotorDescent, rotorGlider } from "../rotor/rotor-descent";
import type { Side } from "./drill";

/** Bank that a rotor is asked to carry; a drill is flown straight. */
const BANK_RAD = 0.35;

/** Flight while a drill is run. */
export interface DrillRate {
  /** Up positive. */
  readonly climb_mps: number;
  readonly eas_mps: number;
  /** On one engine of two rather than on none. */
  readonly onOne: boolean;
}

/**
 * The rate: best glide without engine, autorotation of best range for rotorcraft; for twins the best rate on the engine
 * that runs, the propeller of the other as the situation has it. A helicopter's hover on the engine that runs is taken
 * as held: what it costs is said in Engine out.
 *
 * @param dead - the engine that failed; null where there is one
 * @returns failures of the polar, of the case on one engine, of the rotor
 */
export function drillRate(aircraft: AircraftDocument, situation: OneEngineSituation, dead: Side): Outcome<DrillRate> {
  const { mass_kg, configuration, altitude_m, air } = situation;
  if (aircraft.category === "helicopter" && aircraft.engines.count > 1)
    return success({ climb_mps: 0, eas_mps: 0, onOne: true });
  if (!isAeroplane(aircraft)) {
    const glider = rotorGlider({ aircraft, mass_kg, altitude_m, air });
    if (!glider.ok) return glider;
    const descent = rotorDescent(glider.value, 0, BANK_RAD);
    if (!descent.ok) return descent;
    const { sink_mps, eas_mps } = descent.value.glide;
    return success({ climb_mps: -sink_mps, eas_mps, onOne: false });
  }
  if (dead !== null && aircraft.asymmetric !== null) {
    const flight = asymmetricCase(oneEngineQuestion(aircraft, situation, dead));
    if (!flight.ok) return flight;
    const { climb_mps, eas_mps } = oneEngineSpeeds(flight.value).rate;
    return Number.isFinite(climb_mps)
      ? success({ climb_mps, eas_mps, onOne: true })
      : failure("no_climb", "On one engine it cannot be held straight at any speed here.", "mass_kg");
  }
  const configured = polarOf(aircraft, mass_kg, configuration);
  if (!configured.ok) return configured;
  const { eas_mps, sinkEas_mps } = bestGlide(configured.value.polar);
  return success({
    climb_mps: -sinkEas_mps / Math.sqrt(airAtAltitude(altitude_m, air).sigma),
    eas_mps,
    onOne: false,
  });
}
