// The seconds after the engine stops in which the pilot has not begun to act.

import { type AirColumn, airSample, readAir } from "../flight/air-column";
import { type Body, type Control, type Loads, type Motion, advance, loadsOf } from "../flight/point-mass";

/** What the hands do meanwhile: hold the nose where it was, or nothing, the aeroplane keeping its trimmed lift. */
export type ReactionKind = "attitude" | "hands-off";

/** Time step, s. */
const STEP_S = 0.1;

const HERE = airSample();
const LOADS: Loads = { cl: 0, n: 0, drag: 0, limited: false };

/** How the reaction ended. */
export interface ReactionEnd {
  /** Seconds after the failure at which the wing stalled; null when it did not. */
  readonly stalledAfter_s: number | null;
  /** Least airspeed over the stall speed of the moment. */
  readonly leastStallMargin: number;
}

/**
 * Flies the reaction, wings level.
 *
 * Attitude held: CL = CLα(θ0 − γ) as the path bends down and the speed falls away, up to CLmax, where the wing stalls.
 * Hands off: CL as in the climb.
 *
 * @param motion - at the failure; written in place
 * @param body - engine stopped
 */
export function react(
  motion: Motion,
  body: Body,
  air: AirColumn,
  kind: ReactionKind,
  reaction_s: number,
  record?: (motion: Motion, loads: Loads, time_s: number) => void,
): ReactionEnd {
  const level: Control = { hold: "load", value: Math.cos(motion.gamma_rad), clLimit: body.clMax, bank_rad: 0 };
  loadsOf(body, motion, level, readAir(air, motion.height_m, HERE).density, LOADS);
  const cl0 = LOADS.cl;
  const control: Control = {
    hold: kind === "attitude" ? "attitude" : "lift",
    value: kind === "attitude" ? motion.gamma_rad + cl0 / body.clAlpha : cl0,
    clLimit: body.clMax,
    bank_rad: 0,
  };
  let stalledAfter_s: number | null = null;
  let highest = cl0;
  let time_s = 0;
  while (time_s < reaction_s - 1e-9) {
    const step = Math.min(STEP_S, reaction_s - time_s);
    advance(motion, body, air, control, step);
    time_s += step;
    loadsOf(body, motion, control, readAir(air, motion.height_m, HERE).density, LOADS);
    highest = Math.max(highest, LOADS.cl);
    if (LOADS.limited && stalledAfter_s === null) stalledAfter_s = time_s;
    record?.(motion, LOADS, time_s);
  }
  return { stalledAfter_s, leastStallMargin: Math.sqrt(body.clMax / highest) };
}
