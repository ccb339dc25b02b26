// npm run mutate FOLDER: changes the code of a folder of the core, line by line, and tells which changes no test
// notices. Only what changed since the last run of the folder is tried again; --all tries everything. The report lies
// in .data/mutants.
import { existsSync } from "node:fs";
import path from "node:path";
import { leave, run } from "./lib/processes.mjs";
import { ROOT } from "./lib/setup.mjs";

const [folder, ...more] = process.argv.slice(2);
try {
  if (!folder || !existsSync(path.join(ROOT, "src/core", folder)))
    throw new Error("npm run mutate FOLDER: name a folder of src/core, such as restart.");
  await run(
    path.join(ROOT, "node_modules/.bin/stryker"),
    ["run", "scripts/lib/stryker.config.mjs", ...more.map((arg) => (arg === "--all" ? "--force" : arg))],
    { cwd: ROOT, env: { ...process.env, MUTATE_FOLDER: folder } },
  );
} catch (error) {
  await leave(1, error);
}
