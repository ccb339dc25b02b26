import { z } from "zod";
import { deleteAccount, isPasswordOf } from "@/server/accounts";
import { waitBefore } from "@/server/rate-limit";
import { readBody, refuse, requireAccount, route } from "@/server/route";
import { closeSession } from "@/server/sessions";

const Deletion = z.strictObject({ password: z.string().max(200) });

/** Deletes the account with everything in it; a person's asks for the password once more. */
export const DELETE = route(
  async (request) => {
    const account = await requireAccount();
    const wait_s = await waitBefore("changeAccount", account.id);
    if (wait_s > 0) return refuse(429, "too_many_attempts", `Too many attempts. Try again in ${wait_s} s.`, "", wait_s);
    const { password } = await readBody(request, Deletion);
    if (account.kind === "user" && !(await isPasswordOf(account.id, password)))
      return refuse(403, "wrong_password", "This is not the account’s password. Nothing was deleted.", "password");
    await deleteAccount(account.id);
    await closeSession();
    return Response.json({ ok: true });
  },
  { storesNothing: true },
);
