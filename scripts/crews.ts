// npm run crews [CREWS [STEPS]]: 50 crews at once on one process unless told otherwise, each line lost twenty times.
// Tells how soon one member hears the other.
import { runCrews } from "./attack/crews";
import { stand } from "./attack/stand";
import { leave } from "./lib/processes.mjs";

const [crews = 50, steps = 100] = process.argv.slice(2).map(Number);
let stage: Awaited<ReturnType<typeof stand>> | null = null;
try {
  stage = await stand({ UTRIMAX_RATE_FACTOR: "100000" });
  const { heard_ms, wrong } = await runCrews({
    addresses: [stage.address, stage.address],
    crews,
    steps,
    reconnects: 20,
    // Somebody who is quick does something every second.
    pause_ms: 1000,
  });
  stage.stop();
  const at = (share: number) => heard_ms[Math.floor((heard_ms.length - 1) * share)].toFixed(0);
  console.log(
    `${crews} crews, ${heard_ms.length} things heard: median ${at(0.5)} ms, p95 ${at(0.95)} ms, most ${at(1)} ms.`,
  );
  for (const fault of new Set(wrong)) console.log(fault);
  await leave(wrong.length === 0 ? 0 : 1);
} catch (error) {
  console.log(stage?.said.join("\n"));
  await leave(1, error instanceof Error && error.cause ? error.cause : error);
}
