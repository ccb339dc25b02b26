// When a flight leaves the ground and when it comes back: stretches in the air between stretches on the ground.
import type { FlownOverGround } from "../flown-over-ground";
import type { GroundEvent } from "./ground-event";
import { liftOff } from "./lift-off";
import { touchdown } from "./touchdown";

/** A stretch in the air. */
export interface InTheAir {
  /** Indices: first and last in the air. */
  readonly from: number;
  readonly to: number;
  /** Null where the log begins or ends in the air. */
  readonly takeOff: GroundEvent | null;
  readonly landing: GroundEvent | null;
}

/** On the ground: slower than this over it, level, for so long. */
const [SLOW_MPS, LEVEL_MPS, STANDS_S] = [12, 0.8, 3];
/** As slow as this once, unless the log begins or ends there. */
const TAXI_MPS = 4;
/** In the air: so high over the ground on either side, or so fast. */
const [ALOFT_M, FLIES_MPS] = [15, 18];
/** Touched and gone again: so near the height of a ground that is known, so level, for so long. */
const [TOUCH_M, TOUCH_S] = [3.5, 2];

/** What hovers stands where its height stays within this, m. */
const SETTLED_M = 1.2;

interface Stand {
  readonly from: number;
  readonly to: number;
  readonly ground_m: number;
}

function medianOf(values: Float64Array, from: number, to: number): number {
  return values.slice(from, to + 1).sort()[(to - from) >> 1];
}

/** Stretches on the ground. */
function stands({ time_s, groundSpeed_mps, climb_mps, altitude_m }: FlownOverGround, hovers: boolean): Stand[] {
  const found: Stand[] = [];
  let from = -1;
  // Against a strong wind what flies is as slow over the ground: it never stands.
  const stood = (begin: number, end: number) => {
    if (begin === 0 || end === time_s.length - 1) return true;
    for (let i = begin; i <= end; i += 1) if (groundSpeed_mps[i] < TAXI_MPS) return true;
    return false;
  };
  const close = (to: number) => {
    if (from >= 0 && time_s[to] - time_s[from] >= STANDS_S && stood(from, to))
      found.push({ from, to, ground_m: medianOf(altitude_m, from, to) });
    from = -1;
  };
  for (let i = 0; i < time_s.length; i += 1) {
    const still = groundSpeed_mps[i] < SLOW_MPS && Math.abs(climb_mps[i]) < LEVEL_MPS;
    // Slowly down out of a hover is not the stand that it ends in.
    if (!still || (hovers && from >= 0 && Math.abs(altitude_m[i] - altitude_m[from]) > SETTLED_M)) close(i - 1);
    if (still && from < 0) from = i;
  }
  close(time_s.length - 1);
  return found;
}

/**
 * Where a stretch of fast running or flying touches the ground and goes on.
 *
 * @param grounds - heights of the ground before it and after it
 */
function touches(flown: FlownOverGround, from: number, to: number, grounds: readonly number[]): number[] {
  const { time_s, altitude_m, climb_mps } = flown;
  const found: number[] = [];
  let [low, was] = [-1, false];
  for (let i = from; i <= to; i += 1) {
    const near =
      grounds.some((ground) => Math.abs(altitude_m[i] - ground) < TOUCH_M) && Math.abs(climb_mps[i]) < LEVEL_MPS;
    const high = grounds.every((ground) => altitude_m[i] > ground + ALOFT_M);
    if (high) {
      if (low >= 0 && was && time_s[i - 1] - time_s[low] >= TOUCH_S) found.push(low);
      [low, was] = [-1, true];
    } else if (near && was && low < 0) low = i;
  }
  return found;
}

/** A hover is so much higher than a stand so near it, m. */
const [HOVERS_M, NEAR_M] = [2.5, 150];

/** Stands without those over the ground of another: of what hovers. */
function withoutHovers(all: readonly Stand[], { east_m, north_m }: FlownOverGround): Stand[] {
  const apart = (a: Stand, b: Stand) => Math.hypot(east_m[a.to] - east_m[b.from], north_m[a.to] - north_m[b.from]);
  return all.filter(
    (stand) => !all.some((other) => other.ground_m < stand.ground_m - HOVERS_M && apart(stand, other) < NEAR_M),
  );
}

/**
 * Finds the stretches in the air.
 *
 * @param hovers - a helicopter: what stands still above the ground flies, and need not be fast
 */
export function inTheAir(flown: FlownOverGround, hovers = false): InTheAir[] {
  const { time_s, groundSpeed_mps, altitude_m, has } = flown;
  if (!has.height) return [];
  const onGround = hovers ? withoutHovers(stands(flown, true), flown) : stands(flown, false);
  const aloft_m = hovers ? HOVERS_M : ALOFT_M;
  const found: InTheAir[] = [];
  const bounds = [{ to: -1, ground_m: NaN }, ...onGround];
  bounds.forEach(({ to: before, ground_m: groundBefore }, k) => {
    const next = onGround[k];
    const [from, to] = [before + 1, next ? next.from - 1 : time_s.length - 1];
    if (to - from < 3) return;
    const grounds = [groundBefore, next?.ground_m ?? NaN].filter(Number.isFinite);
    const ground = Math.max(...grounds, -Infinity);
    let [fast, high] = [false, ground === -Infinity];
    for (let i = from; i <= to; i += 1) {
      if (groundSpeed_mps[i] > FLIES_MPS) fast = true;
      if (altitude_m[i] > ground + aloft_m) high = true;
    }
    // What only runs along the ground, or drops by itself, has not flown; straight up and down flies too.
    if (!high || !(fast || hovers || before < 0)) return;
    const cuts = touches(flown, from, to, grounds);
    let begin = from;
    for (const cut of [...cuts, null]) {
      const last = cut === null;
      const takeOff =
        begin === from && before < 0
          ? null
          : liftOff(flown, begin, last ? to : cut, last && begin === from ? groundBefore : altitude_m[begin]);
      const landing = last
        ? next && touchdown(flown, begin, next.from, next.ground_m)
        : touchdown(flown, begin, Math.min(cut + 5, to), altitude_m[cut]);
      found.push({ from: begin, to: last ? to : cut, takeOff, landing: landing ?? null });
      if (!last) begin = cut;
    }
  });
  return found;
}
