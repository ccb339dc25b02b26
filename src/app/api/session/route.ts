import { Credentials, accountForCredentials } from "@/server/accounts";
import { forgetFailures, noteFailure, waitAfterFailures, waitBefore } from "@/server/rate-limit";
import { addressOf, readBody, refuse, route } from "@/server/route";
import { closeSession, knownDevice, openSession, rememberDevice } from "@/server/sessions";

const wait = (wait_s: number) =>
  refuse(429, "too_many_attempts", `Too many attempts. Try again in ${wait_s} s.`, "", wait_s);

/**
 * Signs in. Failures are counted by address and by account, each with growing waits; a browser that has signed in to
 * the account before has a count of its own, so that nobody else can lock it out.
 */
export const POST = route(async (request) => {
  const address = addressOf(request);
  const wait_s = await waitBefore("signIn", address);
  if (wait_s > 0) return wait(wait_s);
  const credentials = await readBody(request, Credentials);
  const device = await knownDevice(credentials.email);
  const keys = device ? [`device ${device}`] : [`address ${address}`, `account ${credentials.email}`];
  const waits = await Promise.all(keys.map(waitAfterFailures));
  if (Math.max(...waits) > 0) return wait(Math.max(...waits));
  const accountId = await accountForCredentials(credentials);
  if (!accountId) {
    await Promise.all(keys.map(noteFailure));
    return refuse(401, "wrong_credentials", "No account has this e-mail address and password.", "password");
  }
  await Promise.all(keys.filter((key) => !key.startsWith("address")).map(forgetFailures));
  await closeSession();
  await openSession(accountId);
  await rememberDevice(accountId);
  return Response.json({ ok: true });
});

export const DELETE = route(
  async () => {
    await closeSession();
    return Response.json({ ok: true });
  },
  { storesNothing: true },
);
