// npm run backup [FILE]: everything of the database as one compressed file, .data/backups/utrimax-TIME.sql.gz unless
// another is named. It may be in use meanwhile.
import path from "node:path";
import { backUp } from "./lib/backup.mjs";
import { withDatabase } from "./lib/database.mjs";
import { leave } from "./lib/processes.mjs";
import { STATE } from "./lib/setup.mjs";
import { step } from "./lib/step.mjs";

const time = new Date().toISOString().replace(/[:.]/g, "-").slice(0, 19);
const file = path.resolve(process.argv[2] ?? path.join(STATE, "backups", `utrimax-${time}.sql.gz`));
try {
  await withDatabase(path.join(STATE, "database"), (url) => step("backup", () => backUp(url, file)));
  console.log(file);
  await leave(0);
} catch (error) {
  await leave(1, error);
}
