// npm run faults [DATABASE_KILLS [SERVER_KILLS]]: 100 kills of the database and 20 of the server unless told otherwise,
// a hung server, a database that stands still, a full disk.
import { faults, fullDisk } from "./attack/faults";
import { stand } from "./attack/stand";
import { leave } from "./lib/processes.mjs";

const [databaseKills = 100, serverKills = 20] = process.argv.slice(2).map(Number);
try {
  const stage = await stand({ UTRIMAX_RATE_FACTOR: "1000" });
  const wrong = await faults(stage, { databaseKills, serverKills, hangs: true });
  stage.stop();
  const disk = await fullDisk();
  if (disk === null) console.log("No disk of its own can be made here (it takes root): a full disk was not tried.");
  for (const fault of [...wrong, ...(disk ?? [])]) console.log(fault);
  console.log(`${wrong.length + (disk?.length ?? 0)} faults.`);
  await leave(wrong.length + (disk?.length ?? 0) === 0 ? 0 : 1);
} catch (error) {
  await leave(1, error);
}
