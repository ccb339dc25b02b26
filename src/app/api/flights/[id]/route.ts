import { deleteFlight, flightOf } from "@/server/flights";
import { refuse, requireAccount, route } from "@/server/route";
import { ownerOfShare } from "@/server/shares";

interface Context {
  params: Promise<{ id: string }>;
}

const missing = () => refuse(404, "no_such_flight", "There is no such flight that you may look at.");

/** A flight as it was sent, gzip of JSON; with `share` in the query one that somebody lets the account read. */
export const GET = route<Context>(async (request, { params }) => {
  const account = await requireAccount();
  const share = new URL(request.url).searchParams.get("share");
  const owner = share === null ? account.id : await ownerOfShare(account.id, share.slice(0, 36), "results");
  const packed = owner === null ? null : await flightOf(owner, (await params).id.slice(0, 36));
  if (!packed) return missing();
  // Not as a content encoding: the server would strip that.
  return new Response(new Uint8Array(packed), { headers: { "content-type": "application/gzip" } });
});

export const DELETE = route<Context>(async (_, { params }) => {
  const account = await requireAccount();
  return (await deleteFlight(account.id, (await params).id.slice(0, 36))) ? Response.json({ ok: true }) : missing();
});
