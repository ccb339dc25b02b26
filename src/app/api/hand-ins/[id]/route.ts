import { takeBack } from "@/server/lessons";
import { refuse, requireAccount, route } from "@/server/route";

/** Takes back something of one's own that nobody has signed. */
export const DELETE = route<{ params: Promise<{ id: string }> }>(async (_, { params }) => {
  const account = await requireAccount();
  return (await takeBack(account.id, (await params).id.slice(0, 36)))
    ? Response.json({ ok: true })
    : refuse(404, "no_such_hand_in", "There is nothing such that could be taken back: what is signed stays.");
});
