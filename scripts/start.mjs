// npm start: from a fresh clone to a served application that restarts by itself. `--dev` serves with reload instead of
// a build; `--lan` serves the local network over HTTPS.
import path from "node:path";
import { healthOf, prepareDatabase, serve } from "./lib/application.mjs";
import { buildThreads, ensureBuilt } from "./lib/build.mjs";
import { certificateFor, lanAddresses } from "./lib/certificate.mjs";
import { databaseAnswers, startDatabase } from "./lib/database.mjs";
import { startOutside } from "./lib/outside.mjs";
import { freePort } from "./lib/ports.mjs";
import { leave } from "./lib/processes.mjs";
import { STATE, ensureDebianPackages, ensureNodePackages, ensureNodeVersion, ensureStateFolder } from "./lib/setup.mjs";
import { step } from "./lib/step.mjs";
import { keepRunning } from "./lib/watch.mjs";

const dev = process.argv.includes("--dev");
const lan = process.argv.includes("--lan");
const began = performance.now();
const said = { say: console.log, giveUp: (/** @type {string} */ reason) => void leave(1, reason) };

try {
  ensureNodeVersion();
  await ensureStateFolder();
  await ensureNodePackages();
  let databaseUrl = process.env.DATABASE_URL ?? "";
  let ownerUrl = process.env.OWNER_DATABASE_URL ?? databaseUrl;
  if (!databaseUrl) {
    await ensureDebianPackages(["mariadb"]);
    const folder = path.join(STATE, "database");
    const databasePort = await freePort(3377);
    const start = async () => {
      const database = await startDatabase(folder, databasePort);
      ({ url: databaseUrl, ownerUrl } = database);
      return database.server;
    };
    const answers = () => databaseAnswers(databasePort);
    await step("database", () => keepRunning({ name: "The database", start, answers, ...said }));
  }
  if (dev) await buildThreads();
  else await ensureBuilt();
  await step("schema and demo world", () => prepareDatabase(ownerUrl));
  const outside = await step("stand-ins", startOutside);
  const port = await freePort(Number(process.env.PORT ?? 3000));
  const env = { ...outside, ...(lan ? { HOST: "0.0.0.0", ...(await certificateFor(STATE)) } : {}) };
  const start = async () => (await serve({ databaseUrl, port, dev, env })).server;
  await step("server", () =>
    keepRunning({ name: "The server", start, answers: () => answersWithRoom(port, lan), ...said }),
  );
  const addresses = lan ? lanAddresses().map((host) => `https://${host}:${port}`) : [`http://localhost:${port}`];
  const after = ((performance.now() - began) / 1000).toFixed(1);
  console.log(`\nUtrimax is ready after ${after} s: ${addresses.join("  ")}`);
  if (lan) console.log("Its certificate was made here: a browser asks once whether to trust it.");
  console.log("Ctrl-C stops it.\n");
} catch (error) {
  await leave(1, error);
}

let full = false;

/**
 * Whether the server answers. Says once when the disk is nearly full, before nothing can be saved any more.
 *
 * @param {number} port
 * @param {boolean} secure
 */
async function answersWithRoom(port, secure) {
  const health = await healthOf(port, secure);
  if (health?.disk && health.disk.low !== full) {
    full = health.disk.low;
    console.log(
      full
        ? `The disk is nearly full: ${health.disk.free_MB} MB are left. Nothing is saved below 50 MB.`
        : `The disk has room again: ${health.disk.free_MB} MB.`,
    );
  }
  return health !== null;
}
