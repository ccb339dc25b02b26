import { Procedure } from "@/core/procedure/procedure";
import { ProcedureIdTaken, addProcedure, listProcedures } from "@/server/procedures";
import { DOCUMENT_BODY, readBody, refuse, requireAccount, route } from "@/server/route";
import { bytesOf, storing } from "@/server/room";

/** Procedures of the account's own, by name. */
export const GET = route(async () => {
  const account = await requireAccount();
  return Response.json({ procedures: await listProcedures(account.id) });
});

/** Adds a procedure under the id that it brings. One that is not sound yet is kept too: it is flown when it is. */
export const POST = route(async (request) => {
  const account = await requireAccount();
  const document = await readBody(request, Procedure, DOCUMENT_BODY);
  try {
    const version = await storing(account.id, { procedures: 1, bytes: bytesOf(document) }, (connection) =>
      addProcedure(account.id, document, connection),
    );
    return Response.json({ id: document.id, version }, { status: 201 });
  } catch (error) {
    if (error instanceof ProcedureIdTaken)
      return refuse(409, "id_taken", "A procedure of that id is somebody else’s.", "id");
    throw error;
  }
});
