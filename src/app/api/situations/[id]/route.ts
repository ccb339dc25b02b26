import { z } from "zod";
import { SituationOfAnyVersion } from "@/core/situation/situation-versions";
import {
  DOCUMENT_BODY,
  answerToSave,
  readBody,
  refusal,
  refuse,
  requireAccount,
  route,
  versionOf,
} from "@/server/route";
import { storing } from "@/server/room";
import { missingReferences } from "@/server/situation-references";
import { markSituation, saveSituation, situationOf } from "@/server/situations";

interface Context {
  params: Promise<{ id: string }>;
}

const missing = () => refuse(404, "no_such_situation", "There is no such situation in your account.");

export const GET = route<Context>(async (_, { params }) => {
  const account = await requireAccount();
  const situation = await situationOf(account.id, (await params).id);
  return situation ? Response.json(situation, { headers: { etag: `"${situation.version}"` } }) : missing();
});

/** Replaces the version that `If-Match` names; 412 with what was saved meanwhile. */
export const PUT = route<Context>(async (request, { params }) => {
  const account = await requireAccount();
  const version = versionOf(request);
  const document = await readBody(request, SituationOfAnyVersion, DOCUMENT_BODY);
  const unusable = await missingReferences(account.id, document);
  if (unusable.length > 0) return refusal(422, unusable);
  return answerToSave(await saveSituation(account.id, (await params).id, document, version), missing);
});

/** Deletes, or undoes it: `{ deleted: true | false }`. */
export const PATCH = route<Context>(async (request, { params }) => {
  const account = await requireAccount();
  const { id } = await params;
  const { deleted } = await readBody(request, z.strictObject({ deleted: z.boolean() }));
  // What comes back needs room again.
  const marked = deleted
    ? await markSituation(account.id, id, true)
    : await storing(account.id, { situations: 1 }, (connection) => markSituation(account.id, id, false, connection));
  return marked ? Response.json({ ok: true }) : missing();
});
