import { readBody, refuse, requireAccount, route } from "@/server/route";
import { bytesOf, storing } from "@/server/room";
import { addRun, listRuns } from "@/server/runs";
import { SentRun } from "@/server/sent-run";
import { ownerOfShare } from "@/server/shares";

/** A run with its procedure and a thousand events, bytes. */
const RUN_BODY = 192 * 1024;

/** What came of the account's runs, the latest first; with `share` in the query those that somebody lets it read. */
export const GET = route(async (request) => {
  const account = await requireAccount();
  const share = new URL(request.url).searchParams.get("share");
  if (share === null) return Response.json({ runs: await listRuns(account.id) });
  const owner = await ownerOfShare(account.id, share.slice(0, 36), "results");
  if (owner === null) return refuse(404, "no_such_share", "These results are not shared with you, or not any more.");
  return Response.json({ runs: await listRuns(owner) });
});

/** Keeps a run; sent once more it is there once. */
export const POST = route(async (request) => {
  const account = await requireAccount();
  const sent = await readBody(request, SentRun, RUN_BODY);
  const result = await storing(account.id, { runs: 1, bytes: bytesOf(sent.run) }, (connection) =>
    addRun(account.id, sent, connection),
  );
  return Response.json({ result }, { status: 201 });
});
