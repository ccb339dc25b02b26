// Works off what waits to be analysed, in a thread of its own. In the web process by itself; with `REDIS_URL` through a
// queue, by any number of processes on any number of machines.
import { randomUUID } from "node:crypto";
import path from "node:path";
import { MessageChannel } from "node:worker_threads";
import { Queue, Worker } from "bullmq";
import Redis from "ioredis";
import { Piscina } from "piscina";
import { type LogJob, LEASE_S, claimJob, finishJob, holdJob, openJobs } from "./log-jobs";
import { log } from "./log";
import type * as tasks from "./tasks";

const BUNDLE = path.join(process.cwd(), ".next", "threads", "tasks.mjs");
/** Most memory of the thread, and an idle one is kept so long. */
const [HEAP_MB, IDLE_MS] = [1024, 30_000];
/** The lease is renewed so often, how far it is told so often, rows that nobody works on are looked for, ms. */
const [HOLD_MS, TELL_MS, LOOK_MS] = [2000, 300, 15_000];
/** An analysis takes no longer than this, ms. */
const LONGEST_MS = 300_000;
const QUEUE = "utrimax-logs";
/** A worker that is silent for so long has died: its analysis goes to another, ms. */
const [LOCK_MS, STALLED_MS] = [10_000, 4000];

const globals = globalThis as typeof globalThis & {
  utrimaxLogThread?: Piscina;
  utrimaxLogQueue?: Queue<LogJob>;
  utrimaxLogsWorked?: Promise<void>;
};

function thread(): Piscina {
  globals.utrimaxLogThread ??= new Piscina({
    filename: BUNDLE,
    minThreads: 0,
    maxThreads: 1,
    idleTimeout: IDLE_MS,
    resourceLimits: { maxOldGenerationSizeMb: HEAP_MB },
  });
  return globals.utrimaxLogThread;
}

type Done = Awaited<ReturnType<(typeof tasks)["analyseLog"]>>;

/** Analyses a packed log; `onShare` is told how far it is. */
async function analysed(packed: Uint8Array, onShare: (share: number) => void): Promise<Done["value"]> {
  const { port1, port2 } = new MessageChannel();
  port1.on("message", (share: number) => onShare(share));
  try {
    const done = (await thread().run(
      { bytes: packed, port: port2 },
      { name: "analyseLog", signal: AbortSignal.timeout(LONGEST_MS), transferList: [port2] },
    )) as Done;
    return done.value;
  } finally {
    port1.close();
  }
}

/** Works on one analysis, where it is nobody else's. @returns whether its result was stored by this */
export async function workOn(job: LogJob): Promise<boolean> {
  // With the process, so that it can be told who works on what.
  const by = `${process.pid}-${randomUUID()}`;
  const packed = await claimJob(job, by);
  if (!packed) return false;
  let [share, told_ms] = [0, performance.now()];
  const hold = () => {
    told_ms = performance.now();
    void holdJob(job, by, share).catch(() => undefined);
  };
  const holding = setInterval(hold, HOLD_MS);
  try {
    const came = await analysed(packed, (now) => {
      share = now;
      if (performance.now() - told_ms > TELL_MS) hold();
    });
    return await finishJob(job, by, came.ok ? { summary: came.value } : { fault: came.issue.message });
  } catch (error) {
    // A thread that died or took too long: tried again when the lease is over, five times in all.
    log().warn({ err: error, logId: job.logId }, "the analysis of a log broke down");
    return false;
  } finally {
    clearInterval(holding);
  }
}

async function workAll(): Promise<void> {
  for (let jobs = await openJobs(); jobs.length > 0; jobs = await openJobs())
    for (const job of jobs) if (!(await workOn(job))) return;
}

function queue(url: string): Queue<LogJob> {
  // One who tells gives up soon: what was not told is found by looking.
  globals.utrimaxLogQueue ??= new Queue<LogJob>(QUEUE, { connection: new Redis(url, { maxRetriesPerRequest: 1 }) });
  return globals.utrimaxLogQueue;
}

const keyOf = ({ accountId, logId, sent }: LogJob) => `${accountId}_${logId}_${sent}`;

/** Tells whoever works that something waits. What is not heard is found by looking. */
export async function tellJobs(jobs: readonly LogJob[]): Promise<void> {
  const { REDIS_URL } = process.env;
  if (!REDIS_URL) {
    globals.utrimaxLogsWorked ??= workAll()
      .catch((error: unknown) => log().warn({ err: error }, "logs could not be analysed"))
      .finally(() => (globals.utrimaxLogsWorked = undefined));
    return;
  }
  const options = { attempts: 3, removeOnComplete: true, removeOnFail: true } as const;
  await queue(REDIS_URL).addBulk(
    jobs.map((job) => ({ name: "analyse", data: job, opts: { ...options, jobId: keyOf(job) } })),
  );
}

/** Looks every some seconds for what nobody works on: after a restart, a Redis that forgot, a worker that died. */
export function lookForJobs(): void {
  const look = () =>
    openJobs()
      .then((jobs) => (jobs.length > 0 ? tellJobs(jobs) : undefined))
      .catch((error: unknown) => log().warn({ err: error }, "what waits to be analysed could not be looked for"));
  setInterval(() => void look(), LOOK_MS).unref();
  void look();
}

/** Works through the queue until the process ends: two analyses at once never, one after another. */
export function workQueue(url: string): Worker<LogJob> {
  const worker = new Worker<LogJob>(QUEUE, ({ data }) => workOn(data), {
    // One who works waits for ever.
    connection: new Redis(url, { maxRetriesPerRequest: null }),
    concurrency: 1,
    lockDuration: LOCK_MS,
    stalledInterval: STALLED_MS,
    maxStalledCount: 5,
    drainDelay: Math.round(LEASE_S / 4),
  });
  worker.on("error", (error) => log().warn({ err: error }, "the queue of logs"));
  return worker;
}
