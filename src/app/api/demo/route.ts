import { createGuest } from "@/server/accounts";
import { transaction } from "@/server/database";
import { demoSituation } from "@/server/demo-library";
import { waitBefore } from "@/server/rate-limit";
import { addressOf, refuse, route } from "@/server/route";
import { closeSession, openSession } from "@/server/sessions";
import { addSituation } from "@/server/situations";

export const POST = route(async (request) => {
  const wait_s = await waitBefore("openDemo", addressOf(request));
  if (wait_s > 0)
    return refuse(429, "too_many_attempts", `Too many demos opened from here. Try again in ${wait_s} s.`, "", wait_s);
  const document = await demoSituation();
  await closeSession();
  const situationId = await transaction(async (connection) => {
    const accountId = await createGuest(connection);
    const id = await addSituation(accountId, document, connection);
    await openSession(accountId, connection);
    return id;
  });
  return Response.json({ situationId }, { status: 201 });
});
