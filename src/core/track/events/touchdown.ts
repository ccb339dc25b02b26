// The moment of touching down: the speed over the ground breaks from a slow fall into the brakes' faster one, the
// height has its flare before and is level after, and a bump of the accelerometer decides where there is one.
import type { FlownOverGround } from "../flown-over-ground";
import { indexAt } from "../clean/index-at";
import { smoothAxis } from "../smooth/smooth-axis";
import type { GroundEvent } from "./ground-event";

/** Looked at: before and after the first fix near the ground, s; step of the search, s. */
const [BEFORE_S, AFTER_S, STEP_S] = [9, 9, 0.1];
/** Fitted about each moment, s. */
const ABOUT_S = 5;
/** Noise of speed over the ground, m/s, and of height, m, in the fit. */
const [SPEED_MPS, HEIGHT_M] = [0.6, 0.7];
/** Flare h = s·τ·(e^(−u/τ) − 1), u before the touch: sinks and times that are tried. */
const SINKS_MPS = [0.5, 0.9, 1.4];
const TIMES_S = [1.2, 2, 3.2];
/** A touch is felt from so many g on, this near to the ground. */
const [BUMP_G, BUMP_M] = [1.25, 2.5];
const NEAR_M = 2;
/** Smoothing about a break. */
const BREAKING = { jerk: 10, position: 1.5 };

/** Least squares of two lines that meet at nought. @returns sum of squares */
function twoLines(u: readonly number[], v: readonly number[]): number {
  // v = a + b·min(u,0) + c·max(u,0)
  const rows = u.map((at, i) => ({ x: Math.min(at, 0), y: Math.max(at, 0), v: v[i] }));
  const sum = (of: (row: (typeof rows)[number]) => number) => rows.reduce((total, row) => total + of(row), 0);
  const [x, y, v0] = [sum((row) => row.x), sum((row) => row.y), sum((row) => row.v)];
  const [xx, yy] = [sum((row) => row.x ** 2), sum((row) => row.y ** 2)];
  const [xv, yv] = [sum((row) => row.x * row.v), sum((row) => row.y * row.v)];
  // The two slopes never meet in one row, so that they are got rid of one after the other.
  const [before, after] = [xx > 1e-9 ? x / xx : 0, yy > 1e-9 ? y / yy : 0];
  const level = rows.length - before * x - after * y;
  const a = level > 1e-9 ? (v0 - before * xv - after * yv) / level : 0;
  const b = xx > 1e-9 ? (xv - x * a) / xx : 0;
  const c = yy > 1e-9 ? (yv - y * a) / yy : 0;
  return sum((row) => (row.v - a - b * row.x - c * row.y) ** 2);
}

/** Flare and level of the height. @returns the least sum of squares of the shapes that are tried */
function flare(u: readonly number[], height: readonly number[]): number {
  let least = Infinity;
  for (const sink of SINKS_MPS)
    for (const tau of TIMES_S) {
      const sum = u.reduce((total, x, i) => {
        const model = x < 0 ? sink * tau * (Math.exp(-x / tau) - 1) : 0;
        return total + Math.min((height[i] - model) ** 2, 25);
      }, 0);
      least = Math.min(least, sum);
    }
  return least;
}

/**
 * Finds the moment.
 *
 * @param stands - the first fix that surely stands or rolls slowly
 * @returns null where the flight never comes near the ground
 */
export function touchdown(flown: FlownOverGround, from: number, stands: number, ground_m: number): GroundEvent | null {
  const { time_s, altitude_m, has, log } = flown;
  let near = stands;
  while (near > from && altitude_m[near] < ground_m + NEAR_M) near -= 1;
  if (near === stands && altitude_m[stands] > ground_m + 3 * NEAR_M) return null;
  const felt = log.columns.loadFactor;
  if (has.accelerometer && felt) {
    const bump = bumpAfter(time_s, felt, altitude_m, ground_m, near, stands);
    if (bump !== null) return { time_s: bump, sigma_s: 0.1 + log.interval_s / 4, ground_m };
  }
  const begin = indexAt(time_s, time_s[near] - 2 * BEFORE_S);
  const end = indexAt(time_s, time_s[stands] + 2 * AFTER_S);
  const speed = breakingSpeed(flown, begin, end);
  let [best, least] = [time_s[near], Infinity];
  for (let t = time_s[near] - 2; t <= Math.min(time_s[near] + BEFORE_S, time_s[stands] + 1); t += STEP_S) {
    const [u, v, h]: [number[], number[], number[]] = [[], [], []];
    for (let i = begin; i < end; i += 1) {
      if (Math.abs(time_s[i] - t) > ABOUT_S) continue;
      u.push(time_s[i] - t);
      v.push(speed[i - begin]);
      h.push(altitude_m[i] - ground_m);
    }
    if (u.length < 6) continue;
    const cost = (twoLines(u, v) / SPEED_MPS ** 2 + flare(u, h) / HEIGHT_M ** 2) / u.length;
    if (cost < least) [best, least] = [t, cost];
  }
  return { time_s: best, sigma_s: has.pressure ? 0.9 : 2, ground_m };
}

/**
 * Speed over the ground about a break: smoothed less than elsewhere, for how it bends is looked for. A receiver's own
 * as it is.
 */
function breakingSpeed(flown: FlownOverGround, from: number, to: number): Float64Array {
  const { time_s, east_m, north_m, eastOff_m, northOff_m, has, log } = flown;
  if (has.doppler && log.columns.groundSpeed_mps) return log.columns.groundSpeed_mps.slice(from, to);
  const time = time_s.slice(from, to);
  const axis = (smooth: Float64Array, off: Float64Array) =>
    smoothAxis(
      time,
      smooth.slice(from, to).map((value, i) => value - off[from + i]),
      BREAKING,
    );
  const [x, y] = [axis(east_m, eastOff_m), axis(north_m, northOff_m)];
  if (!x || !y) throw new Error("breakingSpeed: expected positions after cleaning");
  return x.speed.map((v, i) => Math.hypot(v, y.speed[i]));
}

function bumpAfter(
  time_s: Float64Array,
  felt: Float64Array,
  altitude_m: Float64Array,
  ground_m: number,
  near: number,
  stands: number,
): number | null {
  let [at_s, most] = [null as number | null, BUMP_G];
  for (let i = Math.max(near - 1, 0); i <= stands; i += 1)
    if (felt[i] > most && Math.abs(altitude_m[i] - ground_m) < BUMP_M) [at_s, most] = [time_s[i], felt[i]];
  return at_s;
}
