// Hands and feet that hold an attitude, a bank and the ball: what keys and touch command, and what a modelled pilot
// does with a delay. They work the same controls as a pilot does. Runs inside a step.
import { clamp } from "../numeric/clamp";
import { sin } from "../numeric/exact";
import { RHO0 } from "../quantities/constants";
import { eulerAngles } from "./attitude";
import * as C from "./controls";
import type { Flight } from "./flight";
import { holdRotorcraft } from "./rotor-hands";
import * as S from "./state";
import type { Hands, Wanted } from "./wanted";

/** Stick by the error of pitch, its rate, its sum; of bank; feet by the ball. Tried in a prototype; common practice. */
const [PITCH, PITCH_RATE, PITCH_SUM] = [3.2, 1.1, 1.2];
const [BANK, BANK_RATE, BANK_SUM] = [1.6, 0.35, 0.4];
const [FOOT, FOOT_RATE, FOOT_SUM] = [2.2, 0.6, 1.6];
const BALL_RAD = (5 * Math.PI) / 180;
/** Travel for the same answer goes with dynamic pressure, Pa, within these. */
const [MADE_FOR_PA, LEAST, MOST] = [1300, 0.4, 1.6];

/**
 * Moves the stick and the feet towards what is wanted.
 *
 * @param gain - of all of it: 1 for keys, less for a pilot with a delay
 * @param feet - whether the ball is held too; otherwise the feet stay where they are
 */
export function holdAttitude(
  flight: Flight,
  hands: Hands,
  wanted: Wanted,
  step_s: number,
  gain = 1,
  feet = true,
): void {
  const { state: s, controls, model } = flight;
  if (model.kind === "rotorcraft") {
    // No faster than its hover a heading is held, from where the hands took over.
    const held = feet ? { rate_radps: 0, heading_rad: hands.heading ?? eulerAngles(s).heading_rad } : null;
    holdRotorcraft(flight, model, hands, wanted, held, step_s);
    hands.heading = held ? held.heading_rad : null;
    return;
  }
  const { bank_rad, pitch_rad } = eulerAngles(s);
  const pressure = 0.5 * RHO0 * s[S.ASI] * s[S.ASI];
  const scale = gain * clamp(MADE_FOR_PA / Math.max(pressure, 1), LEAST, MOST);
  const pitchOff = clamp(wanted.pitch_rad - pitch_rad, -0.4, 0.4);
  const bankOff = clamp(wanted.bank_rad - bank_rad, -0.8, 0.8);
  hands.pitch = clamp(hands.pitch + pitchOff * step_s, -0.6, 0.6);
  hands.bank = clamp(hands.bank + bankOff * step_s, -0.6, 0.6);
  controls[C.STICK_BACK] = C.kept(scale * (PITCH * pitchOff - PITCH_RATE * s[S.Q] + PITCH_SUM * hands.pitch));
  controls[C.STICK_RIGHT] = C.kept(scale * (BANK * bankOff - BANK_RATE * s[S.P] + BANK_SUM * hands.bank));
  if (!feet) return;
  const ballOff = (s[S.BALL] - wanted.ball) * BALL_RAD;
  hands.ball = clamp(hands.ball + ballOff * step_s, -0.5, 0.5);
  // In a turn the nose goes round with it: only what is more or less than that is swung against.
  const v = Math.max(flight.seen.tas_mps, 15);
  const turning = (9.80665 * sin(clamp(bank_rad, -1.2, 1.2))) / v;
  controls[C.RIGHT_FOOT] = C.kept(scale * (FOOT * ballOff - FOOT_RATE * (s[S.R] - turning) + FOOT_SUM * hands.ball));
}
