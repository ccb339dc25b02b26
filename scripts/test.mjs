// npm test: everything that must hold, from a fresh clone: set-up, checks, unit tests with coverage, build, browser
// journeys.
import path from "node:path";
import { leave, run } from "./lib/processes.mjs";
import { ROOT, ensureDebianPackages, ensureNodePackages, ensureNodeVersion, ensureStateFolder } from "./lib/setup.mjs";
import { step } from "./lib/step.mjs";

try {
  ensureNodeVersion();
  await ensureStateFolder();
  await ensureNodePackages();
  await ensureDebianPackages(["mariadb", "redis", "chromium"]);
  // The checks keep one core busy, the tests the other: side by side they take little more than the longer of them.
  await Promise.all([
    step("checks", () => run("node", ["scripts/check.mjs"], { cwd: ROOT })),
    step("unit and server tests", () => run("node", ["scripts/unit.mjs", "--coverage"], { cwd: ROOT })),
  ]);
  await step("browser journeys", () => run("node", ["scripts/e2e.mjs"], { cwd: ROOT }));
  await step("faults, load and attacks, in short", () =>
    run(path.join(ROOT, "node_modules/.bin/tsx"), ["scripts/attack.ts"], { cwd: ROOT }),
  );
  console.log("All checks passed.");
} catch (error) {
  await leave(1, error);
}
