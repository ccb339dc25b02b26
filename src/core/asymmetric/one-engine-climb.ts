// Climb on one engine and on two, the speeds for it, and the heights at which it ends.
import { clamp } from "../numeric/clamp";
import { bisect } from "../numeric/bisect";
import { halvingsTo } from "../numeric/halvings";
import { configurationLimit } from "../aircraft/configuration-limit";
import { goldenMinimum } from "../numeric/golden-section";
import { M_PER_FT, RHO0 } from "../quantities/constants";
import { type Outcome, failure, success } from "../outcome";
import { asymmetricCase } from "./anchored-case";
import type { AsymmetricQuestion } from "./asymmetric-question";
import type { AsymmetricCase } from "./asymmetric-case";
import { engineForce } from "../engine/engine-force";
import { type Equilibrium, NO_STEADY_PATH, equilibriumAt, gradientOf } from "./equilibrium";

/** Stall of a straight banked flight, equivalent, m/s: L = W·cosφ, so V_S·√cosφ. */
export function stallEas_mps(flight: Pick<AsymmetricCase, "weight_N" | "wing" | "clMax">, bank_rad: number): number {
  return Math.sqrt((2 * flight.weight_N * Math.cos(bank_rad)) / (RHO0 * flight.wing.area_m2 * flight.clMax));
}

/** Banks between which zero sideslip is looked for, into the live engine. */
const LEAST_BANK_RAD = -0.05;
const MOST_BANK_RAD = 0.4;
/**
 * Sideslip that counts as none, and the most steps to get there: sideslip is nearly linear in bank, so few are needed.
 */
const NO_SLIP_RAD = 1e-9;
const MOST_STEPS = 20;

/**
 * The bank without sideslip, and the state there. The ball shows exactly this bank in steady straight flight.
 *
 * @returns null when no bank up to 23° takes the sideslip away
 */
export function zeroSideslip(flight: AsymmetricCase, eas_mps: number): Equilibrium | null {
  const at = (bank: number) => equilibriumAt(flight, eas_mps, flight.liveSide * bank);
  let [low, high] = [LEAST_BANK_RAD, MOST_BANK_RAD];
  let [slipLow, slipHigh] = [at(low)?.beta_rad ?? NaN, at(high)?.beta_rad ?? NaN];
  if (!(slipLow * slipHigh < 0)) return null;
  for (let i = 0; i < MOST_STEPS; i += 1) {
    // Regula falsi with the end that stays put weakened (Illinois).
    const bank = (low * slipHigh - high * slipLow) / (slipHigh - slipLow);
    const state = at(bank);
    if (!state) return null;
    if (Math.abs(state.beta_rad) < NO_SLIP_RAD) return state;
    if (state.beta_rad * slipHigh < 0) [low, slipLow, high, slipHigh] = [high, slipHigh, bank, state.beta_rad];
    else [slipLow, high, slipHigh] = [slipLow / 2, bank, state.beta_rad];
  }
  return at(high);
}

/** A climb at a speed. */
export interface Climb {
  readonly eas_mps: number;
  readonly climb_mps: number;
  readonly gradient: number;
}

/** Climb on one engine at a speed, without sideslip; −∞ where that cannot be flown. */
function climbAt(flight: AsymmetricCase, eas_mps: number): Climb {
  const state = zeroSideslip(flight, eas_mps);
  const gradient = state && gradientOf(state.sinGamma);
  return state && gradient !== null
    ? { eas_mps, climb_mps: state.climb_mps, gradient }
    : { eas_mps, climb_mps: -Infinity, gradient: -Infinity };
}

/** The error falls by about the induced drag over the weight each round: below 1e-7 after these. */
const LIFT_ROUNDS = 8;

/** Climb on both engines at a speed, wings level, in balance. */
export function twoEngineClimbAt(flight: AsymmetricCase, eas_mps: number): Climb {
  const tas = eas_mps / Math.sqrt(flight.state.sigma);
  const qS = 0.5 * RHO0 * eas_mps ** 2 * flight.wing.area_m2;
  const live = engineForce(
    flight.question.aircraft.engines,
    flight.engineAir,
    tas,
    flight.question.setting,
    flight.sigmaCritical,
  );
  // In a steep climb the wing carries W·cosγ: the path and the drag that it leaves settle in a few rounds.
  let sine = 0;
  for (let i = 0; i < LIFT_ROUNDS; i += 1) {
    const cl = (flight.weight_N * Math.sqrt(1 - sine * sine)) / qS;
    sine = clamp((2 * live.thrust_N - qS * (flight.cd0 + flight.k * cl * cl)) / flight.weight_N, -1, 1);
  }
  return { eas_mps, climb_mps: sine * tas, gradient: Math.tan(Math.asin(clamp(sine, -1, 1))) };
}

/** Slowest and fastest speeds looked at for the best climb, over the stall; V_X is never slower than 1.2 V_S. */
const SLOWEST = 1.1;
const SLOWEST_ANGLE = 1.2;
const FASTEST = 3;
const SPEED_TOLERANCE_MPS = 0.005;

/** Speeds and climbs of one state of affairs. */
export interface ClimbSpeeds {
  /** Best rate: V_YSE on one engine, V_Y on two. */
  readonly rate: Climb;
  /** Best angle: V_XSE, V_X. */
  readonly angle: Climb;
}

/** Best rate and best angle on one engine, no faster than the limit of flap and gear. */
export function oneEngineSpeeds(flight: AsymmetricCase): ClimbSpeeds {
  return speedsOf(flight, (eas) => climbAt(flight, eas));
}

/** The same as an outcome: a failure when no speed that is looked at can be held straight. */
export function steadySpeeds(flight: AsymmetricCase): Outcome<ClimbSpeeds> {
  const speeds = oneEngineSpeeds(flight);
  return Number.isFinite(speeds.rate.climb_mps) && Number.isFinite(speeds.angle.gradient)
    ? success(speeds)
    : { ok: false, issue: NO_STEADY_PATH };
}

/** Best rate and best angle on two engines, no faster than the limit of flap and gear. */
export function twoEngineSpeeds(flight: AsymmetricCase): ClimbSpeeds {
  return speedsOf(flight, (eas) => twoEngineClimbAt(flight, eas));
}

function speedsOf(flight: AsymmetricCase, climb: (eas_mps: number) => Climb): ClimbSpeeds {
  const stall = stallEas_mps(flight, 0);
  const { aircraft, flap, gearDown } = flight.question;
  const limit = configurationLimit(aircraft, flap, gearDown ? "down" : "up")?.speed_mps ?? Infinity;
  // A limit below the slowest speed that is looked at leaves that speed alone.
  const worth = (of: (climb: Climb) => number) => (eas: number) => {
    const value = of(climb(eas));
    return Number.isFinite(value) ? -value : 1e6 - eas;
  };
  const best = (of: (climb: Climb) => number, slowest: number) =>
    climb(
      goldenMinimum(
        worth(of),
        slowest * stall,
        Math.max(Math.min(FASTEST * stall, limit), slowest * stall),
        SPEED_TOLERANCE_MPS,
      ),
    );
  return { rate: best((climb) => climb.climb_mps, SLOWEST), angle: best((climb) => climb.gradient, SLOWEST_ANGLE) };
}

/** Climb rates that define ceilings, m/s: service 50 ft/min on one engine, 100 on two; absolute 0. */
export const SERVICE_ONE_MPS = (50 * M_PER_FT) / 60;
/** @see SERVICE_ONE_MPS */
export const SERVICE_TWO_MPS = (100 * M_PER_FT) / 60;
/** Heights between which ceilings are looked for, m. */
const LOWEST_M = -1500;
const HIGHEST_M = 15_000;

/**
 * Altitude at which the best rate of climb falls to a rate.
 *
 * @param rate_mps - 0 for the absolute ceiling
 * @returns altitude, m, to 1 m; `never_climbs` when the rate is not reached at −1,500 m, `above_model` when it still
 *   is at 15,000 m
 */
export function ceiling_m(question: AsymmetricQuestion, rate_mps: number, engines: 1 | 2): Outcome<number> {
  const climbing = (altitude_m: number): Outcome<number> => {
    const flight = asymmetricCase({ ...question, altitude_m });
    return flight.ok
      ? success((engines === 1 ? oneEngineSpeeds(flight.value) : twoEngineSpeeds(flight.value)).rate.climb_mps)
      : flight;
  };
  const [bottom, top] = [climbing(LOWEST_M), climbing(HIGHEST_M)];
  if (!bottom.ok) return bottom;
  if (!top.ok) return top;
  if (!(bottom.value > rate_mps))
    return failure(
      "never_climbs",
      "It does not climb at this rate at any height: it is too heavy, or too much drags.",
      "mass_kg",
    );
  if (top.value > rate_mps)
    return failure(
      "above_model",
      "It still climbs at this rate above 15 000 m (49 000 ft), where this model ends.",
      "altitude_m",
    );
  const climbs = (altitude_m: number) => {
    const outcome = climbing(altitude_m);
    return outcome.ok && outcome.value > rate_mps;
  };
  const { low, high } = bisect(climbs, LOWEST_M, HIGHEST_M, halvingsTo(0.5, LOWEST_M, HIGHEST_M));
  return success((low + high) / 2);
}
