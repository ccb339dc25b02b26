// How an exercise was flown: each tolerance held or not and by how much, what failed it at once, the drill's part.
import { type Outcome, failure, success } from "../outcome";
import type { RunResult } from "../procedure/run-document";
import type { Event, Exercise, FlightTestProfile, Tolerance } from "./exercise";
import type { Channel, Trace } from "./trace";

/** A stretch of time outside a tolerance. */
export interface Bust {
  readonly from_s: number;
  readonly to_s: number;
  /** The furthest outside, in the channel's unit: above the upper limit positive, below the lower negative. */
  readonly worst: number;
}

/** A tolerance as it was held. */
export interface HeldTolerance {
  readonly tolerance: Tolerance;
  /** Null where it was not measured. */
  readonly held: boolean | null;
  /** What was to be held; null where it was not measured at the beginning. */
  readonly target: number | null;
  /** Least and greatest away from it. */
  readonly least: number | null;
  readonly greatest: number | null;
  /** Share of the time within, 0 to 1. */
  readonly within: number | null;
  readonly busts: readonly Bust[];
}

/** How an exercise was flown. */
export interface ExerciseScore {
  /** `unmeasured` where nothing failed but something was not measured: it may not be called passed. */
  readonly verdict: "passed" | "failed" | "unmeasured";
  readonly from_s: number;
  readonly to_s: number;
  readonly tolerances: readonly HeldTolerance[];
  /** What failed it at once, and when. */
  readonly failed: readonly { readonly event: Event; readonly at_s: number }[];
  /** Gone below the hard deck, and when; null where not, or where height was not measured. */
  readonly deck_s: number | null;
  /** Null where there is no drill, or none was run. */
  readonly drill: { readonly wrong: boolean; readonly slow: boolean } | null;
}

const TURN = 2 * Math.PI;
/** At the limit is within it, whatever the conversion of units has left behind the comma. */
const ROUNDING = 1e-6;

/** The difference of two headings the short way round; of others the plain one. */
function away(channel: Channel, value: number, target: number): number {
  if (channel !== "heading") return value - target;
  const turned = (((value - target) % TURN) + TURN) % TURN;
  return turned > Math.PI ? turned - TURN : turned;
}

const isSo = ({ channel, is, value }: Event, { channels }: Trace, i: number): boolean => {
  const told = channels[channel]?.at(i) ?? null;
  // Too steep is too steep to either side.
  const now = told !== null && channel === "bank" ? Math.abs(told) : told;
  return now !== null && (is === "above" ? now > value : now < value);
};

/** The part of a trace that an exercise is about. */
function partOf({ begins, ends }: Exercise, trace: Trace): { first: number; last: number } | null {
  const all = trace.time_s.map((_, i) => i);
  const first = begins ? all.find((i) => isSo(begins, trace, i)) : 0;
  if (first === undefined) return null;
  const end = ends ? all.find((i) => i > first && isSo(ends, trace, i)) : undefined;
  return { first, last: end ?? trace.time_s.length - 1 };
}

/** What an exercise is scored with beside its trace. */
interface ScoredWith {
  /** What came of the drill that was run with it; null for none. */
  readonly drill: RunResult | null;
  /** The book's speed for the failure, m/s: best glide, V_YSE; null where it has none. */
  readonly book_mps: number | null;
}

/**
 * The score.
 *
 * @returns `never_begun` where what begins it never came
 */
export function exerciseScore(
  exercise: Exercise,
  trace: Trace,
  { drill, book_mps }: ScoredWith,
): Outcome<ExerciseScore> {
  const part = partOf(exercise, trace);
  if (!part) {
    const { channel, is, value } = exercise.begins ?? { channel: "height", is: "below", value: 0 };
    return failure("never_begun", `It never began: ${channel} was never ${is} ${value}.`, "begins");
  }
  const indices = Array.from({ length: part.last - part.first + 1 }, (_, i) => part.first + i);
  const tolerances = exercise.tolerances.map((tolerance) => heldOf(tolerance, trace, indices, book_mps));
  const failed = exercise.fails.flatMap((event) => {
    const at = indices.find((i) => isSo(event, trace, i));
    return at === undefined ? [] : [{ event, at_s: trace.time_s[at] }];
  });
  const { hardDeck_m } = exercise.setUp;
  const below = hardDeck_m === null ? undefined : ({ channel: "height", is: "below", value: hardDeck_m } as const);
  const deck = below && indices.find((i) => isSo(below, trace, i));
  const allowed = exercise.drill;
  const flown = exercise.procedure !== null && drill !== null ? drill : null;
  const ofDrill = flown && {
    wrong: flown.wrong > allowed.wrong || flown.ground || !flown.over,
    slow: allowed.seconds !== null && flown.took_s > allowed.seconds,
  };
  const bad =
    failed.length > 0 ||
    deck !== undefined ||
    tolerances.some(({ held }) => held === false) ||
    (ofDrill !== null && (ofDrill.wrong || ofDrill.slow));
  const unknown =
    tolerances.some(({ held }) => held === null) ||
    [...exercise.fails.map(({ channel }) => channel), ...(below ? [below.channel] : [])].some(
      (channel) => !indices.some((i) => (trace.channels[channel]?.at(i) ?? null) !== null),
    ) ||
    (exercise.procedure !== null && flown === null);
  return success({
    verdict: bad ? "failed" : unknown ? "unmeasured" : "passed",
    from_s: trace.time_s[part.first],
    to_s: trace.time_s[part.last],
    tolerances,
    failed,
    deck_s: deck === undefined ? null : trace.time_s[deck],
    drill: ofDrill,
  });
}

/** How a tolerance was held over a part of a trace. */
function heldOf(
  tolerance: Tolerance,
  { time_s, channels }: Trace,
  indices: readonly number[],
  book_mps: number | null,
): HeldTolerance {
  const { channel, below, above, forgiven_s } = tolerance;
  const values = channels[channel];
  const measured = indices.flatMap((i) => {
    const value = values?.at(i) ?? null;
    return value === null ? [] : [{ at_s: time_s[i], value }];
  });
  const wanted = tolerance.target;
  const target = wanted === "entry" ? (measured.at(0)?.value ?? null) : wanted === "book" ? book_mps : wanted;
  if (measured.length === 0 || target === null)
    return { tolerance, held: null, target, least: null, greatest: null, within: null, busts: [] };
  const off = measured.map(({ at_s, value }) => ({ at_s, by: away(channel, value, target) }));
  const outside = (by: number) => (by > above + ROUNDING ? by - above : by < -below - ROUNDING ? by + below : 0);
  const busts: Bust[] = [];
  let out_s = 0;
  off.forEach(({ at_s, by }, i) => {
    const beyond = outside(by);
    const until_s = off.at(i + 1)?.at_s ?? at_s;
    if (beyond === 0) return;
    out_s += until_s - at_s;
    const open = busts.at(-1);
    const goesOn = i > 0 && outside(off[i - 1].by) !== 0 && Math.sign(outside(off[i - 1].by)) === Math.sign(beyond);
    if (open && goesOn)
      busts[busts.length - 1] = {
        ...open,
        to_s: until_s,
        worst: Math.abs(beyond) > Math.abs(open.worst) ? beyond : open.worst,
      };
    else busts.push({ from_s: at_s, to_s: until_s, worst: beyond });
  });
  const long = busts.filter(({ from_s, to_s }) => forgiven_s === 0 || to_s - from_s > forgiven_s);
  const whole_s = off[off.length - 1].at_s - off[0].at_s;
  return {
    tolerance,
    held: long.length === 0,
    target,
    least: off.reduce((least, { by }) => Math.min(least, by), Infinity),
    greatest: off.reduce((greatest, { by }) => Math.max(greatest, by), -Infinity),
    within: whole_s > 0 ? 1 - out_s / whole_s : busts.length === 0 ? 1 : 0,
    busts: long,
  };
}

/** How a flight test went. */
export interface FlightTestResult {
  readonly verdict: "passed" | "failed" | "going on";
  /** By exercise, in their order: the last score of each; null for one that was not flown. */
  readonly exercises: readonly { readonly id: string; readonly verdict: ExerciseScore["verdict"] | null }[];
  /** Repeats that are left. */
  readonly repeatsLeft: number;
}

/**
 * What a flight test comes to.
 *
 * @param flown - exercises as they were flown, one after the other; one that is flown again counts anew and takes a
 *   repeat
 */
export function flightTestResult(
  { exercises, repeats, stopsAtFailure }: FlightTestProfile,
  flown: readonly { readonly id: string; readonly verdict: ExerciseScore["verdict"] }[],
): FlightTestResult {
  const last = new Map<string, ExerciseScore["verdict"]>();
  let again = 0;
  for (const { id, verdict } of flown) {
    if (last.has(id)) again += 1;
    last.set(id, verdict);
  }
  const repeatsLeft = Math.max(repeats - again, 0);
  const listed = exercises.map((id) => ({ id, verdict: last.get(id) ?? null }));
  const failed = listed.filter(({ verdict }) => verdict === "failed").length;
  const open = listed.some(({ verdict }) => verdict === null || verdict === "unmeasured");
  const lost = again > repeats || failed > repeatsLeft;
  if (failed === 0 && !open) return { verdict: again > repeats ? "failed" : "passed", exercises: listed, repeatsLeft };
  if (lost && (stopsAtFailure || !open)) return { verdict: "failed", exercises: listed, repeatsLeft };
  return { verdict: "going on", exercises: listed, repeatsLeft };
}
