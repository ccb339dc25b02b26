import { z } from "zod";
import { Email, Password, changeEmail, isPasswordOf } from "@/server/accounts";
import { waitBefore } from "@/server/rate-limit";
import { readBody, refuse, requireAccount, route } from "@/server/route";

const Change = z.strictObject({ email: Email, password: Password });

/** Changes the address that one signs in with. */
export const PUT = route(async (request) => {
  const account = await requireAccount();
  if (account.kind !== "user") return refuse(403, "guest", "A guest has no e-mail address.");
  const wait_s = await waitBefore("changeAccount", account.id);
  if (wait_s > 0) return refuse(429, "too_many_attempts", `Too many attempts. Try again in ${wait_s} s.`, "", wait_s);
  const { email, password } = await readBody(request, Change);
  if (!(await isPasswordOf(account.id, password)))
    return refuse(403, "wrong_password", "This is not the account’s password. Nothing was changed.", "password");
  return (await changeEmail(account.id, email))
    ? Response.json({ email })
    : refuse(409, "address_taken", "There is an account with this e-mail address already.", "email");
});
