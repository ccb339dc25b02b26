// An application of its own to attack: database and server, watched as `npm start` watches them.
import type { ChildProcess } from "node:child_process";
import { rm } from "node:fs/promises";
import path from "node:path";
import { healthOf, prepareDatabase, serve } from "../lib/application.mjs";
import { ensureBuilt } from "../lib/build.mjs";
import { databaseAnswers, startDatabase } from "../lib/database.mjs";
import { freePort } from "../lib/ports.mjs";
import { STATE } from "../lib/setup.mjs";
import { keepRunning } from "../lib/watch.mjs";

/** What is attacked. */
export interface Stand {
  readonly address: string;
  readonly port: number;
  /** The processes as they are now. */
  readonly pids: { database: number; server: number };
  /** Where the server's log lies. */
  readonly logFolder: string;
  /** What the watch has said. */
  readonly said: readonly string[];
  /** Leaves the processes to be ended with this one. */
  stop(): void;
}

/**
 * Starts a database on a new folder and a server on it.
 *
 * @param folder - of the database's data; emptied
 */
export async function stand(env: Record<string, string> = {}, folder = path.join(STATE, "attack")): Promise<Stand> {
  await ensureBuilt();
  await rm(folder, { recursive: true, force: true });
  const logFolder = env.LOG_FOLDER ?? `${folder}-log`;
  await rm(path.join(logFolder, "utrimax.log"), { force: true });
  const said: string[] = [];
  const pids = { database: 0, server: 0 };
  const noted = (name: keyof typeof pids, child: ChildProcess) => {
    pids[name] = child.pid ?? 0;
    return child;
  };
  const say = (line: string) => void said.push(line);
  const giveUp = (reason: string) => {
    throw new Error(reason);
  };
  const watched = { say, giveUp, tooMany: Infinity };
  const [databasePort, port] = [await freePort(3477), await freePort(3200)];
  let [databaseUrl, ownerUrl] = ["", ""];
  const database = await keepRunning({
    name: "The database",
    start: async () => {
      const started = await startDatabase(folder, databasePort);
      [databaseUrl, ownerUrl] = [started.url, started.ownerUrl];
      return noted("database", started.server);
    },
    answers: () => databaseAnswers(databasePort),
    ...watched,
  });
  await prepareDatabase(ownerUrl);
  const server = await keepRunning({
    name: "The server",
    start: async () =>
      noted("server", (await serve({ databaseUrl, port, quiet: true, env: { ...env, LOG_FOLDER: logFolder } })).server),
    answers: async () => (await healthOf(port)) !== null,
    ...watched,
  });
  return {
    address: `http://127.0.0.1:${port}`,
    port,
    pids,
    logFolder,
    said,
    stop: () => {
      database.stop();
      server.stop();
    },
  };
}

/** Waits until a condition holds; false when it does not within the time. */
export async function until(holds: () => Promise<boolean> | boolean, limit_ms: number): Promise<boolean> {
  for (const end = Date.now() + limit_ms; Date.now() < end;) {
    if (await holds()) return true;
    await pause(100);
  }
  return false;
}

/** Waits. */
export const pause = (time_ms: number) => new Promise((resolve) => setTimeout(resolve, time_ms));
