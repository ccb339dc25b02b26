import { listLogs, putLog } from "@/server/logs";
import { readUpload, refusal, requireAccount, route } from "@/server/route";
import { storing } from "@/server/room";
import { MOST_PACKED_LOG } from "@/server/sent-log";
import { inThread } from "@/server/threads";

/** Ten hours at ten a second take some seconds to be read. */
const READING_MS = 60_000;

/** What the account's logs hold, what was kept last first. */
export const GET = route(async () => Response.json({ logs: await listLogs((await requireAccount()).id) }));

/** Keeps a log, gzip of JSON; sent once more it takes the place of what was there. */
export const POST = route(async (request) => {
  const account = await requireAccount();
  const bytes = await readUpload(request, MOST_PACKED_LOG, account.id);
  const asking = { client: account.id, signal: request.signal, limit_ms: READING_MS };
  const read = await inThread("files", "checkLog", { bytes }, asking);
  if (!read.ok) return refusal(422, [read.issue]);
  await storing(account.id, { logs: 1, bytes: bytes.byteLength }, (connection) =>
    putLog(account.id, read.value, connection),
  );
  const { packed: _, ...listed } = read.value;
  return Response.json(listed, { status: 201 });
});
