// Flight on one engine of two by altitude: the speed that is held, how it climbs or sinks, and the ceilings.
//
// Everything is mended: the propeller as it drags least, flap and gear up, no sideslip. Propellers hold the speed of
// the best rate (V_YSE), jets that of the best gradient. Not here: turns, ice, an engine that gives less than new.
import { airAtAltitude } from "../air/altimetry";
import { asymmetricCase, caseOfSameRudder } from "../asymmetric/anchored-case";
import type { AsymmetricQuestion } from "../asymmetric/asymmetric-question";
import { beforeFeathering } from "../asymmetric/before-feathering";
import { mendedOf } from "../asymmetric/climb-by-height";
import { NO_STEADY_PATH } from "../asymmetric/equilibrium";
import { SERVICE_ONE_MPS, oneEngineSpeeds } from "../asymmetric/one-engine-climb";
import { accelerationFactor } from "../glide/acceleration-factor";
import { heldCas_mps } from "../glide/steady-descent";
import { type Outcome, success } from "../outcome";
import { plannedReaction_s } from "../situation/pilot-practice";
import type { DriftQuestion } from "./drift-question";

/** One altitude of the path. */
export interface OneEngineState {
  readonly eas_mps: number;
  readonly tas_mps: number;
  /** Gross climb gradient along the path, sine; negative: it drifts down. */
  readonly sine: number;
  /** Acceleration factor of that speed held. */
  readonly af: number;
  /** Height lost from the failure until the propeller is feathered; 0 where it climbs all the while. */
  readonly feathering_m: number;
}

/**
 * An altitude where a climb ends, m; "above": not within the altitudes that were looked at, "none": at none of them
 * does it climb so.
 */
export type Ceiling = number | "above" | "none";

/** The path on one engine. */
export interface OneEnginePath {
  /** Altitudes that it was worked out for. */
  readonly low_m: number;
  readonly high_m: number;
  /** Between the altitudes worked out, joined linearly; beyond them as at the nearest: no route leads there. */
  at(altitude_m: number): OneEngineState;
  /** Rate of climb, m/s, with a decrement of the gradient; 0 gross. */
  climb_mps(altitude_m: number, decrement: number): number;
  /** Altitude at which the climb falls to 50 ft/min, and to nothing. */
  readonly service: Ceiling;
  readonly absolute: Ceiling;
  /** Where the net path levels off. */
  net(decrement: number): Ceiling;
}

/** Step of the table, m: over it the gradient bends by less than 1e-5. */
const STEP_M = 150;
/** Altitudes of a table. */
const LOWEST_M = -300;
const HIGHEST_M = 15_000;

/** One engine of two, as the situation is. */
function askedOfOneEngine(question: Omit<DriftQuestion, "places" | "route">): AsymmetricQuestion {
  const { aircraft, mass_kg, centreOfGravity, air } = question;
  return {
    aircraft,
    mass_kg,
    centreOfGravity,
    air,
    altitude_m: 0,
    flap: 0,
    gearDown: false,
    items: [],
    deadPropeller: aircraft.polar?.deadPropeller ? "windmilling" : "none",
    failed: "left",
    setting: 1,
  };
}

/**
 * Works the path out from the sea to above an altitude.
 *
 * @returns failures of the case; `no_steady_path` where no speed can be held straight at some altitude
 */
export function oneEnginePath(
  question: Omit<DriftQuestion, "places" | "route">,
  highest_m: number,
): Outcome<OneEnginePath> {
  const asked = askedOfOneEngine(question);
  const mended = mendedOf(asked);
  const anchor = asymmetricCase(mended);
  if (!anchor.ok) return anchor;
  const jet = question.aircraft.engines.kind === "jet";
  const wait_s = Math.max(question.feather_s, plannedReaction_s(question.pilot));
  const top_m = Math.min(Math.max(highest_m, 0) + 2 * STEP_M, HIGHEST_M);
  const rows: OneEngineState[] = [];
  for (let i = 0; LOWEST_M + i * STEP_M < top_m + STEP_M; i += 1) {
    const altitude_m = LOWEST_M + i * STEP_M;
    const flight = caseOfSameRudder({ ...mended, altitude_m }, anchor.value.cnDeltaR);
    if (!flight.ok) return flight;
    const speeds = oneEngineSpeeds(flight.value);
    const { eas_mps, climb_mps } = jet ? speeds.angle : speeds.rate;
    if (!Number.isFinite(climb_mps)) return { ok: false, issue: NO_STEADY_PATH };
    const tas_mps = eas_mps / Math.sqrt(airAtAltitude(altitude_m, question.air).sigma);
    // Until it is feathered, at the speed that is held from then on.
    const wait = beforeFeathering({ ...asked, altitude_m, eas_mps, bank: { kind: "zero-sideslip" } }, wait_s);
    if (!wait.ok) return wait;
    rows.push({
      eas_mps,
      tas_mps,
      sine: climb_mps / tas_mps,
      af: accelerationFactor(heldCas_mps(eas_mps, altitude_m, question.air), altitude_m, question.air),
      feathering_m: Math.max(0, -wait.value.gained_m),
    });
  }
  const at = (altitude_m: number): OneEngineState => {
    const place = Math.min(Math.max((altitude_m - LOWEST_M) / STEP_M, 0), rows.length - 1);
    const i = Math.min(Math.floor(place), rows.length - 2);
    const [a, b, share] = [rows[i], rows[i + 1], place - i];
    const mix = (of: keyof OneEngineState) => a[of] + share * (b[of] - a[of]);
    return {
      eas_mps: mix("eas_mps"),
      tas_mps: mix("tas_mps"),
      sine: mix("sine"),
      af: mix("af"),
      feathering_m: mix("feathering_m"),
    };
  };
  /** Lowest altitude at which something has fallen to a value, between the altitudes worked out. */
  const fallsTo = (of: (row: OneEngineState) => number, least: number): Ceiling => {
    if (of(rows[0]) <= least) return "none";
    const i = rows.findIndex((row, j) => j > 0 && of(row) <= least && of(rows[j - 1]) > least);
    if (i < 0) return "above";
    const [above, below] = [of(rows[i - 1]), of(rows[i])];
    return LOWEST_M + (i - 1 + (above - least) / (above - below)) * STEP_M;
  };
  return success({
    low_m: LOWEST_M,
    high_m: LOWEST_M + (rows.length - 1) * STEP_M,
    at,
    climb_mps: (altitude_m, decrement) => {
      const { sine, tas_mps, af } = at(altitude_m);
      return ((sine - decrement) / (1 + af)) * tas_mps;
    },
    service: fallsTo(({ sine, tas_mps }) => sine * tas_mps, SERVICE_ONE_MPS),
    absolute: fallsTo(({ sine }) => sine, 0),
    net: (decrement) => fallsTo(({ sine }) => sine - decrement, 0),
  });
}
