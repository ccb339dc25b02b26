import { refuse, requireAccount, route } from "@/server/route";
import { endShare } from "@/server/shares";

/** Ends a share, by its owner or its reader. */
export const DELETE = route<{ params: Promise<{ id: string }> }>(async (_, { params }) => {
  const account = await requireAccount();
  return (await endShare(account.id, (await params).id.slice(0, 36)))
    ? Response.json({ ok: true })
    : refuse(404, "no_such_share", "There is no such share.");
});
