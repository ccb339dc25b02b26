import { importAccount } from "@/server/account-archive";
import { readUpload, refusal, requireAccount, route } from "@/server/route";
import { inThread } from "@/server/threads";

/** A full account, bytes. */
const ARCHIVE_LIMIT = 40 * 1024 * 1024;
/** Reading a full one takes some seconds. */
const READING_MS = 60_000;

export const POST = route(async (request) => {
  const account = await requireAccount();
  const bytes = await readUpload(request, ARCHIVE_LIMIT, account.id);
  const asking = { client: account.id, signal: request.signal, limit_ms: READING_MS };
  const archive = await inThread("files", "readArchive", { bytes }, asking);
  if (!archive.ok) return refusal(422, [archive.issue]);
  const outcome = await importAccount(account, archive.value);
  return outcome.ok ? Response.json(outcome.value, { status: 201 }) : refusal(422, [outcome.issue]);
});
