import { clamp } from "@/core/numeric/clamp";
import { type CoreLink, type Work, coreLink } from "./core-link";

/**
 * Where a question is asked: what moves with the pointer, what may take its time, or what is about the cover of a
 * route, which one worker keeps.
 */
export type Lane = "pointed" | "long" | "cover";

/** More workers than this bring nothing more for work of seconds. */
const MOST = 8;

/**
 * One piece of work takes milliseconds in one lane and at most some seconds in the other; beyond this it has got lost.
 */
const LIMIT_MS = { pointed: 10_000, long: 60_000, cover: 60_000 };

/** After a question of what is pointed at, the next is likely to follow within this time. */
const STILL_MS = 100;

let pointed: CoreLink | undefined;
let pool: CoreLink[] | undefined;
let cover: CoreLink | undefined;
let lastPointed_ms = -Infinity;

/**
 * Workers for long work: one core is left to what is pointed at and to the page, unless there are only two. Started
 * when first asked.
 */
function longLane(): CoreLink[] {
  const cores = navigator.hardwareConcurrency || 2;
  pool ??= Array.from({ length: clamp(cores - 1, Math.min(cores, 2), MOST) }, () => coreLink(LIMIT_MS.long));
  return pool;
}

/** Waits until nothing is pointed at; all but the first also for a cover. Questions of both end within their limits. */
async function untilStill(signal: AbortSignal, worker: number): Promise<void> {
  const left_ms = () =>
    pointed?.waiting() || (worker > 0 && cover?.waiting()) ? STILL_MS : lastPointed_ms + STILL_MS - performance.now();
  while (!signal.aborted && left_ms() > 0) await new Promise((done) => setTimeout(done, left_ms()));
}

/** Asks the core in one of the lanes. */
export function askCore<T>(lane: Lane, work: Work<T>): Promise<T> {
  if (lane === "pointed") {
    lastPointed_ms = performance.now();
    return (pointed ??= coreLink(LIMIT_MS.pointed)).ask(work);
  }
  if (lane === "cover") return (cover ??= coreLink(LIMIT_MS.cover)).ask(work);
  return longLane()
    .reduce((least, link) => (link.waiting() < least.waiting() ? link : least))
    .ask(work);
}

/**
 * Runs pieces of work in the long lane, on every worker of it. Where the lane fills all cores it rests between two
 * pieces while something is pointed at: the page, what draws it and that answer keep two cores busy by themselves. To a
 * cover it leaves one core.
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
  const lane = longLane();
  const full = lane.length >= (navigator.hardwareConcurrency || 2);
  await Promise.all(
    lane.map(async (link, worker) => {
      while (next < pieces.length) {
        if (full) await untilStill(signal, worker);
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
