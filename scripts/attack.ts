// Part of npm test: the short forms of faults, soak and fuzz:http, and two web processes on one database. Times are
// told but not judged: the machine may be busy with other things.
import { faults } from "./attack/faults";
import { fuzzHttp } from "./attack/fuzz-http";
import { lightUnderHeavy, soak } from "./attack/soak";
import { logWorkers } from "./attack/log-workers";
import { stand } from "./attack/stand";
import { twoProcesses } from "./attack/two-processes";
import { leave, stopAll } from "./lib/processes.mjs";
import { step } from "./lib/step.mjs";

const wrong: string[] = [];
try {
  const stage = await step("an application to attack", () => stand({ UTRIMAX_RATE_FACTOR: "100000" }));
  wrong.push(...(await step("requests of every kind", () => fuzzHttp(stage, 500))));
  for (const [name, run] of [
    ["ten clients", () => soak(stage, { clients: 10, time_ms: 12_000, clocked: false })],
    ["light requests beside heavy ones", () => lightUnderHeavy(stage, { time_ms: 8000, clocked: false })],
  ] as const) {
    const report = await step(name, run);
    console.log(report.lines.map((line) => `  ${line}`).join("\n"));
    wrong.push(...report.wrong);
  }
  wrong.push(
    ...(await step("kills while seven write", () => faults(stage, { databaseKills: 4, serverKills: 2, hangs: false }))),
  );
  stage.stop();
  await stopAll();
  wrong.push(...(await step("two web processes on one database", twoProcesses)));
  await stopAll();
  wrong.push(...(await step("two workers on large logs, one killed", logWorkers)));
  for (const fault of wrong) console.log(fault);
  await leave(wrong.length === 0 ? 0 : 1);
} catch (error) {
  await leave(1, error);
}
