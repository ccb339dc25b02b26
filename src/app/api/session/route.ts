import { Credentials, accountForCredentials } from "@/server/accounts";
import { waitBefore } from "@/server/rate-limit";
import { addressOf, readBody, refuse, route } from "@/server/route";
import { closeSession, openSession } from "@/server/sessions";

export const POST = route(async (request) => {
  const wait_s = await waitBefore("signIn", addressOf(request));
  if (wait_s > 0) return refuse(429, "too_many_attempts", `Too many attempts. Try again in ${wait_s} s.`);
  const credentials = await readBody(request, Credentials);
  // By account too: an address is only what the request says of itself.
  const waitForAccount_s = await waitBefore("signIn", `account ${credentials.email}`);
  if (waitForAccount_s > 0)
    return refuse(429, "too_many_attempts", `Too many attempts for this account. Try again in ${waitForAccount_s} s.`);
  const accountId = await accountForCredentials(credentials);
  if (!accountId)
    return refuse(401, "wrong_credentials", "No account has this e-mail address and password.", "password");
  await closeSession();
  await openSession(accountId);
  return Response.json({ ok: true });
});

export const DELETE = route(async () => {
  await closeSession();
  return Response.json({ ok: true });
});
