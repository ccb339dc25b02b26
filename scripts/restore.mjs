// npm run restore FILE: replaces the database by what a backup holds. What is there is backed up first; the server
// should not run meanwhile.
import path from "node:path";
import { backUp, ensureComplete, restore } from "./lib/backup.mjs";
import { withDatabase } from "./lib/database.mjs";
import { prepareDatabase } from "./lib/application.mjs";
import { leave } from "./lib/processes.mjs";
import { STATE } from "./lib/setup.mjs";
import { step } from "./lib/step.mjs";

const [given] = process.argv.slice(2);
const time = new Date().toISOString().replace(/[:.]/g, "-").slice(0, 19);
const before = path.join(STATE, "backups", `before-restore-${time}.sql.gz`);
try {
  if (!given) throw new Error("npm run restore FILE: name a file that “npm run backup” has written.");
  const file = path.resolve(given);
  await ensureComplete(file);
  await withDatabase(path.join(STATE, "database"), async (url) => {
    await step("backup of what is there", () => backUp(url, before));
    await step("restore", () => restore(url, file));
    // A backup of an older program is brought up to date.
    await step("schema and demo world", () => prepareDatabase(url));
  });
  console.log(`Restored. What was there before is in ${before}.`);
  await leave(0);
} catch (error) {
  await leave(1, error);
}
