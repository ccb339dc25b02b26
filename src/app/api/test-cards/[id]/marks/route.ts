import { z } from "zod";
import { CardMark, MOST_MARKS } from "@/core/series/test-card";
import { addMarks } from "@/server/card-marks";
import { DOCUMENT_BODY, readBody, refuse, requireAccount, route } from "@/server/route";

const Sent = z.strictObject({ marks: z.array(CardMark).max(100, "At most a hundred marks at once.") });

/** Adds marks of a device, and answers with those of all. */
export const POST = route<{ params: Promise<{ id: string }> }>(async (request, { params }) => {
  const account = await requireAccount();
  const { marks } = await readBody(request, Sent, DOCUMENT_BODY);
  const marked = await addMarks(account.id, (await params).id.slice(0, 40), marks);
  if (marked.state === "missing") return refuse(404, "no_such_document", "There is no such test card of your own.");
  if (marked.state === "full") return refuse(403, "card_full", `A card holds ${MOST_MARKS} marks. Nothing was stored.`);
  return Response.json({ marks: marked.marks });
});
