import { z } from "zod";
import { deleteAccount, isPasswordOf } from "@/server/accounts";
import { limitAttempts, readBody, refuse, requireAccount, route } from "@/server/route";
import { closeSession } from "@/server/sessions";

const Deletion = z.strictObject({ password: z.string().max(200) });

/** Deletes the account with everything in it; a person's asks for the password once more. */
export const DELETE = route(
  async (request) => {
    const account = await requireAccount();
    await limitAttempts("changeAccount", account.id);
    const { password } = await readBody(request, Deletion);
    if (account.kind === "user" && !(await isPasswordOf(account.id, password)))
      return refuse(403, "wrong_password", "This is not the account’s password. Nothing was deleted.", "password");
    await deleteAccount(account.id);
    await closeSession();
    return Response.json({ ok: true });
  },
  { storesNothing: true },
);
