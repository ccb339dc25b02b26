// npm run check: types (the core also without DOM and Node), lint, import directions, unused code.
import path from "node:path";
import { leave, run } from "./lib/processes.mjs";
import { ROOT } from "./lib/setup.mjs";
import { step } from "./lib/step.mjs";

const bin = (/** @type {string} */ name) => path.join(ROOT, "node_modules/.bin", name);
const env = { ...process.env, NEXT_TELEMETRY_DISABLED: "1" };

try {
  await step("route types", () => run(bin("next"), ["typegen"], { cwd: ROOT, quiet: true, env }));
  await step("types", () => run(bin("tsc"), ["--noEmit"], { cwd: ROOT }));
  await step("the core without DOM and Node", () => run(bin("tsc"), ["-p", "tsconfig.core.json"], { cwd: ROOT }));
  await step("what works without a network", () => run(bin("tsc"), ["-p", "tsconfig.sw.json"], { cwd: ROOT }));
  await step("the compiled solver is what its source makes", () =>
    run("node", [path.join(ROOT, "scripts/compile.mjs"), "--check"], { cwd: ROOT }),
  );
  await step("format", () =>
    run(bin("prettier"), ["--check", "--log-level=warn", "--cache", "--cache-location=.next/prettier", "."], {
      cwd: ROOT,
    }),
  );
  await step("lint", () => run(bin("eslint"), [".", "--max-warnings=0"], { cwd: ROOT }));
  await step("import directions", async () => {
    const report = await run(bin("depcruise"), ["--config", ".dependency-cruiser.mjs", "--output-type", "err", "src"], {
      cwd: ROOT,
      quiet: true,
    });
    // A cruise over nothing passes too; make it prove that it looked.
    const modules = Number(/(\d+) modules/.exec(report)?.[1] ?? 0);
    if (modules < 50) throw new Error(`The import check saw only ${modules} modules:\n${report}`);
    console.log(`  ${modules} modules, directions hold`);
  });
  await step("unused code and packages", () => run(bin("knip"), [], { cwd: ROOT }));
} catch (error) {
  await leave(1, error);
}
