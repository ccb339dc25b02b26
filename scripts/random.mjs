// npm run test:random [MINUTES]: every property over new cases, seed after seed, until the time is up or one fails.
import { execFileSync } from "node:child_process";
import path from "node:path";
import { leave, run } from "./lib/processes.mjs";
import { ROOT, ensureNodePackages } from "./lib/setup.mjs";

const minutes = Number(process.argv[2] ?? 10);
let seed = 0;
try {
  if (!(minutes > 0 && minutes <= 600)) throw new Error("npm run test:random [MINUTES]: 1 to 600 minutes.");
  await ensureNodePackages();
  const files = execFileSync("git", ["grep", "-l", "fc\\.property", "--", "src"], { cwd: ROOT, encoding: "utf8" });
  const until = Date.now() + minutes * 60_000;
  let rounds = 0;
  for (; Date.now() < until; rounds += 1) {
    seed = Math.floor(Math.random() * 2 ** 31);
    await run(path.join(ROOT, "node_modules/.bin/vitest"), ["run", "--reporter=dot", ...files.trim().split("\n")], {
      cwd: ROOT,
      env: { ...process.env, PROPERTY_SEED: String(seed) },
    });
  }
  console.log(`${rounds} seeds, every property held.`);
} catch (error) {
  if (seed > 0) console.error(`Seed ${seed}: run it again with PROPERTY_SEED=${seed} npx vitest run FILE.`);
  await leave(1, error);
}
