// The routes of documents of one's own: listed, added, replaced, deleted.
import { z } from "zod";
import { DocumentIdTaken, type OwnDocuments } from "./own-documents";
import { DOCUMENT_BODY, answerToSave, readBody, refuse, requireAccount, route, versionOf } from "./route";
import { bytesOf, storing } from "./room";

interface Context {
  params: Promise<{ id: string }>;
}

/** Listing by name, and adding under the id that it brings. What is not sound yet is kept too. */
export function listRoutes<T extends { readonly id: string }>(own: OwnDocuments<T>) {
  return {
    GET: route(async () => {
      const account = await requireAccount();
      return Response.json({ documents: await own.list(account.id) });
    }),
    POST: route(async (request) => {
      const account = await requireAccount();
      const document = await readBody(request, own.schema, DOCUMENT_BODY);
      try {
        const version = await storing(account.id, { [own.quota]: 1, bytes: bytesOf(document) }, (connection) =>
          own.add(account.id, document, connection),
        );
        return Response.json({ id: document.id, version }, { status: 201 });
      } catch (error) {
        if (error instanceof DocumentIdTaken)
          return refuse(409, "id_taken", `A ${own.noun} of that id is somebody else’s.`, "id");
        throw error;
      }
    }),
  };
}

/** Replacing the version that `If-Match` names, 412 with what was saved meanwhile; deleting and undoing it. */
export function oneRoutes<T extends { readonly id: string }>(own: OwnDocuments<T>) {
  const missing = () => refuse(404, "no_such_document", `There is no such ${own.noun} of your own.`);
  return {
    PUT: route<Context>(async (request, { params }) => {
      const account = await requireAccount();
      const version = versionOf(request);
      const document = await readBody(request, own.schema, DOCUMENT_BODY);
      if (document.id !== (await params).id)
        return refuse(422, "id_differs", `The ${own.noun} has another id than its address.`, "id");
      return answerToSave(await own.save(account.id, document, version), missing);
    }),
    /** `{ deleted: true | false }` */
    PATCH: route<Context>(async (request, { params }) => {
      const account = await requireAccount();
      const { id } = await params;
      const { deleted } = await readBody(request, z.strictObject({ deleted: z.boolean() }));
      const marked = deleted
        ? await own.mark(account.id, id, true)
        : await storing(account.id, { [own.quota]: 1 }, (connection) => own.mark(account.id, id, false, connection));
      return marked ? Response.json({ ok: true }) : missing();
    }),
  };
}
