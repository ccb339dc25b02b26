// Threads for what holds a processor: calculations asked by program, terrain and archives that come in. What a thread
// does is in tasks.ts; here are its limits. Nothing that a request asks for runs on the server's own thread for longer
// than a few milliseconds.
import os from "node:os";
import path from "node:path";
import { Piscina } from "piscina";
import { factor, pauseBeforeComputing, spendComputing } from "./rate-limit";
import { Refusal, refuse } from "./route";
import type * as tasks from "./tasks";

/** The bundle that `scripts/lib/build.mjs` makes of tasks.ts. */
const BUNDLE = path.join(process.cwd(), ".next", "threads", "tasks.mjs");

/** Short questions, long ones, and what an account brings: none waits for the others. */
const POOLS = {
  instant: { threads: 1, queue: 50, heap_MB: 256 },
  long: { threads: Math.max(1, os.availableParallelism() - 1), queue: 24, heap_MB: 256 },
  files: { threads: 1, queue: 4, heap_MB: 512 },
} as const;

/** Most tasks that one client may have waiting or running. */
const MOST_A_CLIENT = 2;

/** An idle thread is kept this long. */
const IDLE_MS = 60_000;

type PoolName = keyof typeof POOLS;

// Kept across reloads in development.
const globals = globalThis as typeof globalThis & {
  utrimaxThreads?: Partial<Record<PoolName, Piscina>>;
  utrimaxClients?: Map<string, number>;
};

function pool(name: PoolName): Piscina {
  globals.utrimaxThreads ??= {};
  const { threads, heap_MB } = POOLS[name];
  globals.utrimaxThreads[name] ??= new Piscina({
    filename: BUNDLE,
    minThreads: 1,
    maxThreads: threads,
    idleTimeout: IDLE_MS,
    resourceLimits: { maxOldGenerationSizeMb: heap_MB },
  });
  return globals.utrimaxThreads[name];
}

/** Ends all threads; the next task starts new ones. */
export async function endThreads(): Promise<void> {
  const pools = Object.values(globals.utrimaxThreads ?? {});
  globals.utrimaxThreads = {};
  await Promise.all(pools.map((entry) => entry.destroy()));
}

/** Who asks, for how long at most. */
export interface Asking {
  /** Account or address: what it uses is counted. */
  readonly client: string;
  /** From the request: when the client goes, the thread is ended. */
  readonly signal: AbortSignal;
  readonly limit_ms: number;
}

/**
 * Runs a task in a thread.
 *
 * @param payload - cloned into the thread
 * @throws {Refusal} 429 when the client has used its share, 503 when too much waits or the limit is over, 413 when the
 *   memory of a thread is not enough
 */
export async function inThread<N extends keyof typeof tasks>(
  poolName: PoolName,
  name: N,
  payload: Parameters<(typeof tasks)[N]>[0],
  { client, signal, limit_ms }: Asking,
): Promise<Awaited<ReturnType<(typeof tasks)[N]>>["value"]> {
  const clients = (globals.utrimaxClients ??= new Map());
  const wait_s = await pauseBeforeComputing(client);
  if (wait_s > 0)
    throw new Refusal(refuse(429, "too_much", `This takes the server seconds: ask again in ${wait_s} s.`, "", wait_s));
  const under = clients.get(client) ?? 0;
  if (under >= MOST_A_CLIENT * factor())
    throw new Refusal(refuse(429, "too_many", `Wait for the answers of the ${MOST_A_CLIENT} questions before.`, "", 1));
  const threads = pool(poolName);
  if (threads.queueSize >= POOLS[poolName].queue)
    throw new Refusal(refuse(503, "busy", "The server is busy: ask again in a few seconds.", "", 5));
  clients.set(client, under + 1);
  const overdue = AbortSignal.timeout(limit_ms);
  const began = performance.now();
  let spent_ms: number | null = null;
  try {
    const done = await threads.run(payload, { name, signal: AbortSignal.any([signal, overdue]) });
    spent_ms = done.spent_ms;
    return done.value;
  } catch (error) {
    throw refusalOf(error, overdue.aborted) ?? error;
  } finally {
    const left = (clients.get(client) ?? 1) - 1;
    if (left > 0) clients.set(client, left);
    else clients.delete(client);
    // Waiting in the queue is not counted, where the thread could still tell.
    await spendComputing(client, spent_ms ?? performance.now() - began);
  }
}

function refusalOf(error: unknown, overdue: boolean): Refusal | null {
  const { name, code } = error as { name?: string; code?: string };
  if (overdue)
    return new Refusal(
      refuse(
        503,
        "took_too_long",
        "This takes longer than the server gives it: ask for less, or ask again later.",
        "",
        30,
      ),
    );
  // The client has gone; nobody reads this.
  if (name === "AbortError") return new Refusal(refuse(499, "gone", "The request was given up."));
  if (code === "ERR_WORKER_OUT_OF_MEMORY")
    return new Refusal(
      refuse(413, "too_large", "This needs more memory than the server gives it. Nothing was stored."),
    );
  return null;
}
