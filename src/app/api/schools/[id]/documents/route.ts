import { requireInSchool } from "@/server/in-school";
import { DOCUMENT_BODY, readBody, refuse, route } from "@/server/route";
import { SharedDocument, shareDocument } from "@/server/school-documents";

/** Puts a copy of a document into the school. */
export const POST = route<{ params: Promise<{ id: string }> }>(async (request, { params }) => {
  const { id } = await params;
  await requireInSchool(id, "share");
  return (await shareDocument(id, await readBody(request, SharedDocument, DOCUMENT_BODY)))
    ? Response.json({ ok: true }, { status: 201 })
    : refuse(403, "school_full", "The school holds 200 documents, 8 MB: take one away first.");
});
