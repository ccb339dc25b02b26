import { z } from "zod";
import { MOST_ATTACHMENT_BYTES } from "@/core/logbook/logbook-entry";
import { addAttachment, attachmentType } from "@/server/attachments";
import { readUpload, refusal, refuse, requireAccount, route } from "@/server/route";
import { storing } from "@/server/room";

const Named = z.object({ id: z.uuid(), name: z.string().trim().min(1).max(120) });

/** Keeps a file beside an entry: its bytes are the body, its id and name in the address. */
export const POST = route<{ params: Promise<{ id: string }> }>(async (request, { params }) => {
  const account = await requireAccount();
  const named = Named.safeParse(Object.fromEntries(new URL(request.url).searchParams));
  if (!named.success)
    return refuse(422, "name_needed", "A file has an id, and a name of at most 120 characters.", "name");
  const bytes = await readUpload(request, MOST_ATTACHMENT_BYTES, account.id);
  const type = await attachmentType(bytes, request.headers.get("content-type") ?? "");
  if (!type.ok) return refusal(422, [type.issue]);
  const entryId = (await params).id.slice(0, 40);
  const file = { ...named.data, entryId, type: type.value };
  const kept = await storing(account.id, { attachments: 1, bytes: bytes.byteLength }, (connection) =>
    addAttachment(account.id, file, bytes, connection),
  );
  return kept
    ? Response.json({ ...file, bytes: bytes.byteLength }, { status: 201 })
    : refuse(404, "no_such_document", "There is no such logbook entry of your own.");
});
