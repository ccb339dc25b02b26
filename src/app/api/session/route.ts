import { Credentials, accountForCredentials } from "@/server/accounts";
import { forgetFailures, noteFailure, waitAfterFailures } from "@/server/rate-limit";
import { addressOf, limitAttempts, readBody, refuse, refuseUntil, route } from "@/server/route";
import { closeSession, knownDevice, openSession, rememberDevice } from "@/server/sessions";

/**
 * Signs in. Failures are counted by address and by account, each with growing waits; a browser that has signed in to
 * the account before has a count of its own, so that nobody else can lock it out.
 */
export const POST = route(async (request) => {
  const address = addressOf(request);
  await limitAttempts("signIn", address);
  const credentials = await readBody(request, Credentials);
  const device = await knownDevice(credentials.email);
  const keys = device ? [`device ${device}`] : [`address ${address}`, `account ${credentials.email}`];
  refuseUntil(Math.max(...(await Promise.all(keys.map(waitAfterFailures)))));
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
