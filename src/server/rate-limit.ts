// How often something may be done. Attempts are counted in the database, so that a restart forgives none, or in Redis
// when several web processes share one (`REDIS_URL`); what is computed is counted in the process otherwise.
import {
  type RateLimiterAbstract,
  RateLimiterMemory,
  RateLimiterMySQL,
  RateLimiterRedis,
  type RateLimiterRes,
} from "rate-limiter-flexible";
import { database, databaseUrl } from "./database";
import { redis } from "./redis";

/** What is limited, and to how much in how long. */
const LIMITS = {
  signIn: { points: 30, duration: 60 },
  createAccount: { points: 10, duration: 600 },
  openDemo: { points: 30, duration: 60 },
  changeAccount: { points: 20, duration: 600 },
  /** Codes of shares and of crews. */
  claimCode: { points: 30, duration: 600 },
  /** Milliseconds of a thread. */
  computing: { points: 30_000, duration: 60 },
  /** Failures of the last day; how long they keep one waiting is said below. */
  failures: { points: 1_000_000, duration: 24 * 3600 },
  /** Somebody waits while his key is in here. */
  waiting: { points: 0, duration: 3600 },
} as const;

type Limited = keyof typeof LIMITS;

// One set a process, kept across reloads in development, or every edit would forgive every attempt.
const globals = globalThis as typeof globalThis & {
  utrimaxLimits?: Partial<Record<Limited, RateLimiterAbstract>>;
};

/** Tests do in minutes what people do in months. */
export const factor = () => Number(process.env.UTRIMAX_RATE_FACTOR ?? 1);

function limiter(what: Limited): RateLimiterAbstract {
  globals.utrimaxLimits ??= {};
  globals.utrimaxLimits[what] ??= made(what);
  return globals.utrimaxLimits[what];
}

function made(what: Limited): RateLimiterAbstract {
  const { points, duration } = LIMITS[what];
  const options = { points: points * factor(), duration, keyPrefix: what };
  const shared = redis();
  if (shared) return new RateLimiterRedis({ ...options, storeClient: shared });
  if (what === "computing") return new RateLimiterMemory(options);
  return new RateLimiterMySQL({
    ...options,
    // The package takes the pool with callbacks.
    storeClient: database().pool,
    storeType: "pool",
    dbName: new URL(databaseUrl()).pathname.slice(1),
    tableName: "attempts",
    tableCreated: true,
  });
}

/** Seconds to wait before another attempt; 0 when this one may go ahead (and is counted). */
export async function waitBefore(what: Limited, key: string): Promise<number> {
  try {
    await limiter(what).consume(key);
    return 0;
  } catch (refused) {
    if (refused instanceof Error) throw refused;
    return Math.ceil((refused as RateLimiterRes).msBeforeNext / 1000);
  }
}

/** Seconds until a client may have something computed again; 0 when it may now. */
export async function pauseBeforeComputing(client: string): Promise<number> {
  const computing = limiter("computing");
  const used = await computing.get(client);
  return used && used.consumedPoints >= computing.points ? Math.ceil(used.msBeforeNext / 1000) : 0;
}

/** Counts what was computed for a client. */
export async function spendComputing(client: string, spent_ms: number): Promise<void> {
  await limiter("computing").penalty(client, Math.ceil(spent_ms));
}

/** Failures that cost nothing, and the longest wait, s. */
const [FREE_FAILURES, LONGEST_WAIT_S] = [5, 900];

/** Seconds that somebody who has failed must still wait. */
export async function waitAfterFailures(key: string): Promise<number> {
  const waiting = await limiter("waiting").get(key);
  return waiting && waiting.consumedPoints > 0 ? Math.ceil(waiting.msBeforeNext / 1000) : 0;
}

/** Counts a failure; after some, each doubles the wait. */
export async function noteFailure(key: string): Promise<void> {
  const { consumedPoints } = await limiter("failures").penalty(key, 1);
  const over = consumedPoints - FREE_FAILURES * factor();
  if (over > 0) await limiter("waiting").block(key, Math.min(2 ** over, LONGEST_WAIT_S));
}

/** Forgets the failures of somebody who has succeeded. */
export async function forgetFailures(key: string): Promise<void> {
  await Promise.all([limiter("failures").delete(key), limiter("waiting").delete(key)]);
}

/** Forgets how much was computed, and starts anew with the stores; for tests. */
export function forgetLimits(): void {
  globals.utrimaxLimits = undefined;
}
