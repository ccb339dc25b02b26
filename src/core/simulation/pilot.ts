// A modelled pilot: flies legs one after the other by what the instruments show, with the same controls as anybody.
import { z } from "zod";
import { clamp } from "../numeric/clamp";
import { atan, atan2, cos, PI, sin } from "../numeric/exact";
import { G0 } from "../quantities/constants";
import { attitude, eulerAngles } from "./attitude";
import * as C from "./controls";
import { fail } from "./fail";
import { type Flight, STEPS_PER_S } from "./flight";
import { stepFlight } from "./step-flight";
import { halfTurn } from "./half-turn";
import { holdAttitude } from "./hands";
import { type Hands, type Wanted, freshHands } from "./wanted";
import { type HoverSums, hoverAttitude } from "./rotor-hands";
import * as S from "./state";
import { WhatFails } from "./trouble";

const angle = (low: number, high: number) => z.number().min(low).max(high);
const place_m = z.number().min(-200_000).max(200_000);
const share = z.number().min(0).max(1);

/** One leg of a script: what is held, with which levers, and until when. */
export const Leg = z.strictObject({
  name: z.string().max(40),
  vertical: z.discriminatedUnion("hold", [
    /** Indicated, by the nose. */
    z.strictObject({ hold: z.literal("speed"), speed_mps: z.number().min(10).max(250) }),
    z.strictObject({ hold: z.literal("pitch"), pitch_rad: angle(-0.7, 0.7) }),
    /** Up positive, by the nose. */
    z.strictObject({ hold: z.literal("climb"), climb_mps: z.number().min(-40).max(40) }),
    /** Sink taken off as the ground comes. */
    z.strictObject({ hold: z.literal("flare") }),
    /** A helicopter over its place: the nose stops its way ahead, the bank its way aside. */
    z.strictObject({ hold: z.literal("hover") }),
  ]),
  lateral: z.discriminatedUnion("hold", [
    z.strictObject({ hold: z.literal("bank"), bank_rad: angle(-1.3, 1.3) }),
    z.strictObject({ hold: z.literal("heading"), heading_rad: angle(0, 6.3), bank_rad: angle(0.05, 1.3) }),
    /** Over the ground along a line. */
    z.strictObject({
      hold: z.literal("line"),
      north_m: place_m,
      east_m: place_m,
      heading_rad: angle(0, 6.3),
      bank_rad: angle(0.05, 1.3),
    }),
  ]),
  /** By engine, 0 to 1; null leaves them as they are. A propeller at 0 feathers. */
  throttle: z.array(share).max(2).nullable(),
  propeller: z.array(share).max(2).nullable(),
  /**
   * Of a helicopter: a share of its travel, what holds rotor speed, what holds a climb (m/s, up positive), or null for
   * as it is.
   */
  collective: z.union([
    z.null(),
    z.strictObject({ hold: z.literal("share"), value: share }),
    z.strictObject({ hold: z.literal("rotor-speed"), value: z.number().min(0.5).max(1.2) }),
    z.strictObject({ hold: z.literal("climb"), value: z.number().min(-30).max(20) }),
    /** Sink taken off with what the rotor has, as the ground comes. */
    z.strictObject({ hold: z.literal("cushion"), value: z.number().min(0).max(5) }),
  ]),
  flap: z.int().min(0).max(7).nullable(),
  gearDown: z.boolean().nullable(),
  brakes: share,
  /** What fails as it begins. */
  fails: z.array(WhatFails).max(4),
  until: z.strictObject({
    what: z.enum(["time", "below", "above", "turned", "faster", "slower", "touch", "stopped"]),
    /** s, m above the ground, m, rad, m/s indicated, m/s, nothing, nothing. */
    value: z.number().min(0).max(20_000),
  }),
});
/** @see Leg */
export type Leg = z.infer<typeof Leg>;

/** A leg that leaves levers, flap and gear as they are, but for what is said. */
export const legOf = (parts: Pick<Leg, "name" | "vertical" | "lateral" | "until"> & Partial<Leg>): Leg => ({
  throttle: null,
  propeller: null,
  collective: null,
  flap: null,
  gearDown: null,
  brakes: 0,
  fails: [],
  ...parts,
});

/** Looks at the instruments so often a second; works the controls so often. */
const [LOOKS, HANDS] = [10, 60];
/** Nose by speed, its sum; by climb rate, at 50 m/s, its sum. Tried in a prototype; common practice. */
const [BY_SPEED, BY_SPEED_SUM, BY_CLIMB, BY_CLIMB_SUM] = [0.02, 0.004, 0.03, 0.012];
/** A rotor answers the nose with pull alone, no wing damps it: so many times as much. */
export const BY_SPEED_ROTOR = 2;
const ROLL_RADPS = (20 * PI) / 180;
/** An offset from a line is flown off at so much of a right angle at most, over so many seconds. */
const [CUTS_RAD, CUTS_S] = [(40 * PI) / 180, 6];

/** Where a pilot is in his script. */
export interface Pilot {
  readonly legs: readonly Leg[];
  at: number;
  readonly hands: Hands;
  readonly wanted: Wanted;
  /** Of the nose: the sum that holds a speed, and where it began. */
  sum: number;
  base: number;
  since_s: number;
  turned: number;
  heading: number;
  /** Of the collective: the rotor's speed at the last look, where it stood as the leg began, its sum. */
  nr: number;
  lever: number;
  lift: number;
  readonly over: HoverSums;
}

/** A pilot before the first leg. */
export const freshPilot = (legs: readonly Leg[]): Pilot => ({
  legs,
  at: -1,
  hands: freshHands(),
  wanted: { pitch_rad: 0, bank_rad: 0, ball: 0 },
  sum: 0,
  base: 0,
  since_s: 0,
  turned: 0,
  heading: 0,
  nr: 1,
  lever: 0,
  lift: 0,
  over: { pitch: 0, bank: 0 },
});

/** Height above the ground, m. */
export const heightAbove_m = ({ state: s, forces }: Flight): number => -s[S.DOWN] - forces.ground_m;

/** Motion over the ground. */
export function overGround(s: Float64Array): { north_mps: number; east_mps: number; climb_mps: number } {
  const [r0, r1, r2] = attitude(s);
  const to = (i: 0 | 1 | 2) => r0[i] * s[S.U] + r1[i] * s[S.V] + r2[i] * s[S.W];
  return { north_mps: to(0), east_mps: to(1), climb_mps: -to(2) };
}

/** Works the controls for the step to come. @returns false when the script is flown */
export function work(pilot: Pilot, flight: Flight, step: number): boolean {
  const { state: s } = flight;
  if (pilot.at < 0) begin(pilot, flight, 0);
  const euler = eulerAngles(s);
  pilot.turned += Math.abs(halfTurn(euler.heading_rad - pilot.heading));
  pilot.heading = euler.heading_rad;
  let leg = pilot.legs.at(pilot.at);
  // Some legs end as soon as they begin.
  for (let i = 0; i < pilot.legs.length && leg && isFlown(leg, pilot, flight); i += 1) {
    begin(pilot, flight, pilot.at + 1);
    leg = pilot.legs.at(pilot.at);
  }
  if (!leg) return false;
  if (step % (STEPS_PER_S / LOOKS) === 0) look(leg, pilot, flight);
  const rolled = ROLL_RADPS / STEPS_PER_S;
  if (leg.vertical.hold === "hover" && flight.model.kind === "rotorcraft") {
    if (step % (STEPS_PER_S / HANDS) === 0)
      Object.assign(pilot.wanted, hoverAttitude(flight, flight.model, pilot.over, 1 / HANDS));
  } else pilot.wanted.bank_rad += clamp(bankFor(leg, flight) - pilot.wanted.bank_rad, -rolled, rolled);
  if (step % (STEPS_PER_S / HANDS) !== 0) return true;
  pilot.wanted.ball = halfBall(flight);
  const onGround = flight.seen.onWheels;
  if (leg.collective) workCollective(leg.collective, pilot, flight);
  holdAttitude(flight, pilot.hands, pilot.wanted, 1 / HANDS, 1, !onGround);
  if (onGround) steer(leg, pilot, flight);
  return true;
}

/** The collective by rotor speed, its rate, its sum; by the climb, and its sum: share of the travel. Tried here. */
const [BY_ROTOR, BY_ROTOR_RATE, BY_ROTOR_SUM] = [2.5, 0.8, 0.6];
const [BY_LIFT, BY_LIFT_SUM] = [0.05, 0.03];
/** The collective moves no faster, of its travel a second. */
const COLLECTIVE_PS = 0.8;

/** Works the collective towards what is held. */
function workCollective(held: NonNullable<Leg["collective"]>, pilot: Pilot, flight: Flight): void {
  const { state: s, controls, model } = flight;
  const now = controls[C.COLLECTIVE] / C.FULL;
  let wanted = held.value;
  if (held.hold === "rotor-speed") {
    // Faster than wanted the blades take more, slower less; falling already they take less still.
    const off = s[S.NR] - held.value;
    const rate = (s[S.NR] - pilot.nr) * HANDS;
    pilot.nr = s[S.NR];
    pilot.lift = clamp(pilot.lift + (BY_ROTOR_SUM * off) / HANDS, -1, 1);
    wanted = pilot.lever + BY_ROTOR * off + BY_ROTOR_RATE * rate + pilot.lift;
  } else if (held.hold !== "share") {
    const height_m = heightAbove_m(flight) - model.hullHeight_m;
    const climb_mps = held.hold === "climb" ? held.value : -Math.max(held.value, Math.min(height_m / 1.2, 12));
    const off = climb_mps - overGround(s).climb_mps;
    pilot.lift = clamp(pilot.lift + (BY_LIFT_SUM * off) / HANDS, -1, 1);
    wanted = pilot.lever + BY_LIFT * off + pilot.lift;
  }
  controls[C.COLLECTIVE] = C.kept(clamp(wanted, now - COLLECTIVE_PS / HANDS, now + COLLECTIVE_PS / HANDS));
  if (controls[C.COLLECTIVE] < 0) controls[C.COLLECTIVE] = 0;
}

function begin(pilot: Pilot, flight: Flight, at: number): void {
  const { state: s, controls } = flight;
  pilot.at = at;
  pilot.since_s = s[S.TIME];
  pilot.turned = 0;
  pilot.heading = eulerAngles(s).heading_rad;
  const leg = pilot.legs.at(at);
  if (!leg) return;
  // What held the nose goes on holding it.
  pilot.base = pilot.wanted.pitch_rad === 0 && at === 0 ? eulerAngles(s).pitch_rad : pilot.wanted.pitch_rad;
  pilot.sum = 0;
  pilot.nr = s[S.NR];
  pilot.lever = controls[C.COLLECTIVE] / C.FULL;
  pilot.lift = 0;
  for (const engine of [0, 1]) {
    if (leg.throttle) controls[C.THROTTLE + engine] = C.kept(leg.throttle.at(engine) ?? leg.throttle.at(0) ?? 0);
    if (leg.propeller) controls[C.PROPELLER + engine] = C.kept(leg.propeller.at(engine) ?? leg.propeller.at(0) ?? 1);
  }
  if (leg.flap !== null) controls[C.FLAP] = leg.flap;
  if (leg.gearDown !== null) controls[C.GEAR] = leg.gearDown ? 1 : 0;
  controls[C.BRAKES] = C.kept(leg.brakes);
  for (const { kind, engine } of leg.fails) fail(flight, kind, engine);
}

function isFlown({ until: { what, value } }: Leg, pilot: Pilot, flight: Flight): boolean {
  const { state: s, seen } = flight;
  switch (what) {
    case "time":
      return s[S.TIME] - pilot.since_s >= value;
    case "below":
      return heightAbove_m(flight) <= value;
    case "above":
      return heightAbove_m(flight) >= value;
    case "turned":
      return pilot.turned >= value;
    case "faster":
      return s[S.ASI] >= value;
    case "slower":
      return s[S.ASI] <= value;
    case "touch":
      return seen.touch_N > 0;
    case "stopped":
      return seen.touch_N > 0 && Math.sqrt(s[S.U] * s[S.U] + s[S.V] * s[S.V]) < 0.5;
  }
}

/** The nose by what the instruments show. */
function look({ vertical }: Leg, pilot: Pilot, flight: Flight): void {
  const { state: s } = flight;
  const within = (rad: number) => clamp(rad, -0.45, 0.5);
  switch (vertical.hold) {
    case "speed": {
      const off = s[S.ASI] - vertical.speed_mps;
      pilot.sum = clamp(pilot.sum + (BY_SPEED_SUM * off) / LOOKS, -0.4, 0.4);
      const more = flight.model.kind === "rotorcraft" ? BY_SPEED_ROTOR : 1;
      pilot.wanted.pitch_rad = within(pilot.base + more * BY_SPEED * off + pilot.sum);
      return;
    }
    case "pitch":
      pilot.wanted.pitch_rad = vertical.pitch_rad;
      return;
    case "hover":
      return;
    default: {
      const height_m = heightAbove_m(flight) - flight.model.hullHeight_m;
      // Sink that halves with height, down to a gentle touch.
      const climb_mps = vertical.hold === "climb" ? vertical.climb_mps : -Math.max(0.7, Math.min(height_m / 1.6, 6));
      const off = climb_mps - overGround(s).climb_mps;
      const scale = 50 / Math.max(s[S.ASI], 20);
      pilot.sum = clamp(pilot.sum + (BY_CLIMB_SUM * scale * off) / LOOKS, -0.4, 0.4);
      pilot.wanted.pitch_rad = within(pilot.base + BY_CLIMB * scale * off + pilot.sum);
    }
  }
}

/** Where the flight stands to a line: to its right, and its track beside the line's. */
function besideLine(line: { north_m: number; east_m: number; heading_rad: number }, s: Float64Array) {
  const n = s[S.NORTH] - line.north_m;
  const e = s[S.EAST] - line.east_m;
  return -n * sin(line.heading_rad) + e * cos(line.heading_rad);
}

/**
 * The bank that the leg asks for: bank = atan(0.5·V·Δψ/g). Quicker than that the bank runs ahead of the slip of one
 * engine, and swings.
 */
function bankFor({ lateral }: Leg, { state: s }: Flight): number {
  if (lateral.hold === "bank") return lateral.bank_rad;
  const { north_mps, east_mps } = overGround(s);
  const v = Math.max(Math.sqrt(north_mps * north_mps + east_mps * east_mps), 10);
  let off: number;
  if (lateral.hold === "heading") off = halfTurn(lateral.heading_rad - eulerAngles(s).heading_rad);
  else {
    const cut = clamp(besideLine(lateral, s) / (CUTS_S * v), -1, 1) * CUTS_RAD;
    off = halfTurn(lateral.heading_rad - cut - atan2(east_mps, north_mps));
  }
  return clamp(atan((0.5 * v * off) / G0), -lateral.bank_rad, lateral.bank_rad);
}

/** On one engine half of the ball to the live side, where it flies without a slip. Common practice. */
const HALF_BALL = 0.6;
/** Pulls that differ by more than this share of the weight are those of one engine. */
const ONE_SIDED = 0.04;

function halfBall({ state: s, model }: Flight): number {
  if (model.engines.length < 2) return 0;
  const apart = s[S.ENGINE + S.PER_ENGINE + S.THRUST] - s[S.ENGINE + S.THRUST];
  return HALF_BALL * clamp(apart / (ONE_SIDED * model.mass_kg * G0), -1, 1);
}

/** On wheels the feet keep it straight. */
function steer({ lateral }: Leg, pilot: Pilot, { state: s, controls }: Flight): void {
  const { heading_rad } = eulerAngles(s);
  const wanted = lateral.hold === "bank" ? pilot.heading : lateral.heading_rad;
  const beside_m = lateral.hold === "line" ? besideLine(lateral, s) : 0;
  const off = halfTurn(wanted - heading_rad) - clamp(beside_m * 0.02, -0.15, 0.15);
  controls[C.RIGHT_FOOT] = C.kept(3 * off - 1.2 * s[S.R]);
}

/** Most time that a script may take. */
export const LONGEST_SCRIPT_S = 900;

/**
 * Flies a script to its end, or until the flight ends.
 *
 * @param each - told every step before it is taken; returns false to break off
 * @returns whether the whole script was flown
 */
export function flyLegs(flight: Flight, pilot: Pilot, each: (step: number) => boolean = () => true): boolean {
  for (let step = 0; step < LONGEST_SCRIPT_S * STEPS_PER_S && !flight.ended; step += 1) {
    if (!work(pilot, flight, step)) return true;
    if (!each(step)) return false;
    stepFlight(flight);
  }
  return false;
}
