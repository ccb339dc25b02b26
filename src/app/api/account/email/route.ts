import { z } from "zod";
import { Email, Password, changeEmail, isPasswordOf } from "@/server/accounts";
import { limitAttempts, readBody, refuse, requireAccount, route } from "@/server/route";

const Change = z.strictObject({ email: Email, password: Password });

/** Changes the address that one signs in with. */
export const PUT = route(async (request) => {
  const account = await requireAccount();
  if (account.kind !== "user") return refuse(403, "guest", "A guest has no e-mail address.");
  await limitAttempts("changeAccount", account.id);
  const { email, password } = await readBody(request, Change);
  if (!(await isPasswordOf(account.id, password)))
    return refuse(403, "wrong_password", "This is not the account’s password. Nothing was changed.", "password");
  return (await changeEmail(account.id, email))
    ? Response.json({ email })
    : refuse(409, "address_taken", "There is an account with this e-mail address already.", "email");
});
