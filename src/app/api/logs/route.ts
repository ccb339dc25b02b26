import { addJob, jobsOf } from "@/server/log-jobs";
import { tellJobs } from "@/server/log-work";
import { listLogs, putLog } from "@/server/logs";
import { readUpload, refusal, requireAccount, route } from "@/server/route";
import { storing } from "@/server/room";
import { MOST_PACKED_LOG } from "@/server/sent-log";
import { inThread } from "@/server/threads";

/** A flight of some hours is read in some seconds. */
const READING_MS = 60_000;
/** What is larger packed is analysed after it was stored, bytes. */
const LARGE = 1024 * 1024;

/** What the account's logs hold, what was kept last first; `jobs`: those that are not analysed yet. */
export const GET = route(async () => {
  const account = await requireAccount();
  return Response.json({ logs: await listLogs(account.id), jobs: await jobsOf(account.id) });
});

/** Keeps a log, gzip of JSON; sent once more it takes the place of what was there. */
export const POST = route(async (request) => {
  const account = await requireAccount();
  const bytes = await readUpload(request, MOST_PACKED_LOG, account.id);
  const asking = { client: account.id, signal: request.signal, limit_ms: READING_MS };
  const large = bytes.byteLength > LARGE;
  const read = await inThread("files", large ? "checkLargeLog" : "checkLog", { bytes }, asking);
  if (!read.ok) return refusal(422, [read.issue]);
  const job = await storing(account.id, { logs: 1, bytes: bytes.byteLength }, async (connection) => {
    await putLog(account.id, read.value, connection);
    return large ? addJob(account.id, read.value.id, connection) : null;
  });
  // It is stored: nobody waits for a queue that is away.
  if (job) void tellJobs([job]).catch(() => undefined);
  const { packed: _, ...listed } = read.value;
  return Response.json(listed, { status: large ? 202 : 201 });
});
