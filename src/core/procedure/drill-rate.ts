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
import type { DrillFlight } from "./procedure";

/** Slope of an approach, common practice: 3°, as a gradient. */
const APPROACH_GRADIENT = Math.tan((3 * Math.PI) / 180);

/** Bank that a rotor is asked to carry; a drill is flown straight. */
const BANK_RAD = 0.35;

/** Flight while a drill is run. */
export interface DrillRate {
  /** Up positive. */
  readonly climb_mps: number;
  readonly eas_mps: number;
  /** On one engine of two rather than on none. */
  readonly onOne: boolean;
  /** What it would be with the other engine gone too; null where that is the rate itself, or is not computed. */
  readonly without_mps: number | null;
}

/**
 * The rate: best glide without engine, autorotation of best range for rotorcraft; for twins the best rate on the engine
 * that runs, the propeller of the other as the situation has it. A helicopter's hover on the engine that runs is taken
 * as held: what it costs is said in Engine out. On an approach 3° at the speed of that; level none.
 *
 * @param dead - the engine that failed; null where there is one
 * @returns failures of the polar, of the case on one engine, of the rotor
 */
export function drillRate(
  aircraft: AircraftDocument,
  situation: OneEngineSituation,
  dead: Side,
  flight: DrillFlight = "failed",
): Outcome<DrillRate> {
  if (flight === "level") return success({ climb_mps: 0, eas_mps: 0, onOne: false, without_mps: null });
  const found = flight === "glide" ? glideRate(aircraft, situation) : rateAfter(aircraft, situation, dead);
  if (!found.ok || flight !== "approach") return found;
  const { eas_mps } = found.value;
  return success({ ...found.value, climb_mps: -eas_mps * APPROACH_GRADIENT });
}

function rateAfter(aircraft: AircraftDocument, situation: OneEngineSituation, dead: Side): Outcome<DrillRate> {
  if (aircraft.category === "helicopter" && aircraft.engines.count > 1)
    return success({ climb_mps: 0, eas_mps: 0, onOne: true, without_mps: null });
  if (!isAeroplane(aircraft) || dead === null || aircraft.asymmetric === null) return glideRate(aircraft, situation);
  const flown = asymmetricCase(oneEngineQuestion(aircraft, situation, dead));
  if (!flown.ok) return flown;
  const { climb_mps, eas_mps } = oneEngineSpeeds(flown.value).rate;
  if (!Number.isFinite(climb_mps))
    return failure("no_climb", "On one engine it cannot be held straight at any speed here.", "mass_kg");
  const glide = glideRate(aircraft, situation);
  return success({ climb_mps, eas_mps, onOne: true, without_mps: glide.ok ? glide.value.climb_mps : null });
}

/** With no engine at all. */
function glideRate(aircraft: AircraftDocument, situation: OneEngineSituation): Outcome<DrillRate> {
  const { mass_kg, configuration, altitude_m, air } = situation;
  const none = { onOne: false, without_mps: null };
  if (!isAeroplane(aircraft)) {
    const glider = rotorGlider({ aircraft, mass_kg, altitude_m, air });
    if (!glider.ok) return glider;
    const descent = rotorDescent(glider.value, 0, BANK_RAD);
    if (!descent.ok) return descent;
    const { sink_mps, eas_mps } = descent.value.glide;
    return success({ climb_mps: -sink_mps, eas_mps, ...none });
  }
  const configured = polarOf(aircraft, mass_kg, configuration);
  if (!configured.ok) return configured;
  const { eas_mps, sinkEas_mps } = bestGlide(configured.value.polar);
  const climb_mps = -sinkEas_mps / Math.sqrt(airAtAltitude(altitude_m, air).sigma);
  return success({ climb_mps, eas_mps, ...none });
}
