// The connection pool and transactions. SQL lives in one file a table; parameters are always bound.
import mysql, { type Pool, type PoolConnection } from "mysql2/promise";

/** Anything that can run a statement: the pool or a connection in a transaction. */
export type Queryable = Pick<PoolConnection, "execute">;

// One pool a process, kept across reloads in development, where modules are evaluated again.
const globals = globalThis as typeof globalThis & { utrimaxPool?: Pool };

/** Long enough for a busy machine, short enough that a pilot is told soon that the database is away. */
const CONNECT_LIMIT_MS = 2500;

/** The pool for `DATABASE_URL`. */
export function database(): Pool {
  globals.utrimaxPool ??= mysql.createPool({
    uri: databaseUrl(),
    connectTimeout: CONNECT_LIMIT_MS,
    connectionLimit: 8,
    timezone: "Z",
    charset: "utf8mb4",
    // JSON columns arrive as text and are read by the schema of their document.
    jsonStrings: true,
  });
  return globals.utrimaxPool;
}

/** Address of the database; a missing one is a broken deployment. */
export function databaseUrl(): string {
  const url = process.env.DATABASE_URL;
  if (!url) throw new Error("databaseUrl: expected DATABASE_URL to be set, got nothing");
  return url;
}

/** What a deadlock has ended was rolled back and is run again, so often in all. */
const MOST_RUNS = 5;

const isDeadlock = (error: unknown) => (error as { code?: unknown } | null)?.code === "ER_LOCK_DEADLOCK";

/** Runs statements that must all take effect or none. One that met another in a deadlock is run anew. */
export async function transaction<T>(work: (connection: Queryable) => Promise<T>): Promise<T> {
  for (let run = 1; ; run += 1)
    try {
      return await transactionOnce(work);
    } catch (error) {
      if (run >= MOST_RUNS || !isDeadlock(error)) throw error;
    }
}

async function transactionOnce<T>(work: (connection: Queryable) => Promise<T>): Promise<T> {
  const connection = await database().getConnection();
  try {
    await connection.beginTransaction();
    const result = await work(connection);
    await connection.commit();
    return result;
  } catch (error) {
    await connection.rollback().catch(() => undefined);
    throw error;
  } finally {
    connection.release();
  }
}

const AWAY = new Set([
  "ECONNREFUSED",
  "ECONNRESET",
  "ETIMEDOUT",
  "EPIPE",
  "PROTOCOL_CONNECTION_LOST",
  "ER_SERVER_SHUTDOWN",
  "ER_CON_COUNT_ERROR",
  "POOL_CLOSED",
]);

const FULL = new Set(["ER_DISK_FULL", "ER_DISK_FULL_NOWAIT", "ER_RECORD_FILE_FULL", "ER_ERROR_ON_WRITE", "ENOSPC"]);

/** Whether an error means that the database has no room to write. */
export function isDiskFull(error: unknown): boolean {
  const code = (error as { code?: unknown } | null)?.code;
  return typeof code === "string" && FULL.has(code);
}

/** Whether an error means that the database cannot be reached at present (as against a fault of ours). */
export function isDatabaseAway(error: unknown): boolean {
  const code = (error as { code?: unknown } | null)?.code;
  return typeof code === "string" && AWAY.has(code);
}
