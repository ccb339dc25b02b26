// A flight with somebody at its controls: keys, a stick, levers; what helps him; what is kept of it. Time is told to it
// in steps, and the frame rate of whatever shows it never enters.
import { clamp } from "../numeric/clamp";
import { cos, sin } from "../numeric/exact";
import { RHO0 } from "../quantities/constants";
import { eulerAngles } from "./attitude";
import * as C from "./controls";
import { fail } from "./fail";
import type { Flight } from "./flight";
import { type FlightTrace, freshTrace, noteTrace, shortened } from "./flight-trace";
import { halfTurn } from "./half-turn";
import { holdAttitude } from "./hands";
import { type Hands, type Wanted, freshHands } from "./wanted";
import { BY_SPEED_ROTOR, heightAbove_m } from "./pilot";
import { type Recorder, type Recording, STEPS_PER_LOOK, note, recorderOf, recordingOf } from "./recording";
import type { RatingsClock } from "../rotor/ratings-clock";
import { ratingsAfter, ratingsSoFar } from "./flown-ratings";
import { type HoverSums, holdRotorcraft, hoverAttitude, overNose } from "./rotor-hands";
import type { RotorcraftModel } from "./rotorcraft-model";
import * as S from "./state";
import { stepFlight } from "./step-flight";
import type { FailureKind, WhatFails } from "./trouble";

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

/** What is to fail, and when: since the beginning, or above the ground on the way up or down. */
export interface Planned extends WhatFails {
  readonly when: { readonly what: "time" | "above" | "below"; readonly value: number };
}

/** A moment to go back to. */
interface Kept {
  readonly step: number;
  readonly state: Float64Array;
  readonly controls: Int8Array;
  readonly failures: Flight["failures"];
  readonly wanted: Wanted;
  readonly hands: Hands;
  readonly changes: number;
  readonly failed: number;
  readonly planned: readonly Planned[];
}

/** @see beginCockpit */
export interface Cockpit {
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
  planned: readonly Planned[];
  readonly recorder: Recorder;
  readonly trace: FlightTrace;
  kept: readonly Kept[];
  /** The line that it rolls along while nobody steers; null while somebody does, or it flies. */
  straight: { readonly heading_rad: number; readonly north_m: number; readonly east_m: number } | null;
  /** Went back so often: it goes into the result. */
  backs: number;
  /** The collective under a key: held for so long, and what is left of a step of it. */
  readonly lifting: { held_s: number; rest: number };
  /** Of what holds a helicopter over its place. */
  readonly over: HoverSums;
  /** Of a helicopter's ratings, by the rows of the trace; null of others. */
  clock: RatingsClock | null;
}

/** A moment is kept each second, for so long. */
const [KEEP_STEPS, KEEP_MOST] = [120, 120];
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

/** Somebody takes a flight over. */
export function beginCockpit(flight: Flight, assistance: Assistance, planned: readonly Planned[]): Cockpit {
  const { bank_rad, pitch_rad } = eulerAngles(flight.state);
  return {
    flight,
    assistance,
    pressed: new Set(),
    stick: null,
    step: 0,
    hands: freshHands(),
    wanted: { pitch_rad, bank_rad, ball: 0 },
    sum: 0,
    planned,
    recorder: recorderOf(flight),
    trace: freshTrace(),
    kept: [],
    straight: null,
    backs: 0,
    lifting: { held_s: 0, rest: 0 },
    over: { pitch: 0, bank: 0 },
    clock: ratingsSoFar(flight, []),
  };
}

/** Sets a lever or a switch, as it is kept: −127…127 or a small whole number. */
export function setControl({ flight }: Cockpit, control: number, value: number): void {
  if (control >= 0 && control < C.CONTROLS) flight.controls[control] = Math.max(-127, Math.min(127, Math.round(value)));
}

/** Something fails now. */
export function failNow(cockpit: Cockpit, kind: FailureKind, engine: 0 | 1 | null): void {
  fail(cockpit.flight, kind, engine);
  cockpit.recorder.failures.push({ step: cockpit.step, kind, engine });
}

/** Leads the flight on by steps; one that has ended stays. */
export function advance(cockpit: Cockpit, steps: number): void {
  const { flight } = cockpit;
  for (let i = 0; i < steps && !flight.ended; i += 1) {
    if (cockpit.step % KEEP_STEPS === 0) keep(cockpit);
    for (const planned of cockpit.planned) if (isDue(planned, cockpit)) failPlanned(cockpit, planned);
    if (cockpit.step % STEPS_PER_LOOK === 0) {
      workHands(cockpit);
      note(cockpit.recorder, flight, cockpit.step);
    }
    if (noteTrace(cockpit.trace, flight, cockpit.step))
      cockpit.clock = ratingsAfter(flight, cockpit.clock, cockpit.trace.rows);
    stepFlight(flight);
    cockpit.step += 1;
  }
}

function isDue({ when }: Planned, { flight }: Cockpit): boolean {
  if (when.what === "time") return flight.state[S.TIME] >= when.value;
  const height_m = heightAbove_m(flight);
  return when.what === "above" ? height_m >= when.value : height_m <= when.value;
}

function failPlanned(cockpit: Cockpit, planned: Planned): void {
  failNow(cockpit, planned.kind, planned.engine);
  cockpit.planned = cockpit.planned.filter((other) => other !== planned);
}

function keep(cockpit: Cockpit): void {
  const { flight, step, hands, wanted, recorder, planned } = cockpit;
  const kept: Kept = {
    step,
    state: flight.state.slice(),
    controls: flight.controls.slice(),
    failures: flight.failures,
    wanted: { ...wanted },
    hands: { ...hands },
    changes: recorder.changes.length,
    failed: recorder.failures.length,
    planned,
  };
  cockpit.kept = [...cockpit.kept.slice(-KEEP_MOST + 1), kept];
}

/** Goes back so many seconds, as far as there is something to go back to. */
export function goBack(cockpit: Cockpit, seconds: number): void {
  const wanted = cockpit.step - seconds * 120;
  const to = cockpit.kept.findLast(({ step }) => step <= wanted) ?? cockpit.kept.at(0);
  if (!to) return;
  const { flight, recorder } = cockpit;
  flight.state.set(to.state);
  flight.controls.set(to.controls);
  flight.failures = to.failures;
  flight.ended = null;
  Object.assign(cockpit.wanted, to.wanted);
  Object.assign(cockpit.hands, to.hands);
  cockpit.step = to.step;
  cockpit.planned = to.planned;
  recorder.changes.length = to.changes;
  recorder.failures.length = to.failed;
  recorder.last.set(to.controls);
  shortened(cockpit.trace, to.step);
  cockpit.clock = ratingsSoFar(flight, cockpit.trace.rows);
  cockpit.kept = cockpit.kept.filter(({ step }) => step < to.step);
  cockpit.backs += 1;
}

/** What was flown so far, to be flown again. */
export const recorded = ({ recorder, step }: Cockpit): Recording => recordingOf(recorder, step);

function workHands(cockpit: Cockpit): void {
  const { flight, assistance, stick } = cockpit;
  const onWheels = flight.seen.onWheels;
  // The line of a take-off is none to land on.
  if (!onWheels) cockpit.straight = null;
  levers(cockpit);
  if (flight.model.kind === "rotorcraft") {
    handsOnRotorcraft(cockpit, flight.model, flight.seen.onWheels);
    return;
  }
  if (stick) heldStick(cockpit, stick);
  else if (assistance.attitude && !onWheels) heldAttitude(cockpit);
  else movedStick(cockpit, onWheels);
}

const between = (pressed: ReadonlySet<HandKey>, less: HandKey, more: HandKey) =>
  (pressed.has(more) ? 1 : 0) - (pressed.has(less) ? 1 : 0);

/** A helicopter slower than this over the ground is about to hover, m/s. */
const ABOUT_TO_HOVER_MPS = 8;

function hovers({ flight, assistance }: Cockpit, { lift }: RotorcraftModel): boolean {
  const { ahead_mps, right_mps } = overNose(flight.state);
  const slow = ahead_mps * ahead_mps + right_mps * right_mps < ABOUT_TO_HOVER_MPS * ABOUT_TO_HOVER_MPS;
  return lift.kind === "helicopter" && assistance.speed_mps === null && slow;
}

/** Keys and stick ask a rotorcraft for an attitude: nobody flies its disc by keys. */
function handsOnRotorcraft(cockpit: Cockpit, model: RotorcraftModel, stands: boolean): void {
  const { flight, pressed, stick, wanted, hands, assistance } = cockpit;
  const nose = between(pressed, "nose-down", "nose-up");
  const bank = between(pressed, "bank-left", "bank-right");
  if (stick) {
    wanted.pitch_rad = stick.back * ROTOR.pitch_rad;
    wanted.bank_rad = clamp(stick.right * ROTOR.bank_rad, -assistance.bank_rad, assistance.bank_rad);
  } else {
    if (assistance.speed_mps !== null && !stands) noseBySpeed(cockpit, assistance.speed_mps, MOST_PITCH_RAD);
    else wanted.pitch_rad += nose * ROTOR.pitch_radps * HANDS_S;
    wanted.bank_rad += bank * BANK_RADPS * HANDS_S;
    // Let go near a hover it comes to a stop: nobody hovers by keys that hold an attitude.
    if (assistance.attitude && nose === 0 && bank === 0 && !stands && hovers(cockpit, model))
      Object.assign(wanted, hoverAttitude(flight, model, cockpit.over, HANDS_S));
  }
  // By keys it is not flung out of a hover.
  const gently = !stick && assistance.attitude && hovers(cockpit, model);
  const [pitchMost, bankMost] = gently ? [ROTOR.hover_rad, ROTOR.hover_rad] : [MOST_PITCH_RAD, assistance.bank_rad];
  wanted.pitch_rad = clamp(wanted.pitch_rad, -pitchMost, pitchMost);
  wanted.bank_rad = clamp(wanted.bank_rad, -bankMost, bankMost);
  const foot = stick?.foot ?? between(pressed, "foot-left", "foot-right");
  if (stands && model.lift.kind === "gyroplane") {
    // Rolling, the wheels steer, and the disc is held back.
    movedStick(cockpit, true);
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

function levers(cockpit: Cockpit): void {
  const { flight, pressed } = cockpit;
  const { controls, model } = flight;
  const power = between(pressed, "power-down", "power-up");
  if (model.kind === "rotorcraft" && model.lift.kind === "helicopter") moveCollective(cockpit, power);
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
function moveCollective({ flight: { controls }, lifting }: Cockpit, power: number): void {
  lifting.held_s = power === 0 ? 0 : lifting.held_s + HANDS_S;
  const rate = COLLECTIVE_PS + COLLECTIVE_MORE_PS * Math.min(lifting.held_s, 1);
  lifting.rest = power === 0 ? 0 : lifting.rest + power * rate * HANDS_S * C.FULL;
  const whole = Math.trunc(lifting.rest);
  lifting.rest -= whole;
  controls[C.COLLECTIVE] = clamp(controls[C.COLLECTIVE] + whole, 0, C.FULL);
}

function heldStick({ flight, assistance, wanted, hands }: Cockpit, stick: NonNullable<Cockpit["stick"]>): void {
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

function heldAttitude(cockpit: Cockpit): void {
  const { flight, pressed, wanted, hands, assistance } = cockpit;
  const { state: s } = flight;
  const nose = between(pressed, "nose-down", "nose-up");
  if (assistance.speed_mps === null)
    wanted.pitch_rad = clamp(wanted.pitch_rad + nose * PITCH_RADPS * HANDS_S, -MOST_PITCH_RAD, MOST_PITCH_RAD);
  else {
    // Help never stalls it: the nose goes up no farther than the wing has room for.
    const room = flight.forces.stall_rad - OFF_STALL_RAD - flight.seen.alpha_rad;
    noseBySpeed(cockpit, assistance.speed_mps, eulerAngles(s).pitch_rad + room);
  }
  const bank = between(pressed, "bank-left", "bank-right");
  wanted.bank_rad = clamp(wanted.bank_rad + bank * BANK_RADPS * HANDS_S, -assistance.bank_rad, assistance.bank_rad);
  const foot = between(pressed, "foot-left", "foot-right");
  holdAttitude(flight, hands, wanted, HANDS_S, 1, assistance.ball && foot === 0);
  if (!assistance.ball || foot !== 0) movedFoot(flight, foot);
}

/** The nose that holds a speed, no higher than the most; what cannot be is not summed. */
function noseBySpeed(cockpit: Cockpit, speed_mps: number, most_rad: number): void {
  if (cockpit.step % LOOK_STEPS !== 0) return;
  const off = cockpit.flight.state[S.ASI] - speed_mps;
  const sum = clamp(cockpit.sum + BY_SPEED_SUM * off * 0.1, -0.4, 0.4);
  const more = cockpit.flight.model.kind === "rotorcraft" ? BY_SPEED_ROTOR : 1;
  const asked = clamp(more * BY_SPEED * off + sum, -MOST_PITCH_RAD, MOST_PITCH_RAD);
  cockpit.wanted.pitch_rad = Math.min(asked, most_rad);
  if (asked < most_rad) cockpit.sum = sum;
}

/** Keys that move the stick: out while they are pressed, back when they are not, less the faster it flies. */
function movedStick(cockpit: Cockpit, onWheels: boolean): void {
  const { flight, pressed, wanted, hands, assistance } = cockpit;
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
    steer(cockpit, foot !== 0 ? foot : bank);
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
function steer(cockpit: Cockpit, steered: number): void {
  const { flight, assistance } = cockpit;
  const { controls, state: s } = flight;
  const { heading_rad } = eulerAngles(s);
  if (steered !== 0 || !assistance.ball) {
    cockpit.straight = null;
    controls[C.RIGHT_FOOT] = moved(controls[C.RIGHT_FOOT], steered, STICK.foot_ps, STICK.foot);
    return;
  }
  cockpit.straight ??= { heading_rad, north_m: s[S.NORTH], east_m: s[S.EAST] };
  const line = cockpit.straight;
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
