import { z } from "zod";
import { SituationOfAnyVersion } from "@/core/situation/situation-versions";
import { readBody, refusal, refuse, requireAccount, route } from "@/server/route";
import { missingReferences } from "@/server/situation-references";
import { markSituation, saveSituation } from "@/server/situations";

interface Context {
  params: Promise<{ id: string }>;
}

const missing = () => refuse(404, "no_such_situation", "There is no such situation in your account.");

export const PUT = route<Context>(async (request, { params }) => {
  const account = await requireAccount();
  const document = await readBody(request, SituationOfAnyVersion);
  const unusable = await missingReferences(account.id, document);
  if (unusable.length > 0) return refusal(422, unusable);
  return (await saveSituation(account.id, (await params).id, document)) ? Response.json({ ok: true }) : missing();
});

/** Deletes, or undoes it: `{ deleted: true | false }`. */
export const PATCH = route<Context>(async (request, { params }) => {
  const account = await requireAccount();
  const { deleted } = await readBody(request, z.strictObject({ deleted: z.boolean() }));
  return (await markSituation(account.id, (await params).id, deleted)) ? Response.json({ ok: true }) : missing();
});
