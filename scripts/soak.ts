// npm run soak [MINUTES [CLIENTS]]: 50 clients for 30 minutes unless told otherwise, and light requests beside the
// worst that is valid.
import { lightUnderHeavy, soak } from "./attack/soak";
import { stand } from "./attack/stand";
import { leave } from "./lib/processes.mjs";

const [minutes = 30, clients = 50] = process.argv.slice(2).map(Number);
try {
  const stage = await stand({ UTRIMAX_RATE_FACTOR: "100000" });
  const reports = [
    await soak(stage, { clients, time_ms: minutes * 60_000, clocked: true }),
    await lightUnderHeavy(stage, { time_ms: 30_000, clocked: true }),
  ];
  stage.stop();
  for (const { lines, wrong } of reports) console.log([...lines, ...wrong].join("\n"));
  const count = reports.reduce((sum, { wrong }) => sum + wrong.length, 0);
  console.log(`${count} faults.`);
  await leave(count === 0 ? 0 : 1);
} catch (error) {
  await leave(1, error);
}
