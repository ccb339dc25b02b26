import { LIBRARY_ACCOUNT, createGuest } from "@/server/accounts";
import { aircraftOf } from "@/server/aircraft";
import { transaction } from "@/server/database";
import { demoSituation } from "@/server/demo-library";
import { addDemoLogs, demoLogs } from "@/server/demo-logs";
import { addDemoRehearsal } from "@/server/demo-rehearsal";
import { addDemoRecords, demoTestCard } from "@/server/demo-records";
import { addressOf, limitAttempts, route } from "@/server/route";
import { closeSession, openSession } from "@/server/sessions";
import { addSituation } from "@/server/situations";

export const POST = route(async (request) => {
  await limitAttempts("openDemo", addressOf(request));
  const document = await demoSituation();
  // Before the transaction: one that waits for a second connection while it holds its first may wait for ever.
  const aircraft = await aircraftOf(LIBRARY_ACCOUNT, document.aircraftId);
  const logs = aircraft ? await demoLogs(aircraft) : [];
  const card = aircraft && (await demoTestCard(aircraft, logs));
  await closeSession();
  const situationId = await transaction(async (connection) => {
    const accountId = await createGuest(connection);
    const id = await addSituation(accountId, document, connection);
    if (aircraft) await addDemoRehearsal(accountId, aircraft, connection);
    await addDemoLogs(accountId, logs, connection);
    await addDemoRecords(accountId, card, connection);
    await openSession(accountId, connection);
    return id;
  });
  return Response.json({ situationId }, { status: 201 });
});
