import { z } from "zod";
import { Password, changePassword, isPasswordOf } from "@/server/accounts";
import { transaction } from "@/server/database";
import { faultOfPassword } from "@/server/passwords";
import { limitAttempts, readBody, refusal, refuse, requireAccount, route } from "@/server/route";
import { endOtherSessions } from "@/server/sessions";

const Change = z.strictObject({ current: Password, password: Password });

/** Changes the password; every other session ends with the old one. */
export const PUT = route(async (request) => {
  const account = await requireAccount();
  if (account.kind !== "user") return refuse(403, "guest", "A guest has no password.");
  await limitAttempts("changeAccount", account.id);
  const { current, password } = await readBody(request, Change);
  if (!(await isPasswordOf(account.id, current)))
    return refuse(403, "wrong_password", "This is not the present password. Nothing was changed.", "current");
  const fault = await faultOfPassword(password, account.email ?? "");
  if (fault) return refusal(422, [fault]);
  await transaction(async (connection) => {
    await changePassword(account.id, password, connection);
    await endOtherSessions(account.id, connection);
  });
  return Response.json({ ok: true });
});
