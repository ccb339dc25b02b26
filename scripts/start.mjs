// npm start: from a fresh clone to a served application. `--dev` serves with reload instead of a build.
import path from "node:path";
import { prepareDatabase, serve } from "./lib/application.mjs";
import { ensureBuilt } from "./lib/build.mjs";
import { startDatabase } from "./lib/database.mjs";
import { freePort } from "./lib/ports.mjs";
import { leave } from "./lib/processes.mjs";
import { STATE, ensureDebianPackages, ensureNodePackages, ensureNodeVersion, ensureStateFolder } from "./lib/setup.mjs";
import { step } from "./lib/step.mjs";

const dev = process.argv.includes("--dev");
const began = performance.now();

try {
  ensureNodeVersion();
  await ensureStateFolder();
  await ensureNodePackages();
  let databaseUrl = process.env.DATABASE_URL ?? "";
  if (!databaseUrl) {
    await ensureDebianPackages(["mariadb"]);
    const database = await step("database", () => startDatabase(path.join(STATE, "database")));
    databaseUrl = database.url;
    database.server.once(
      "exit",
      (code) => void leave(1, `The database ended with ${code}; see .data/database/mariadb.log.`),
    );
  }
  if (!dev) await ensureBuilt();
  await step("schema and demo world", () => prepareDatabase(databaseUrl));
  const port = await freePort(Number(process.env.PORT ?? 3000));
  const { server, address } = await step("server", () => serve({ databaseUrl, port, dev }));
  server.once("exit", (code) => void leave(1, `The server ended with ${code}.`));
  console.log(
    `\nUtrimax is ready after ${((performance.now() - began) / 1000).toFixed(1)} s: ${address}\nCtrl-C stops it.\n`,
  );
} catch (error) {
  await leave(1, error);
}
