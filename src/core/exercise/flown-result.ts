// What came of a flight by hand: how it ended, what was out and for how long, where height went, the hand that flew it.
import { z } from "zod";
import { wrapHalfTurn } from "../quantities/angle";
import { TRACE_HZ } from "../simulation/flight-trace";
import { BY_ITSELF, type Ending } from "../simulation/flight";
import type { Exercise } from "./exercise";
import { type ExerciseScore, exerciseScore } from "./exercise-score";
import { flownTrace } from "./flown-trace";
import { AT, type Row, actedAt, failedFrom, gliding, liveSide, touchOf, turningAt } from "./glide-rows";
import type { HeightSpent } from "./height-account";

/** What is held since it failed. */
export const BANDS = ["speed", "bank", "ball", "stall"] as const;
/** @see BANDS */
export type Band = (typeof BANDS)[number];

/** What is to be held: a speed, a greatest bank. */
export interface ToHold {
  /** Null where none is: from a hover it is down, or away. */
  readonly speed_mps: number | null;
  readonly bank_rad: number;
  /** Over what no longer carries it: the stall of a wing, the least of a rotor. */
  readonly margin: number;
}

/** So much slower, faster, steeper, with the ball so far out, so much over the stall is held. Common practice. */
export const LIMITS = {
  slower_mps: 2.57,
  faster_mps: 5.14,
  steeper_rad: 0.087,
  ball: 0.5,
  halfBall: 0.6,
  overStall: 1.1,
  overRotor: 1,
  slip_rad: 0.16,
} as const;
/** Slower than this nothing is said of a rotorcraft's slip, m/s. */
const HOVERS_MPS = 15;
/** Lower than this it is landed and not judged, m. */
const JUDGED_M = 12;

/** Whether each band was left, row by row: in the air, since it failed. */
export function outOf(
  rows: readonly Row[],
  { speed_mps, bank_rad, margin }: ToHold,
): Readonly<Record<Band, boolean[]>> {
  const from = failedFrom(rows);
  const judged = (row: Row, i: number) => i >= from && row[AT.touch] === 0 && row[AT.height] > JUDGED_M;
  const where = (isOut: (row: Row) => boolean) => rows.map((row, i) => judged(row, i) && isOut(row));
  return {
    speed: where(
      (row) =>
        speed_mps !== null &&
        (row[AT.ias] < speed_mps - LIMITS.slower_mps || row[AT.ias] > speed_mps + LIMITS.faster_mps),
    ),
    bank: where((row) => Math.abs(row[AT.bank]) > bank_rad + LIMITS.steeper_rad),
    // A rotorcraft leans against its tail and flies straight with the ball out: its slip is held, where it has speed.
    ball: where((row) =>
      margin === LIMITS.overRotor ? row[AT.ias] > HOVERS_MPS && Math.abs(row[AT.beta]) > LIMITS.slip_rad : ballOut(row),
    ),
    stall: where((row) => row[AT.overStall] < margin),
  };
}

/** The ball is out: of its middle, or on one engine of what lies between the middle and half of it to the live side. */
function ballOut(row: Row): boolean {
  const live = liveSide(row[AT.thrust0], row[AT.thrust1]);
  const ball = row[AT.ball] * (live === 0 ? 1 : live);
  return ball < -LIMITS.ball || ball > LIMITS.ball + (live === 0 ? 0 : LIMITS.halfBall);
}

/** Seconds that rows say so. */
export const seconds = (said: readonly boolean[]): number => said.filter(Boolean).length / TRACE_HZ;

const time_s = z.number().min(0).max(3600);
const height_m = z.number().min(-20_000).max(20_000);
const speed_mps = z.number().min(-400).max(400);
const angle_rad = z.number().min(0).max(3.2);

/** @see FlownResult */
export const FlownResult = z.strictObject({
  took_s: time_s,
  ended: z.enum(["air", "down", ...BY_ITSELF, "crash", "water"]),
  touch: z.strictObject({ ias_mps: speed_mps, sink_mps: speed_mps }).nullable(),
  /** Out of each band. */
  out_s: z.strictObject({ speed: time_s, bank: time_s, ball: time_s, stall: time_s }),
  /** Of the exercise that it was flown as; null for none. */
  verdict: z.enum(["passed", "failed", "unmeasured"]).nullable(),
  /** Of a glide: height lost, and beyond the least of the same way; null where it was none. */
  glide: z.strictObject({ lost_m: height_m, beyond_m: height_m }).nullable(),
  /** The hand: until it acted, bank in turns, speed beside the one to hold; each with its spread. */
  hand: z
    .strictObject({
      reaction_s: time_s,
      bank: z.strictObject({ mean_rad: angle_rad, spread_rad: angle_rad }).nullable(),
      speed: z.strictObject({ off_mps: speed_mps, spread_mps: speed_mps }),
      /** Heading from where it failed to where it was farthest round; results before it was told lack it. */
      turned_rad: z.number().min(0).max(400).optional(),
    })
    .nullable(),
});
/** What came of a flight by hand. */
export type FlownResult = z.infer<typeof FlownResult>;

/** What a flight is judged with beside its trace. */
interface JudgedWith {
  readonly held: ToHold;
  readonly ended: Ending | null;
  readonly spent: HeightSpent | null;
  readonly score: ExerciseScore | null;
}

/** What came of a flight; of two rows or more. */
export function flownResult(rows: readonly Row[], { held, ended, spent, score }: JudgedWith): FlownResult {
  const touch = touchOf(rows);
  const out = outOf(rows, held);
  return {
    took_s: Math.min(rows[rows.length - 1][AT.time], 3600),
    ended: ended?.kind ?? (touch ? "down" : "air"),
    touch: touch && { ias_mps: touch.ias_mps, sink_mps: touch.sink_mps },
    out_s: {
      speed: seconds(out.speed),
      bank: seconds(out.bank),
      ball: seconds(out.ball),
      stall: seconds(out.stall),
    },
    verdict: score?.verdict ?? null,
    glide: spent?.kind !== "glide" ? null : { lost_m: spent.lost_m, beyond_m: beyondLeast_m(spent) },
    hand: handOf(rows, held.speed_mps),
  };
}

/** Height beyond the least of the same way, the air's part aside. */
export const beyondLeast_m = ({ reaction, beyond_m: { air: _, ...ours } }: HeightSpent): number =>
  reaction.lost_m + Object.values(ours).reduce((sum, m) => sum + m, 0);

/** How far round from the first heading it came, to either side. */
function turnedBy_rad(rows: readonly Row[]): number {
  let [turned, most] = [0, 0];
  for (let i = 1; i < rows.length; i += 1) {
    turned += wrapHalfTurn(rows[i][AT.heading] - rows[i - 1][AT.heading]);
    most = Math.max(most, Math.abs(turned));
  }
  return most;
}

/** After it was acted the speed has so long to settle, rows. */
const SETTLES = 8 * TRACE_HZ;

/**
 * The hand that flew a glide.
 *
 * @returns null where less was flown since the failure than shows one
 */
function handOf(rows: readonly Row[], held_mps: number | null): FlownResult["hand"] {
  if (held_mps === null) return null;
  const flown = gliding(rows, failedFrom(rows));
  if (flown.length < 2) return null;
  const acted = actedAt(flown);
  const settled = flown.slice(acted + SETTLES);
  if (settled.length < 2 * TRACE_HZ) return null;
  const turning = turningAt(flown);
  const banks = flown.filter((_, i) => turning[i]).map((row) => Math.abs(row[AT.bank]));
  const bank = spreadOf(banks);
  const speed = spreadOf(settled.map((row) => row[AT.ias] - held_mps));
  return {
    reaction_s: flown[acted][AT.time] - flown[0][AT.time],
    bank: banks.length < 2 * TRACE_HZ ? null : { mean_rad: bank.mean, spread_rad: bank.spread },
    speed: { off_mps: speed.mean, spread_mps: speed.spread },
    turned_rad: Math.min(turnedBy_rad(flown), 400),
  };
}

/** Mean and standard deviation. */
function spreadOf(values: readonly number[]): { mean: number; spread: number } {
  const mean = values.reduce((sum, value) => sum + value, 0) / Math.max(values.length, 1);
  const squares = values.reduce((sum, value) => sum + (value - mean) ** 2, 0);
  return { mean, spread: Math.sqrt(squares / Math.max(values.length, 1)) };
}

/** The score of an exercise that was flown by hand, with what came of the drill that was done with it. */
export function flownScore(
  exercise: Exercise,
  rows: readonly Row[],
  beside: Parameters<typeof exerciseScore>[2],
): ExerciseScore | null {
  const score = exerciseScore(exercise, flownTrace(rows, failedFrom(rows)), beside);
  return score.ok ? score.value : null;
}
