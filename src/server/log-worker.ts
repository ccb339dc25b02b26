// A process that analyses large logs and nothing else: `npm run worker`, beside the web processes, on any machine that
// reaches their database and their Redis.
import { lookForJobs, workQueue } from "./log-work";

const { REDIS_URL } = process.env;
if (!REDIS_URL) throw new Error("log-worker: expected REDIS_URL to be set, got nothing");
const worker = workQueue(REDIS_URL);
lookForJobs();
// Kept alive by the queue's connection; what is under way is finished first.
for (const signal of ["SIGTERM", "SIGINT"])
  process.once(signal, () => void worker.close().finally(() => process.exit(0)));
process.send?.("ready");
