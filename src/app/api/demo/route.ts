import { createGuest } from "@/server/accounts";
import { transaction } from "@/server/database";
import { demoSituation } from "@/server/demo-library";
import { addDemoRehearsal } from "@/server/demo-rehearsal";
import { addressOf, limitAttempts, route } from "@/server/route";
import { closeSession, openSession } from "@/server/sessions";
import { addSituation } from "@/server/situations";

export const POST = route(async (request) => {
  await limitAttempts("openDemo", addressOf(request));
  const document = await demoSituation();
  await closeSession();
  const situationId = await transaction(async (connection) => {
    const accountId = await createGuest(connection);
    const id = await addSituation(accountId, document, connection);
    await addDemoRehearsal(accountId, document.aircraftId, connection);
    await openSession(accountId, connection);
    return id;
  });
  return Response.json({ situationId }, { status: 201 });
});
