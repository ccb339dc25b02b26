// Faults while seven writers save: database and server killed, stopped and hung, the disk full. What was acknowledged
// must be stored, nothing by half, and nobody must do anything by hand.
import { existsSync } from "node:fs";
import { mkdir, readFile, rm, writeFile } from "node:fs/promises";
import path from "node:path";
import { healthOf } from "../lib/application.mjs";
import { run } from "../lib/processes.mjs";
import { STATE } from "../lib/setup.mjs";
import { type Client, openClient, save } from "./client";
import { type Stand, pause, stand, until } from "./stand";
import { checkStored, openWriters, write } from "./writers";
import { demoSituation } from "../../demo/read-demo";

/** How hard. */
export interface FaultCounts {
  readonly databaseKills: number;
  readonly serverKills: number;
  /** Stop the processes for seconds too, which takes half a minute. */
  readonly hangs: boolean;
}

const WRITERS = 7;
/** Between two faults, ms: both may be starting again when the next one comes. */
const BETWEEN_MS = 1800;

/** Runs the faults on a stand; returns what went wrong. */
export async function faults(stage: Stand, { databaseKills, serverKills, hangs }: FaultCounts): Promise<string[]> {
  const writers = await openWriters(stage.address, WRITERS);
  let ended = false;
  const writing = Promise.all(writers.map((writer) => write(writer, () => ended)));
  const pages: (string | null)[] = [];
  const kinds = Array.from({ length: databaseKills + serverKills }, (_, i) =>
    // Spread evenly: every so many kills of the one, one of the other.
    Math.floor(((i + 1) * serverKills) / (databaseKills + serverKills)) >
    Math.floor((i * serverKills) / (databaseKills + serverKills))
      ? ("server" as const)
      : ("database" as const),
  );
  for (const kind of kinds) {
    const pid = stage.pids[kind];
    signal(pid, "SIGKILL");
    if (kind === "database") pages.push(await failedPage(writers[0].client));
    await until(() => stage.pids[kind] !== pid, 30_000);
    await pause(BETWEEN_MS);
  }
  if (hangs) {
    // Stopped for seconds: nothing is started again, everything waits.
    const [pid] = [stage.pids.database];
    signal(pid, "SIGSTOP");
    await pause(5000);
    signal(pid, "SIGCONT");
    await pause(2000);
    if (stage.pids.database !== pid) return ["a database that stood still for 5 s was ended"];
    // Hung: it is ended and started again.
    const hung = stage.pids.server;
    signal(hung, "SIGSTOP");
    if (!(await until(() => stage.pids.server !== hung, 40_000))) return ["a hung server was not started again"];
  }
  await pause(1000);
  ended = true;
  await writing;
  for (const writer of writers) await checkStored(writer);
  const saves = writers.reduce((sum, writer) => sum + writer.saves, 0);
  const failures = writers.reduce((sum, writer) => sum + writer.failures, 0);
  console.log(
    `${databaseKills} kills of the database, ${serverKills} of the server: ${saves} saves acknowledged, ${failures} sent again`,
  );
  // A page that failed is in the log under the number that it shows.
  const numbers = pages.filter((number) => number !== null);
  const log = await readFile(path.join(stage.logFolder, "utrimax.log"), "utf8").catch(() => "");
  const lost = numbers.filter((number) => !log.includes(number));
  console.log(`${numbers.length} pages failed while the database was away; ${lost.length} of them are not in the log`);
  const unlogged = lost.map((number) => `page ${number} failed and is not in the log`);
  return [...unlogged, ...writers.flatMap((writer, i) => writer.faults.map((fault) => `writer ${i + 1}: ${fault}`))];
}

/** Asks for a page while the database is away; its number when it failed. */
async function failedPage(client: Client): Promise<string | null> {
  const answer = await client.fetch("/landing").catch(() => null);
  const number = answer?.headers.get("x-request-id") ?? null;
  await answer?.body?.cancel();
  return answer && answer.status >= 500 ? number : null;
}

function signal(pid: number, name: NodeJS.Signals): void {
  try {
    process.kill(pid, name);
  } catch {
    // It has just ended by itself.
  }
}

/** Enough for a database and some room, MB. */
const DISK_MB = 400;

/**
 * The disk runs full: told before, writes refused with the reason, reads go on, and everything works again with room.
 *
 * @returns what went wrong; null when no disk of its own can be made here
 */
export async function fullDisk(): Promise<string[] | null> {
  const mount = path.join(STATE, "small-disk");
  await mkdir(mount, { recursive: true });
  const mounted = await run("mount", ["-t", "tmpfs", "-o", `size=${DISK_MB}m`, "tmpfs", mount], { quiet: true }).then(
    () => true,
    () => false,
  );
  if (!mounted) return null;
  const wrong: string[] = [];
  try {
    const stage = await stand(
      { STATE_FOLDER: mount, LOG_FOLDER: mount, UTRIMAX_RATE_FACTOR: "1000" },
      path.join(mount, "db"),
    );
    const client = await openClient(stage.address);
    const demo = demoSituation();
    const saving = (mass_kg: number, version: number) => save(client, { ...demo, mass_kg }, version);
    if ((await saving(900, 1)).state !== "saved") wrong.push("nothing is saved while there is room");
    const filler = path.join(mount, "filler");
    const free_MB = (await healthOf(stage.port))?.disk?.free_MB ?? 0;
    await writeFile(filler, Buffer.alloc((free_MB - 40) * 1024 * 1024));
    await pause(3500);
    const health = await healthOf(stage.port);
    if (!health?.disk?.low) wrong.push("a disk that is nearly full is not told");
    const refused = await client.fetch(`/api/situations/${client.situationId}`, {
      method: "PUT",
      body: JSON.stringify({ ...demo, mass_kg: 910 }),
      headers: { "if-match": '"2"' },
    });
    const reason = await refused.text();
    if (refused.status !== 507 || !reason.includes("disk is full"))
      wrong.push(`a write was answered ${refused.status}`);
    const read = await client.fetch(`/api/situations/${client.situationId}`);
    if ((await read.json()).document?.mass_kg !== 900) wrong.push("nothing can be read while the disk is full");
    await rm(filler);
    await pause(3500);
    if ((await saving(920, 2)).state !== "saved") wrong.push("nothing is saved when there is room again");
    stage.stop();
    signal(stage.pids.server, "SIGTERM");
    signal(stage.pids.database, "SIGTERM");
    await until(() => !existsSync(`/proc/${stage.pids.database}`), 20_000);
  } finally {
    await run("umount", ["-l", mount], { quiet: true }).catch(() => undefined);
  }
  return wrong;
}
