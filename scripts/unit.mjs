// npm run test:unit: Vitest over core and server, with a database of its own for the server's tests.
import path from "node:path";
import { prepareDatabase } from "./lib/application.mjs";
import { buildThreads } from "./lib/build.mjs";
import { startDatabase } from "./lib/database.mjs";
import { leave, run, stopAll } from "./lib/processes.mjs";
import { ROOT, STATE, ensureDebianPackages, ensureNodePackages } from "./lib/setup.mjs";
import { step } from "./lib/step.mjs";

const args = process.argv.slice(2);

try {
  await ensureNodePackages();
  await ensureDebianPackages(["mariadb"]);
  const { url, ownerUrl } = await step("test database", () => startDatabase(path.join(STATE, "test-database")));
  await step("schema and demo world", () => prepareDatabase(ownerUrl));
  await buildThreads();
  await run(path.join(ROOT, "node_modules/.bin/vitest"), ["run", ...args], {
    cwd: ROOT,
    env: { ...process.env, DATABASE_URL: url, OWNER_DATABASE_URL: ownerUrl },
  });
  await stopAll();
} catch (error) {
  await leave(1, error);
}
