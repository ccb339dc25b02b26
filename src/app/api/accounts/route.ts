import { Credentials, createUser } from "@/server/accounts";
import { transaction } from "@/server/database";
import { demoSituation } from "@/server/demo-library";
import { faultOfPassword } from "@/server/passwords";
import { addressOf, limitAttempts, readBody, refusal, refuse, route } from "@/server/route";
import { openSession, rememberDevice } from "@/server/sessions";
import { addSituation } from "@/server/situations";

export const POST = route(async (request) => {
  await limitAttempts("createAccount", addressOf(request));
  const credentials = await readBody(request, Credentials);
  const fault = await faultOfPassword(credentials.password, credentials.email);
  if (fault) return refusal(422, [fault]);
  // A first situation to change, rather than an empty page.
  const document = { ...(await demoSituation()), name: "Tarn Reach: engine stopped near Skerrow" };
  const accountId = await transaction(async (connection) => {
    const id = await createUser(credentials, connection);
    if (id) {
      await addSituation(id, document, connection);
      await openSession(id, connection);
    }
    return id;
  });
  if (!accountId)
    return refuse(
      409,
      "address_taken",
      "There is an account with this e-mail address already. Sign in instead.",
      "email",
    );
  await rememberDevice(accountId);
  return Response.json({ ok: true }, { status: 201 });
});
