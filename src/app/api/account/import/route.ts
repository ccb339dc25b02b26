import { importAccount } from "@/server/account-archive";
import { readJson, refusal, requireAccount, route } from "@/server/route";

/** An archive with a few terrains, bytes. */
const ARCHIVE_LIMIT = 40 * 1024 * 1024;

export const POST = route(async (request) => {
  const account = await requireAccount();
  const outcome = await importAccount(account, await readJson(request, ARCHIVE_LIMIT));
  return outcome.ok ? Response.json(outcome.value, { status: 201 }) : refusal(422, [outcome.issue]);
});
