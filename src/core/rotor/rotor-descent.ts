// A rotorcraft without power on the legs of a path: straight, and in turns on a rotor that carries more.
import { airAtAltitude } from "../air/altimetry";
import type { LegPerformance } from "../glide/glide-leg";
import { goldenMinimum } from "../numeric/golden-section";
import { type Outcome, failure, success } from "../outcome";
import { G0 } from "../quantities/constants";
import { autorotationAt } from "./autorotation";
import { gyroTurn } from "./gyro-glide";
import { gyroCase } from "./gyro-rotor";
import { helicopterCase, withMass } from "./helicopter-case";
import type { RotorQuestion } from "./rotor-question";

/** Speeds searched, m/s. */
const [SLOW_MPS, FAST_MPS, CLOSE_MPS] = [5, 70, 0.01];
/** Banks that are flown, rad: 3° to 60°. */
const [LEAST_BANK, MOST_BANK] = [0.052, 1.048];
/** Falls faster than anything that is looked for, m/s. */
const FALLS_MPS = 90;

/** A steady descent at an airspeed. */
export interface RotorGlide {
  readonly tas_mps: number;
  /** At this density; what an airspeed indicator without error shows at low speed. */
  readonly eas_mps: number;
  readonly sink_mps: number;
  /** Horizontal over vertical, through the air. */
  readonly ratio: number;
  /** The manual's V_NE decides, not the ground covered. */
  readonly limited: boolean;
}

/** A turn of it. */
export interface RotorTurn {
  readonly sink_mps: number;
  readonly radius_m: number;
  readonly loadFactor: number;
}

/** What descends, in the air of one altitude. */
export interface RotorDescent {
  readonly glide: RotorGlide;
  readonly turn: RotorTurn;
  /** As paths fly it. The rotor's sink at one airspeed does not go with 1/√σ exactly: it holds about this altitude. */
  readonly performance: LegPerformance;
}

/** Sink by airspeed on a rotor that carries `loadFactor` weights; null where nothing is steady or the rotor stalls. */
export type RotorSink = (tas_mps: number, loadFactor: number) => number | null;

/** A rotorcraft made ready for descents. */
export interface RotorGlider {
  readonly sink: RotorSink;
  readonly sigma: number;
  /** True airspeed that the manual allows at most; null where it says nothing. */
  readonly vne_mps: number | null;
}

/**
 * Makes a rotorcraft ready.
 *
 * @returns `mass_outside`, `too_high`
 */
export function rotorGlider(question: RotorQuestion): Outcome<RotorGlider> {
  const { aircraft, mass_kg, altitude_m, air } = question;
  const { sigma } = airAtAltitude(altitude_m, air);
  const vne_mps = aircraft.limits.vne_mps === null ? null : aircraft.limits.vne_mps / Math.sqrt(sigma);
  if (aircraft.category === "helicopter") {
    const flight = helicopterCase({ ...question, aircraft });
    if (!flight.ok) return flight;
    return success({
      sigma,
      vne_mps,
      sink: (tas_mps, loadFactor) => {
        const found = autorotationAt(withMass(flight.value, mass_kg * loadFactor), tas_mps);
        return found && found.ctSigma <= aircraft.rotor.ctSigmaMax ? found.sink_mps * loadFactor : null;
      },
    });
  }
  const flight = gyroCase({ ...question, aircraft });
  if (!flight.ok) return flight;
  return success({
    sigma,
    vne_mps,
    sink: (tas_mps, loadFactor) => {
      const found = gyroTurn(flight.value, tas_mps, Math.acos(1 / loadFactor));
      return found && found.sink_mps;
    },
  });
}

/** The airspeed that covers most ground for its height. */
function farthest(glider: RotorGlider, headwind_mps: number): Outcome<RotorGlide> {
  const { sink, sigma, vne_mps } = glider;
  const fast_mps = Math.min(FAST_MPS, vne_mps ?? FAST_MPS);
  const slow_mps = Math.max(SLOW_MPS, headwind_mps + 1);
  const none = failure("no_way", "At no speed that the manual allows does it make way against this wind.", "wind");
  if (!(slow_mps < fast_mps)) return none;
  const tas_mps = goldenMinimum(
    (tas) => -(tas - headwind_mps) / (sink(tas, 1) ?? FALLS_MPS),
    slow_mps,
    fast_mps,
    CLOSE_MPS,
  );
  const sink_mps = sink(tas_mps, 1);
  if (sink_mps === null) return failure("no_autorotation", "At no speed does the air turn this rotor.", "aircraft");
  return success({
    tas_mps,
    eas_mps: tas_mps * Math.sqrt(sigma),
    sink_mps,
    ratio: tas_mps / sink_mps,
    limited: vne_mps !== null && tas_mps > vne_mps - 10 * CLOSE_MPS,
  });
}

/**
 * The descent that reaches farthest, with its turns.
 *
 * @param headwind_mps - that the speed is chosen for; 0 for still air, negative from behind
 * @param bank_rad - of the turns; 3° to 60°
 * @returns `bank_outside`, `no_way` in a wind as fast as the manual's limit, `no_autorotation`, `rotor_stalls` where
 *   the rotor does not carry the turn
 * @see equilibrium of a turn: a rotor that carries n = 1/cosφ weights sinks along its axis, so that the sink is n times
 *   that of the same rotor with n times the weight
 */
export function rotorDescent(glider: RotorGlider, headwind_mps: number, bank_rad: number): Outcome<RotorDescent> {
  if (!(bank_rad >= LEAST_BANK && bank_rad <= MOST_BANK))
    return failure("bank_outside", "A rotorcraft without power turns with 3° to 60° of bank here.", "choices.bank_rad");
  const found = farthest(glider, headwind_mps);
  if (!found.ok) return found;
  const glide = found.value;
  const loadFactor = 1 / Math.cos(bank_rad);
  const turnSink_mps = glider.sink(glide.tas_mps, loadFactor);
  if (turnSink_mps === null)
    return failure("rotor_stalls", "With so much bank the rotor does not carry it: turn flatter.", "choices.bank_rad");
  const radius_m = glide.tas_mps ** 2 / (G0 * Math.tan(bank_rad));
  const root = Math.sqrt(glider.sigma);
  return success({
    glide,
    turn: { sink_mps: turnSink_mps, radius_m, loadFactor },
    performance: {
      straightSinkEas_mps: glide.sink_mps * root,
      straightRatio: glide.ratio,
      straightHorizontalEas_mps: glide.eas_mps,
      turnSinkEas_mps: turnSink_mps * root,
      turnRadiusSeaLevel_m: radius_m * glider.sigma,
      turnHeightPerRadianSeaLevel_m: ((turnSink_mps * radius_m) / glide.tas_mps) * glider.sigma,
    },
  });
}
