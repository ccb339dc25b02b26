import { addFlight, listFlights } from "@/server/flights";
import { readUpload, refusal, refuse, requireAccount, route } from "@/server/route";
import { storing } from "@/server/room";
import { MOST_PACKED } from "@/server/sent-flight";
import { ownerOfShare } from "@/server/shares";
import { inThread } from "@/server/threads";

/** Reading the longest takes a second. */
const READING_MS = 15_000;

/** What came of the account's flights, the latest first; with `share` in the query those that somebody lets it read. */
export const GET = route(async (request) => {
  const account = await requireAccount();
  const share = new URL(request.url).searchParams.get("share");
  if (share === null) return Response.json({ flights: await listFlights(account.id) });
  const owner = await ownerOfShare(account.id, share.slice(0, 36), "results");
  if (owner === null) return refuse(404, "no_such_share", "These results are not shared with you, or not any more.");
  return Response.json({ flights: await listFlights(owner) });
});

/** Keeps a flight, gzip of JSON; sent once more it is there once. */
export const POST = route(async (request) => {
  const account = await requireAccount();
  const bytes = await readUpload(request, MOST_PACKED, account.id);
  const asking = { client: account.id, signal: request.signal, limit_ms: READING_MS };
  const read = await inThread("files", "checkFlight", { bytes }, asking);
  if (!read.ok) return refusal(422, [read.issue]);
  await storing(account.id, { flights: 1, bytes: bytes.byteLength }, (connection) =>
    addFlight(account.id, read.value, connection),
  );
  return Response.json({ id: read.value.id }, { status: 201 });
});
