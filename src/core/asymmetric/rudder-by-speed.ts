import { type Outcome, success } from "../outcome";
import { asymmetricCase } from "./anchored-case";
import type { AsymmetricQuestion } from "./asymmetric-question";
import { zeroSideslip } from "./one-engine-climb";

/** What holds it straight, towards the live engine positive. */
export interface RudderHeld {
  readonly rudder_rad: number;
  readonly pedal_N: number;
  readonly bank_rad: number;
}

/** Rudder at one speed for either engine. */
export interface RudderAtSpeed {
  readonly eas_mps: number;
  /** Null where no bank takes the sideslip away. */
  readonly left: RudderHeld | null;
  readonly right: RudderHeld | null;
}

/**
 * Rudder to hold, or to trim, by speed and by which engine has failed, without sideslip.
 *
 * @param speeds_mps - equivalent airspeeds, ascending
 */
export function rudderBySpeed(question: AsymmetricQuestion, speeds_mps: readonly number[]): Outcome<RudderAtSpeed[]> {
  const [left, right] = (["left", "right"] as const).map((failed) => asymmetricCase({ ...question, failed }));
  if (!left.ok) return left;
  if (!right.ok) return right;
  const held = (flight: typeof left.value, eas_mps: number): RudderHeld | null => {
    const state = zeroSideslip(flight, eas_mps);
    return (
      state && {
        rudder_rad: flight.liveSide * state.rudder_rad,
        pedal_N: flight.liveSide * state.pedal_N,
        bank_rad: flight.liveSide * state.bank_rad,
      }
    );
  };
  return success(
    speeds_mps.map((eas_mps) => ({ eas_mps, left: held(left.value, eas_mps), right: held(right.value, eas_mps) })),
  );
}
