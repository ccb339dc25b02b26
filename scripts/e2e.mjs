// npm run test:e2e: the built application on a database of its own, driven by Playwright. `--screenshots` refreshes the
// pictures in docs instead.
import path from "node:path";
import { prepareDatabase, serve } from "./lib/application.mjs";
import { ensureBuilt } from "./lib/build.mjs";
import { startDatabase } from "./lib/database.mjs";
import { startOutside } from "./lib/outside.mjs";
import { freePort } from "./lib/ports.mjs";
import { leave, run, stopAll } from "./lib/processes.mjs";
import { ROOT, STATE, ensureDebianPackages, ensureNodePackages } from "./lib/setup.mjs";
import { step } from "./lib/step.mjs";

const screenshots = process.argv.includes("--screenshots");
const args = process.argv.slice(2).filter((arg) => arg !== "--screenshots");
const folder = path.join(STATE, "test-database");

const OUTAGE_MS = 12_000;

try {
  await ensureNodePackages();
  await ensureDebianPackages(["mariadb", "chromium"]);
  await ensureBuilt();
  const database = await step("test database", () => startDatabase(folder));
  await step("schema and demo world", () => prepareDatabase(database.ownerUrl));
  // A journey stops the database to see what happens; it comes back by itself, later than that journey needs.
  let finished = false;
  database.server.once(
    "exit",
    () =>
      finished ||
      setTimeout(() => void startDatabase(folder, database.port).catch((error) => leave(1, error)), OUTAGE_MS),
  );
  const outside = await step("stand-ins", startOutside);
  const { address } = await step("server", async () =>
    serve({
      databaseUrl: database.url,
      port: await freePort(3100),
      quiet: true,
      env: { UTRIMAX_RATE_FACTOR: "100", ...outside },
    }),
  );
  /** @param {string[]} more */
  const playwright = (...more) =>
    run(path.join(ROOT, "node_modules/.bin/playwright"), ["test", ...more], {
      cwd: ROOT,
      env: { ...process.env, BASE_URL: address, TEST_DATABASE_FOLDER: folder },
    });
  if (screenshots) await playwright("--grep", "@picture", ...args);
  else if (args.length > 0) await playwright("--grep-invert", "@picture", ...args);
  else {
    // Three at a time, which keeps two cores busy; then, by themselves, those that stop the database or hold the clock
    // to something.
    await playwright("--grep-invert", "@picture|@alone", "--workers=3", "--fully-parallel");
    await playwright("--grep", "@alone", "--grep-invert", "@picture");
  }
  finished = true;
  await stopAll();
} catch (error) {
  await leave(1, error);
}
