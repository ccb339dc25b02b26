// The store that several web processes share: `REDIS_URL`.
import Redis from "ioredis";

// One connection a process, kept across reloads in development.
const globals = globalThis as typeof globalThis & { utrimaxRedis?: Redis };

/** The shared store; null when there is one process alone. */
export function redis(): Redis | null {
  const { REDIS_URL } = process.env;
  if (!REDIS_URL) return null;
  globals.utrimaxRedis ??= new Redis(REDIS_URL, { maxRetriesPerRequest: 2 });
  return globals.utrimaxRedis;
}
