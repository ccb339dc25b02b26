import { z } from "zod";
import { addressOf, limitAttempts, readBody, refuse, requireAccount, route } from "@/server/route";
import { claimShare } from "@/server/shares";

/** Claims a share by its code: from then on the account reads by it. */
export const POST = route(async (request) => {
  const account = await requireAccount();
  await limitAttempts("claimCode", addressOf(request));
  const { code } = await readBody(request, z.strictObject({ code: z.string().min(1).max(20) }));
  return (await claimShare(account.id, code))
    ? Response.json({ ok: true }, { status: 201 })
    : refuse(404, "no_such_code", "There is no such code: it is mistyped, older than seven days, or claimed already.");
});
