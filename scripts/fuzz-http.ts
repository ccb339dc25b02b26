// npm run fuzz:http [COUNT]: 10 000 requests over every route unless told otherwise.
import { fuzzHttp } from "./attack/fuzz-http";
import { stand } from "./attack/stand";
import { leave } from "./lib/processes.mjs";

try {
  const stage = await stand({ UTRIMAX_RATE_FACTOR: "100000" });
  const wrong = await fuzzHttp(stage, Number(process.argv[2] ?? 10_000));
  stage.stop();
  for (const fault of wrong) console.log(fault);
  console.log(`${wrong.length} faults.`);
  await leave(wrong.length === 0 ? 0 : 1);
} catch (error) {
  await leave(1, error);
}
