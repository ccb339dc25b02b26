import { z } from "zod";
import { readBody, refuse, requireAccount, route } from "@/server/route";
import { beginShare, listShares } from "@/server/shares";

const Begun = z.strictObject({
  what: z.enum(["results"]),
  /** What one calls oneself for the reader. */
  name: z.string().trim().min(1, "A name is needed.").max(40, "A name has at most 40 characters."),
});

/** Open shares that the account gives, or reads by. */
export const GET = route(async () => {
  const account = await requireAccount();
  return Response.json({ shares: await listShares(account.id) });
});

/** Begins a share; its code is in this answer and nowhere else. */
export const POST = route(async (request) => {
  const account = await requireAccount();
  const { what, name } = await readBody(request, Begun);
  const code = await beginShare(account.id, what, name);
  return code === null
    ? refuse(403, "too_many_shares", "Fifty shares are open: end one first.")
    : Response.json({ code }, { status: 201 });
});
