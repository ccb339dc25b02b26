// npm run worker: a process that analyses large logs, beside the web processes. DATABASE_URL and REDIS_URL are theirs.
import path from "node:path";
import { ensureBuilt } from "./lib/build.mjs";
import { launch, leave } from "./lib/processes.mjs";
import { ROOT, ensureNodePackages, ensureNodeVersion } from "./lib/setup.mjs";

try {
  ensureNodeVersion();
  for (const name of ["DATABASE_URL", "REDIS_URL"])
    if (!process.env[name])
      throw new Error(`${name} is not set: a worker needs the database and the Redis of the server.`);
  await ensureNodePackages();
  await ensureBuilt();
  const worker = launch(process.execPath, [path.join(ROOT, ".next/threads/log-worker.mjs")], {
    cwd: ROOT,
    stdio: ["ignore", "inherit", "inherit"],
    env: process.env,
  });
  worker.once("exit", (code) => process.exit(code ?? 1));
} catch (error) {
  await leave(1, error);
}
