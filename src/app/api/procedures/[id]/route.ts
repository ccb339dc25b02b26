import { z } from "zod";
import { Procedure } from "@/core/procedure/procedure";
import { markProcedure, saveProcedure } from "@/server/procedures";
import { DOCUMENT_BODY, answerToSave, readBody, refuse, requireAccount, route, versionOf } from "@/server/route";
import { storing } from "@/server/room";

interface Context {
  params: Promise<{ id: string }>;
}

const missing = () => refuse(404, "no_such_procedure", "There is no such procedure of your own.");

/** Replaces the version that `If-Match` names; 412 with what was saved meanwhile. */
export const PUT = route<Context>(async (request, { params }) => {
  const account = await requireAccount();
  const version = versionOf(request);
  const document = await readBody(request, Procedure, DOCUMENT_BODY);
  if (document.id !== (await params).id)
    return refuse(422, "id_differs", "The procedure has another id than its address.", "id");
  return answerToSave(await saveProcedure(account.id, document, version), missing);
});

/** Deletes, or undoes it: `{ deleted: true | false }`. */
export const PATCH = route<Context>(async (request, { params }) => {
  const account = await requireAccount();
  const { id } = await params;
  const { deleted } = await readBody(request, z.strictObject({ deleted: z.boolean() }));
  const marked = deleted
    ? await markProcedure(account.id, id, true)
    : await storing(account.id, { procedures: 1 }, (connection) => markProcedure(account.id, id, false, connection));
  return marked ? Response.json({ ok: true }) : missing();
});
