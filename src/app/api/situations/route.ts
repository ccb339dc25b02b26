import { listAircraft } from "@/server/aircraft";
import { SituationDocument } from "@/core/situation/situation-document";
import { readBody, refuse, requireAccount, route } from "@/server/route";
import { addSituation, listSituations } from "@/server/situations";

export const GET = route(async () => {
  const account = await requireAccount();
  return Response.json({ situations: await listSituations(account.id) });
});

export const POST = route(async (request) => {
  const account = await requireAccount();
  const document = await readBody(request, SituationDocument);
  const usable = (await listAircraft(account.id)).some((aircraft) => aircraft.id === document.aircraftId);
  if (!usable) return refuse(422, "no_such_aircraft", "The aircraft of this situation is not in your library.", "aircraftId");
  return Response.json({ id: await addSituation(account.id, document) }, { status: 201 });
});
