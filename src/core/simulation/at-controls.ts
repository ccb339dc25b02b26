// Hands and keys at the controls of a flight, with what helps them: an attitude that is held, a ball, a speed; of a
// rotorcraft an attitude that is asked for. They are worked sixty times a second.
import { clamp } from "../numeric/clamp";
import { cos, sin } from "../numeric/exact";
import { RHO0 } from "../quantities/constants";
import { eulerAngles } from "./attitude";
import * as C from "./controls";
import type { Flight } from "./flight";
import { halfTurn } from "./half-turn";
import { holdAttitude } from "./hands";
import { BY_SPEED_ROTOR } from "./pilot";
import { STEPS_PER_LOOK } from "./recording";
import { type HoverSums, holdRotorcraft, hoverAttitude, overNose } from "./rotor-hands";
import type { RotorcraftModel } from "./rotorcraft-model";
import * as S from "./state";
import type { Hands, Wanted } from "./wanted";

/** Keys that fly. */
export const HAND_KEYS = [
  "nose-up",
  "nose-down",
  "bank-left",
  "bank-right",
  "foot-left",
  "foot-right",
  "power-up",
  "power-down",
  "trim-up",
  "trim-down",
  "brakes",
] as const;
/** @see HAND_KEYS */
export type HandKey = (typeof HAND_KEYS)[number];

/** What helps the hands; it goes into the result. */
export interface Assistance {
  /** Keys command an attitude that is held; otherwise they move the stick. */
  readonly attitude: boolean;
  /** The feet hold the ball. */
  readonly ball: boolean;
  /** Attitude hold goes no farther than this. */
  readonly bank_rad: number;
  /** The nose holds this speed, indicated; null leaves it to the hands. */
  readonly speed_mps: number | null;
}

/** A flight with somebody at its controls. */
export interface AtControls {
  readonly flight: Flight;
  assistance: Assistance;
  readonly pressed: Set<HandKey>;
  /** A stick that is held: back, right, and foot where it has one, −1…1; null while none is. */
  stick: { readonly back: number; readonly right: number; readonly foot: number | null } | null;
  step: number;
  readonly hands: Hands;
  readonly wanted: Wanted;
  /** Of the nose, while a speed is held. */
  sum: number;
  /** The line that it rolls along while nobody steers; null while somebody does, or it flies. */
  straight: { readonly heading_rad: number; readonly north_m: number; readonly east_m: number } | null;
  /** The collective under a key: held for so long, and what is left of a step of it. */
  readonly lifting: { held_s: number; rest: number };
  /** Of what holds a helicopter over its place. */
  readonly over: HoverSums;
}

/** Slower than this with levers below this the brakes are set. */
const PARKED_MPS = 1;
const PARKED_LEVER = 0.2 * C.FULL;
/** Hands are worked so often a second. */
const HANDS_S = STEPS_PER_LOOK / 120;
/** Commanded by keys: pitch, bank, power, trim and the farthest nose, a second or as an angle. */
const PITCH_RADPS = (6 * Math.PI) / 180;
const BANK_RADPS = (25 * Math.PI) / 180;
const MOST_PITCH_RAD = (25 * Math.PI) / 180;
const POWER_PS = 0.5;
const TRIM_PS = 0.12;
/** The collective, of its whole travel a second: as a key is touched, and more for each second that it is held. */
const [COLLECTIVE_PS, COLLECTIVE_MORE_PS] = [0.12, 0.5];
/** Of a rotorcraft: pitch by keys, the attitude of a whole stick, turning by whole feet, the most near a hover. */
const ROTOR = { pitch_radps: 0.2, pitch_rad: 0.35, bank_rad: 0.6, foot_radps: 0.5, hover_rad: 0.2 };
/** Moving the stick itself: there, back, and how far, of its travel; made for this pressure, Pa. */
const STICK = { pitch_ps: 0.7, roll_ps: 1.2, back_ps: 2.5, pitch: 0.35, roll: 0.45, foot_ps: 1, foot: 0.6 };
const MADE_FOR_PA = 1300;
/** Help stays so far from the stall, rad. */
const OFF_STALL_RAD = (6 * Math.PI) / 180;
/** Nose by the speed that is held, and its sum; looked at ten times a second. */
const BY_SPEED = 0.02;
const BY_SPEED_SUM = 0.004;
const LOOK_STEPS = 12;

/** Works the controls as keys and stick ask, with what helps. */
export function workHands(at: AtControls): void {
  const { flight, assistance, stick } = at;
  const onWheels = flight.seen.onWheels;
  // The line of a take-off is none to land on.
  if (!onWheels) at.straight = null;
  levers(at);
  if (flight.model.kind === "rotorcraft") {
    handsOnRotorcraft(at, flight.model, flight.seen.onWheels);
    return;
  }
  if (stick) heldStick(at, stick);
  else if (assistance.attitude && !onWheels) heldAttitude(at);
  else movedStick(at, onWheels);
}

const between = (pressed: ReadonlySet<HandKey>, less: HandKey, more: HandKey) =>
  (pressed.has(more) ? 1 : 0) - (pressed.has(less) ? 1 : 0);

/** A helicopter slower than this over the ground is about to hover, m/s. */
const ABOUT_TO_HOVER_MPS = 8;

function hovers({ flight, assistance }: AtControls, { lift }: RotorcraftModel): boolean {
  const { ahead_mps, right_mps } = overNose(flight.state);
  const slow = ahead_mps * ahead_mps + right_mps * right_mps < ABOUT_TO_HOVER_MPS * ABOUT_TO_HOVER_MPS;
  return lift.kind === "helicopter" && assistance.speed_mps === null && slow;
}

/** Keys and stick ask a rotorcraft for an attitude: nobody flies its disc by keys. */
function handsOnRotorcraft(at: AtControls, model: RotorcraftModel, stands: boolean): void {
  const { flight, pressed, stick, wanted, hands, assistance } = at;
  const nose = between(pressed, "nose-down", "nose-up");
  const bank = between(pressed, "bank-left", "bank-right");
  if (stick) {
    wanted.pitch_rad = stick.back * ROTOR.pitch_rad;
    wanted.bank_rad = clamp(stick.right * ROTOR.bank_rad, -assistance.bank_rad, assistance.bank_rad);
  } else {
    if (assistance.speed_mps !== null && !stands) noseBySpeed(at, assistance.speed_mps, MOST_PITCH_RAD);
    else wanted.pitch_rad += nose * ROTOR.pitch_radps * HANDS_S;
    wanted.bank_rad += bank * BANK_RADPS * HANDS_S;
    // Let go near a hover it comes to a stop: nobody hovers by keys that hold an attitude.
    if (assistance.attitude && nose === 0 && bank === 0 && !stands && hovers(at, model))
      Object.assign(wanted, hoverAttitude(flight, model, at.over, HANDS_S));
  }
  // By keys it is not flung out of a hover.
  const gently = !stick && assistance.attitude && hovers(at, model);
  const [pitchMost, bankMost] = gently ? [ROTOR.hover_rad, ROTOR.hover_rad] : [MOST_PITCH_RAD, assistance.bank_rad];
  wanted.pitch_rad = clamp(wanted.pitch_rad, -pitchMost, pitchMost);
  wanted.bank_rad = clamp(wanted.bank_rad, -bankMost, bankMost);
  const foot = stick?.foot ?? between(pressed, "foot-left", "foot-right");
  if (stands && model.lift.kind === "gyroplane") {
    // Rolling, the wheels steer, and the disc is held back.
    movedStick(at, true);
    wanted.pitch_rad = eulerAngles(flight.state).pitch_rad;
    wanted.bank_rad = 0;
    return;
  }
  const { heading_rad } = eulerAngles(flight.state);
  const feet = { rate_radps: foot * ROTOR.foot_radps, heading_rad: hands.heading ?? heading_rad };
  holdRotorcraft(flight, model, hands, wanted, assistance.ball || foot !== 0 ? feet : null, HANDS_S);
  hands.heading = feet.heading_rad;
  if (!assistance.ball && foot === 0) hands.heading = null;
}

/** It stands, nobody has opened a throttle: the brakes are set, or the wind would roll it away. */
function isParked({ state: s, controls, seen, model }: Flight): boolean {
  const slow = s[S.U] * s[S.U] + s[S.V] * s[S.V] < PARKED_MPS * PARKED_MPS;
  const shut = model.engines.every((_, i) => controls[C.THROTTLE + i] < PARKED_LEVER);
  return seen.onWheels && slow && shut;
}

function levers(at: AtControls): void {
  const { flight, pressed } = at;
  const { controls, model } = flight;
  const power = between(pressed, "power-down", "power-up");
  if (model.kind === "rotorcraft" && model.lift.kind === "helicopter") moveCollective(at, power);
  else if (power !== 0)
    for (let engine = 0; engine < model.engines.length; engine += 1)
      controls[C.THROTTLE + engine] = clamp(
        controls[C.THROTTLE + engine] + power * POWER_PS * HANDS_S * C.FULL,
        0,
        C.FULL,
      );
  const trim = between(pressed, "trim-down", "trim-up");
  if (trim !== 0)
    controls[C.TRIM] = clamp(
      controls[C.TRIM] + Math.sign(trim) * Math.ceil(TRIM_PS * HANDS_S * C.FULL),
      -C.FULL,
      C.FULL,
    );
  controls[C.BRAKES] = pressed.has("brakes") || isParked(flight) ? C.FULL : 0;
}

/** A touch moves the collective by hardly anything, a key that is held moves it fast. */
function moveCollective({ flight: { controls }, lifting }: AtControls, power: number): void {
  lifting.held_s = power === 0 ? 0 : lifting.held_s + HANDS_S;
  const rate = COLLECTIVE_PS + COLLECTIVE_MORE_PS * Math.min(lifting.held_s, 1);
  lifting.rest = power === 0 ? 0 : lifting.rest + power * rate * HANDS_S * C.FULL;
  const whole = Math.trunc(lifting.rest);
  lifting.rest -= whole;
  controls[C.COLLECTIVE] = clamp(controls[C.COLLECTIVE] + whole, 0, C.FULL);
}

function heldStick({ flight, assistance, wanted, hands }: AtControls, stick: NonNullable<AtControls["stick"]>): void {
  const { controls } = flight;
  const { bank_rad, pitch_rad } = eulerAngles(flight.state);
  if (stick.foot === null && assistance.ball && !flight.seen.onWheels) {
    wanted.bank_rad = bank_rad;
    wanted.pitch_rad = pitch_rad;
    holdAttitude(flight, hands, wanted, HANDS_S);
  } else controls[C.RIGHT_FOOT] = C.kept(stick.foot ?? (flight.seen.onWheels ? stick.right : 0));
  controls[C.STICK_BACK] = C.kept(stick.back);
  controls[C.STICK_RIGHT] = C.kept(stick.right);
  // Let go, it holds what it has.
  wanted.bank_rad = bank_rad;
  wanted.pitch_rad = pitch_rad;
}

function heldAttitude(at: AtControls): void {
  const { flight, pressed, wanted, hands, assistance } = at;
  const { state: s } = flight;
  const nose = between(pressed, "nose-down", "nose-up");
  if (assistance.speed_mps === null)
    wanted.pitch_rad = clamp(wanted.pitch_rad + nose * PITCH_RADPS * HANDS_S, -MOST_PITCH_RAD, MOST_PITCH_RAD);
  else {
    // Help never stalls it: the nose goes up no farther than the wing has room for.
    const room = flight.forces.stall_rad - OFF_STALL_RAD - flight.seen.alpha_rad;
    noseBySpeed(at, assistance.speed_mps, eulerAngles(s).pitch_rad + room);
  }
  const bank = between(pressed, "bank-left", "bank-right");
  wanted.bank_rad = clamp(wanted.bank_rad + bank * BANK_RADPS * HANDS_S, -assistance.bank_rad, assistance.bank_rad);
  const foot = between(pressed, "foot-left", "foot-right");
  holdAttitude(flight, hands, wanted, HANDS_S, 1, assistance.ball && foot === 0);
  if (!assistance.ball || foot !== 0) movedFoot(flight, foot);
}

/** The nose that holds a speed, no higher than the most; what cannot be is not summed. */
function noseBySpeed(at: AtControls, speed_mps: number, most_rad: number): void {
  if (at.step % LOOK_STEPS !== 0) return;
  const off = at.flight.state[S.ASI] - speed_mps;
  const sum = clamp(at.sum + BY_SPEED_SUM * off * 0.1, -0.4, 0.4);
  const more = at.flight.model.kind === "rotorcraft" ? BY_SPEED_ROTOR : 1;
  const asked = clamp(more * BY_SPEED * off + sum, -MOST_PITCH_RAD, MOST_PITCH_RAD);
  at.wanted.pitch_rad = Math.min(asked, most_rad);
  if (asked < most_rad) at.sum = sum;
}

/** Keys that move the stick: out while they are pressed, back when they are not, less the faster it flies. */
function movedStick(at: AtControls, onWheels: boolean): void {
  const { flight, pressed, wanted, hands, assistance } = at;
  const { controls, state: s } = flight;
  const scale = clamp(MADE_FOR_PA / Math.max(0.5 * RHO0 * s[S.ASI] * s[S.ASI], 1), 0.4, 1.6);
  const nose = between(pressed, "nose-down", "nose-up");
  const bank = between(pressed, "bank-left", "bank-right");
  const foot = between(pressed, "foot-left", "foot-right");
  controls[C.STICK_BACK] = moved(controls[C.STICK_BACK], nose, STICK.pitch_ps, STICK.pitch * (onWheels ? 1.6 : scale));
  controls[C.STICK_RIGHT] = moved(controls[C.STICK_RIGHT], onWheels ? 0 : bank, STICK.roll_ps, STICK.roll * scale);
  const euler = eulerAngles(s);
  wanted.bank_rad = euler.bank_rad;
  wanted.pitch_rad = euler.pitch_rad;
  if (onWheels) {
    steer(at, foot !== 0 ? foot : bank);
    return;
  }
  if (assistance.ball && foot === 0) {
    const { [C.STICK_BACK]: back, [C.STICK_RIGHT]: right } = controls;
    holdAttitude(flight, hands, wanted, HANDS_S);
    controls[C.STICK_BACK] = back;
    controls[C.STICK_RIGHT] = right;
  } else movedFoot(flight, foot);
}

/** On wheels the keys that bank steer too; let go, the feet keep it straight where they hold the ball in the air. */
function steer(at: AtControls, steered: number): void {
  const { flight, assistance } = at;
  const { controls, state: s } = flight;
  const { heading_rad } = eulerAngles(s);
  if (steered !== 0 || !assistance.ball) {
    at.straight = null;
    controls[C.RIGHT_FOOT] = moved(controls[C.RIGHT_FOOT], steered, STICK.foot_ps, STICK.foot);
    return;
  }
  at.straight ??= { heading_rad, north_m: s[S.NORTH], east_m: s[S.EAST] };
  const line = at.straight;
  const beside_m =
    (s[S.EAST] - line.east_m) * cos(line.heading_rad) - (s[S.NORTH] - line.north_m) * sin(line.heading_rad);
  const off = halfTurn(line.heading_rad - heading_rad) - clamp(beside_m * 0.02, -0.15, 0.15);
  controls[C.RIGHT_FOOT] = C.kept(3 * off - 1.2 * s[S.R]);
}

function movedFoot({ controls }: Flight, foot: number): void {
  controls[C.RIGHT_FOOT] = moved(controls[C.RIGHT_FOOT], foot, STICK.foot_ps, STICK.foot);
}

/** A control a look later: towards its end while pressed, back to the middle otherwise. */
function moved(now: number, pressed: number, out_ps: number, farthest: number): number {
  const share = now / C.FULL;
  const step = (pressed !== 0 && pressed * share >= 0 ? out_ps : STICK.back_ps) * HANDS_S;
  const wanted = pressed * farthest;
  return C.kept(share + clamp(wanted - share, -step, step));
}
