import type { Remote } from "comlink";
import { startCore } from "@/workers/core-client";
import type { CoreWorker } from "@/workers/core.worker";

/** More workers than this bring nothing more for work of seconds. */
const MOST = 8;

let workers: Remote<CoreWorker>[] | undefined;

/** Workers for long work, one for every core; started when first asked. The page's own worker stays free for what is pointed at. */
function pool(): Remote<CoreWorker>[] {
  workers ??= Array.from({ length: Math.min(Math.max(navigator.hardwareConcurrency || 2, 1), MOST) }, () =>
    startCore(),
  );
  return workers;
}

/** A piece of long work on some worker. */
export type Task<T> = (worker: Remote<CoreWorker>) => Promise<T>;

/**
 * Runs pieces of work on every core.
 *
 * @param done - told how many are finished, after each
 * @returns results in the order of the tasks; rejects with the signal's reason once it is aborted: what runs is let finish, the rest never starts
 */
export async function onEveryCore<T>(
  tasks: readonly Task<T>[],
  signal: AbortSignal,
  done: (finished: number) => void = () => {},
): Promise<T[]> {
  const results = new Array<T>(tasks.length);
  let [next, finished] = [0, 0];
  await Promise.all(
    pool().map(async (worker) => {
      while (next < tasks.length) {
        signal.throwIfAborted();
        const i = next;
        next += 1;
        results[i] = await tasks[i](worker);
        finished += 1;
        signal.throwIfAborted();
        done(finished);
      }
    }),
  );
  return results;
}
