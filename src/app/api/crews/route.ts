import { z } from "zod";
import { procedureFaults } from "@/core/procedure/procedure-faults";
import { RunDocument } from "@/core/procedure/run-document";
import { beginCrew } from "@/server/crews";
import { DOCUMENT_BODY, readBody, refusal, refuse, requireAccount, route } from "@/server/route";

const Begun = z.strictObject({
  aircraft: z.string().trim().min(1).max(60),
  /** Null for a flight by hand. */
  run: RunDocument.extend({ events: z.array(z.never()).max(0) }).nullable(),
});

/** Begins a crew; its code is in this answer and nowhere else. */
export const POST = route(async (request) => {
  const account = await requireAccount();
  const { aircraft, run } = await readBody(request, Begun, DOCUMENT_BODY);
  const faults = run ? procedureFaults(run.procedure) : [];
  if (faults.length > 0) return refusal(422, faults.slice(0, 20));
  const crew = await beginCrew(account.id, run, aircraft);
  return crew
    ? Response.json(crew, { status: 201 })
    : refuse(403, "too_many_crews", "Twenty crews were begun in these hours: wait, or use one of them.");
});
