// Hands and feet on a rotorcraft: they hold an attitude, and a heading or the ball. Nobody is asked to fly the disc
// itself. Runs inside a step: functions of numeric/exact only.
import { clamp } from "../numeric/clamp";
import { G0 } from "../quantities/constants";
import { sin } from "../numeric/exact";
import { eulerAngles } from "./attitude";
import * as C from "./controls";
import type { Flight } from "./flight";
import type { Hands, Wanted } from "./wanted";
import { halfTurn } from "./half-turn";
import { earthToBody } from "./rigid-body";
import type { RotorcraftModel } from "./rotorcraft-model";
import { TAIL_FOOT } from "./rotor-step";
import * as S from "./state";

/** How fast an attitude is brought where it is wanted, rad/s, and how damped: as good helicopters answer. */
const [PITCH_RADPS, BANK_RADPS, YAW_RADPS, DAMPING] = [2.2, 2.6, 1.5, 0.9];
/** Of the error, a second: what trims it out. */
const SUM = 0.6;
/** Slower than this a heading is held, faster the ball, m/s. */
export const HOVERS_MPS = 12;
/** Feet by the side wind, rad/s² for each rad. */
const BALL = 2;

/** What the feet hold: a rate of turning asked for, and the heading that they keep without one. */
export interface Feet {
  readonly rate_radps: number;
  heading_rad: number;
}

/** What holds a helicopter over its place has summed up, rad. */
export interface HoverSums {
  pitch: number;
  bank: number;
}

/** Attitude by the way over the ground that is to be stopped, rad for each m/s, its sum, and the most. */
const [STOPS, STOPS_SUM, STOPS_MOST] = [0.05, 0.012, 0.2];

/** The attitude that stops a helicopter over the ground. */
export function hoverAttitude(
  { state: s, forces }: Flight,
  model: RotorcraftModel,
  sums: HoverSums,
  step_s: number,
): { pitch_rad: number; bank_rad: number } {
  const { ahead_mps, right_mps } = overNose(s);
  sums.pitch = clamp(sums.pitch + STOPS_SUM * ahead_mps * step_s, -0.15, 0.15);
  sums.bank = clamp(sums.bank - STOPS_SUM * right_mps * step_s, -0.15, 0.15);
  return {
    pitch_rad: model.neutral_rad + clamp(STOPS * ahead_mps + sums.pitch, -STOPS_MOST, STOPS_MOST),
    // The tail rotor pushes to the right: so much it leans against it.
    bank_rad: clamp(
      -forces.rotor.side_N / (model.mass_kg * G0) - STOPS * right_mps + sums.bank,
      -STOPS_MOST,
      STOPS_MOST,
    ),
  };
}

/** The way over the ground, ahead of the nose and to its right, level. */
export function overNose(s: Float64Array): { ahead_mps: number; right_mps: number } {
  const t = earthToBody(s);
  const north = t.r11 * s[S.U] + t.r21 * s[S.V] + t.r31 * s[S.W];
  const east = t.r12 * s[S.U] + t.r22 * s[S.V] + t.r32 * s[S.W];
  const flat = Math.max(Math.sqrt(t.r11 * t.r11 + t.r12 * t.r12), 1e-3);
  return { ahead_mps: (north * t.r11 + east * t.r12) / flat, right_mps: (east * t.r11 - north * t.r12) / flat };
}

/**
 * Moves the stick and the feet towards what is wanted: the stick is asked for the angular acceleration ω²·error −
 * 2ζω·rate by what the disc can do.
 *
 * @param feet - null leaves them where they are
 */
export function holdRotorcraft(
  { state: s, controls, forces, seen }: Flight,
  model: RotorcraftModel,
  hands: Hands,
  wanted: Pick<Wanted, "pitch_rad" | "bank_rad">,
  feet: Feet | null,
  step_s: number,
): void {
  const { bank_rad, pitch_rad, heading_rad } = eulerAngles(s);
  const held = Math.max(
    model.stiffness_Nm + forces.rotor.thrust_N * model.hub_m,
    0.2 * model.mass_kg * G0 * model.hub_m,
  );
  const pitchOff = clamp(wanted.pitch_rad - pitch_rad, -0.4, 0.4);
  const bankOff = clamp(wanted.bank_rad - bank_rad, -0.6, 0.6);
  const stands = seen.touch_N > 0;
  hands.pitch = stands ? 0 : clamp(hands.pitch + pitchOff * step_s, -0.4, 0.4);
  hands.bank = stands ? 0 : clamp(hands.bank + bankOff * step_s, -0.4, 0.4);
  const nose = asked(PITCH_RADPS, pitchOff, s[S.Q], hands.pitch);
  const roll = asked(BANK_RADPS, bankOff, s[S.P], hands.bank);
  // The disc comes back to where the blades do not blow it: what it is blown back is the hands' to hold.
  const blown =
    model.neutral_rad - (controls[C.STICK_BACK] / C.FULL) * model.tiltMost_rad - forces.rotor.tiltForward_rad;
  controls[C.STICK_BACK] = C.kept(((nose * model.iy) / held - blown) / model.tiltMost_rad);
  controls[C.STICK_RIGHT] = C.kept((roll * model.ix) / held / model.tiltMost_rad);
  if (!feet) return;
  controls[C.RIGHT_FOOT] = footFor(model, controls[C.RIGHT_FOOT] / C.FULL, { feet, heading_rad, bank_rad }, s, {
    yaw_Nm: forces.rotor.yaw_Nm,
    tas_mps: seen.tas_mps,
    beta_rad: seen.beta_rad,
    density: forces.air.density,
  });
}

const asked = (omega: number, off: number, rate: number, sum: number): number =>
  omega * omega * (off + SUM * sum) - 2 * DAMPING * omega * rate;

/** The pedal a look later: moved by what is missing of the yawing moment that is wanted. */
function footFor(
  model: RotorcraftModel,
  now: number,
  stands: { feet: Feet; heading_rad: number; bank_rad: number },
  s: Float64Array,
  met: { yaw_Nm: number; tas_mps: number; beta_rad: number; density: number },
): number {
  const { feet, heading_rad, bank_rad } = stands;
  let wanted_radps = feet.rate_radps;
  if (met.tas_mps > HOVERS_MPS) {
    // In a turn the nose goes round with it, and the feet keep the air from the side.
    wanted_radps += (G0 * sin(clamp(bank_rad, -1.2, 1.2))) / met.tas_mps + BALL * met.beta_rad;
    feet.heading_rad = heading_rad;
  } else if (feet.rate_radps === 0) wanted_radps += clamp(halfTurn(feet.heading_rad - heading_rad), -0.5, 0.5);
  else feet.heading_rad = heading_rad;
  const missing = YAW_RADPS * 2 * DAMPING * (wanted_radps - s[S.R]) - met.yaw_Nm / model.iz;
  return C.kept(now + clamp((missing * model.iz) / footMoment_Nm(model, s, met), -0.08, 0.08));
}

/** Moment of the whole right foot, N m. */
function footMoment_Nm(model: RotorcraftModel, s: Float64Array, met: { tas_mps: number; density: number }): number {
  if (model.lift.kind === "helicopter") return Math.max(TAIL_FOOT * model.tailMost_Nm * s[S.NR] * s[S.NR], 1);
  const { tail } = model.lift.aircraft;
  const speed = Math.max(met.tas_mps + 2 * s[S.ENGINE + S.INDUCED], 8);
  const q = 0.5 * met.density * speed * speed;
  return q * tail.rudderArea_m2 * tail.rudderSlope * tail.rudderMax_rad * tail.arm_m;
}
