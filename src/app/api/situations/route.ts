import { SituationOfAnyVersion } from "@/core/situation/situation-versions";
import { readBody, refusal, requireAccount, route } from "@/server/route";
import { missingReferences } from "@/server/situation-references";
import { addSituation, listSituations } from "@/server/situations";

export const GET = route(async () => {
  const account = await requireAccount();
  return Response.json({ situations: await listSituations(account.id) });
});

export const POST = route(async (request) => {
  const account = await requireAccount();
  const document = await readBody(request, SituationOfAnyVersion);
  const unusable = await missingReferences(account.id, document);
  if (unusable.length > 0) return refusal(422, unusable);
  return Response.json({ id: await addSituation(account.id, document) }, { status: 201 });
});
