import { z } from "zod";
import { SHOWN } from "@/core/exercise/flight-crew";
import { requireMember } from "@/server/crew-cookie";
import { showFlight } from "@/server/crew-shown";
import { DOCUMENT_BODY, readBody, refuse, route } from "@/server/route";

interface Context {
  params: Promise<{ id: string }>;
}

/** An aircraft, a procedure and a drill of many events at most. */
const SHOWN_BODY = 6 * DOCUMENT_BODY;

const Body = z
  .strictObject(SHOWN)
  .partial()
  .refine((shown) => Object.keys(shown).length > 0, "Nothing is shown by it.");

/** Shows what has changed of a flight to those who look on. */
export const POST = route<Context>(async (request, { params }) => {
  const member = await requireMember((await params).id);
  const refused = await showFlight(member, await readBody(request, Body, SHOWN_BODY));
  return refused === null ? Response.json({ shown: true }) : refuse(403, "not_yours", refused);
});
