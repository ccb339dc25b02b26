import { Credentials, createUser } from "@/server/accounts";
import { addSituation } from "@/server/situations";
import { demoSituation } from "@/server/demo-library";
import { waitBefore } from "@/server/rate-limit";
import { addressOf, readBody, refuse, route } from "@/server/route";
import { closeSession, openSession } from "@/server/sessions";

export const POST = route(async (request) => {
  const wait_s = await waitBefore("createAccount", addressOf(request));
  if (wait_s > 0) return refuse(429, "too_many_attempts", `Too many new accounts from here. Try again in ${wait_s} s.`);
  const credentials = await readBody(request, Credentials);
  const accountId = await createUser(credentials);
  if (!accountId)
    return refuse(
      409,
      "address_taken",
      "There is an account with this e-mail address already. Sign in instead.",
      "email",
    );
  // A first situation to change, rather than an empty page.
  await addSituation(accountId, { ...(await demoSituation()), name: "My first situation" });
  await closeSession();
  await openSession(accountId);
  return Response.json({ ok: true }, { status: 201 });
});
