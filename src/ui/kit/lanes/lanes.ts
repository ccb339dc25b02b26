import { clamp } from "@/core/numeric/clamp";
import { type CoreLink, type Work, coreLink } from "./core-link";

/**
 * Where a question is asked: what moves with the pointer; the same of a stage that is not open, which leaves two cores
 * to a cover that is asked for; what may take its time; what is about the cover of a route, which one worker keeps; or
 * what is asked about the cover besides: once it is drawn.
 */
export type Lane = "pointed" | "aside" | "long" | "cover" | "besides";

/** More workers than this bring nothing more for work of seconds. */
const MOST = 8;

/**
 * One piece of work takes milliseconds in one lane and at most some seconds in the other; beyond this it has got lost.
 */
const LIMIT_MS = { pointed: 10_000, long: 60_000, cover: 60_000 };

/** After a question of what is pointed at, the next is likely to follow within this time. */
const STILL_MS = 100;
/** After a cover has come its drawing is asked for within this time. */
const DRAWN_MS = 50;

let pointed: CoreLink | undefined;
let pool: CoreLink[] | undefined;
let cover: CoreLink | undefined;
let lastPointed_ms = -Infinity;
let lastCover_ms = -Infinity;
let lastBesides: Promise<unknown> = Promise.resolve();

/**
 * Workers for long work: one core is left to what is pointed at and to the page, unless there are only two. Started
 * when first asked.
 */
function longLane(): CoreLink[] {
  const cores = navigator.hardwareConcurrency || 2;
  pool ??= Array.from({ length: clamp(cores - 1, Math.min(cores, 2), MOST) }, () => coreLink(LIMIT_MS.long));
  return pool;
}

/** Waits while there is something to wait for: so many milliseconds, asked again after them. */
async function rest(left_ms: () => number, signal?: AbortSignal): Promise<void> {
  for (let left = left_ms(); left > 0 && !signal?.aborted; left = left_ms())
    await new Promise((done) => setTimeout(done, left));
}

const untilPointed_ms = () => (pointed?.waiting() ? STILL_MS : lastPointed_ms + STILL_MS - performance.now());
const untilCovered_ms = () => (cover?.waiting() ? DRAWN_MS : lastCover_ms + DRAWN_MS - performance.now());

/** Whether the long lane has all cores, so that what runs in it holds up the page. */
const full = () => longLane().length >= (navigator.hardwareConcurrency || 2);

/** Waits, where the long lane has all cores, until no cover is asked for: its limit is that of a cover's question. */
export async function untilCovered(signal?: AbortSignal): Promise<void> {
  if (full()) await rest(untilCovered_ms, signal);
}

/** Asks the core in one of the lanes. */
export async function askCore<T>(lane: Lane, work: Work<T>): Promise<T> {
  if (lane === "pointed") {
    lastPointed_ms = performance.now();
    return (pointed ??= coreLink(LIMIT_MS.pointed)).ask(work);
  }
  if (lane === "aside") {
    // What is asked together with it may be a cover.
    await null;
    return untilCovered().then(() => askCore("pointed", work));
  }
  if (lane === "cover")
    return (cover ??= coreLink(LIMIT_MS.cover)).ask(work).finally(() => (lastCover_ms = performance.now()));
  if (lane === "besides") {
    const answer = lastBesides.then(() => rest(untilCovered_ms)).then(() => askCore("cover", work));
    lastBesides = answer.catch(() => {});
    return answer;
  }
  return longLane()
    .reduce((least, link) => (link.waiting() < least.waiting() ? link : least))
    .ask(work);
}

/**
 * Runs pieces of work in the long lane, on every worker of it. Where the lane fills all cores it rests between two
 * pieces while something is pointed at or a cover is asked for: the page, what draws it and that answer keep two cores
 * busy by themselves.
 *
 * @param done - told how many are finished, after each
 * @returns results in the order of the pieces; rejects with the signal's reason once it is aborted: what runs is let
 *   finish, the rest never starts
 */
export async function askAll<T>(
  pieces: readonly Work<T>[],
  signal: AbortSignal,
  done: (finished: number) => void = () => {},
): Promise<T[]> {
  const results = new Array<T>(pieces.length);
  let [next, finished] = [0, 0];
  const rests = full();
  await Promise.all(
    longLane().map(async (link) => {
      while (next < pieces.length) {
        if (rests) await rest(() => Math.max(untilPointed_ms(), untilCovered_ms()), signal);
        signal.throwIfAborted();
        if (next >= pieces.length) return;
        const i = next;
        next += 1;
        results[i] = await link.ask(pieces[i]);
        finished += 1;
        signal.throwIfAborted();
        done(finished);
      }
    }),
  );
  return results;
}
