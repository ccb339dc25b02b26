import { deleteLog, logOf } from "@/server/logs";
import { refuse, requireAccount, route } from "@/server/route";

interface Context {
  params: Promise<{ id: string }>;
}

const missing = () => refuse(404, "no_such_log", "There is no such log that you may look at.");

/** A log as it was sent, gzip of JSON. */
export const GET = route<Context>(async (_, { params }) => {
  const account = await requireAccount();
  const packed = await logOf(account.id, (await params).id.slice(0, 36));
  if (!packed) return missing();
  // Not as a content encoding: the server would strip that.
  return new Response(new Uint8Array(packed), { headers: { "content-type": "application/gzip" } });
});

export const DELETE = route<Context>(async (_, { params }) => {
  const account = await requireAccount();
  return (await deleteLog(account.id, (await params).id.slice(0, 36))) ? Response.json({ ok: true }) : missing();
});
