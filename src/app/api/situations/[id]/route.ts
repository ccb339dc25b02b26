import { z } from "zod";
import { SituationDocument } from "@/core/situation/situation-document";
import { listAircraft } from "@/server/aircraft";
import { readBody, refuse, requireAccount, route } from "@/server/route";
import { markSituation, saveSituation } from "@/server/situations";

interface Context {
  params: Promise<{ id: string }>;
}

const missing = () => refuse(404, "no_such_situation", "There is no such situation in your account.");

export const PUT = route<Context>(async (request, { params }) => {
  const account = await requireAccount();
  const document = await readBody(request, SituationDocument);
  const usable = (await listAircraft(account.id)).some((aircraft) => aircraft.id === document.aircraftId);
  if (!usable) return refuse(422, "no_such_aircraft", "The aircraft of this situation is not in your library.", "aircraftId");
  return (await saveSituation(account.id, (await params).id, document)) ? Response.json({ ok: true }) : missing();
});

/** Deletes, or undoes it: `{ deleted: true | false }`. */
export const PATCH = route<Context>(async (request, { params }) => {
  const account = await requireAccount();
  const { deleted } = await readBody(request, z.strictObject({ deleted: z.boolean() }));
  return (await markSituation(account.id, (await params).id, deleted)) ? Response.json({ ok: true }) : missing();
});
