import { z } from "zod";
import { HAND_IN_KINDS } from "@/core/school/school";
import { handedSource } from "@/server/handed-source";
import { requireInSchool } from "@/server/in-school";
import { handIn, listLessons } from "@/server/lessons";
import { readBody, refusal, refuse, route } from "@/server/route";
import { storing } from "@/server/room";
import { inThread } from "@/server/threads";

/** A flight of an hour is flown again in some seconds. */
const SCORING_MS = 60_000;

const Handed = z.strictObject({
  lessonId: z.uuid(),
  exerciseId: z.string().max(40),
  kind: z.enum(HAND_IN_KINDS),
  sourceId: z.uuid(),
});

/** Hands in a run, a flight or a log of one's own for a lesson: scored here, by the lesson's limits. */
export const POST = route<{ params: Promise<{ id: string }> }>(async (request, { params }) => {
  const { id } = await params;
  const account = await requireInSchool(id, "hand in");
  const { lessonId, exerciseId, kind, sourceId } = await readBody(request, Handed);
  const lesson = (await listLessons(id)).find((one) => one.id === lessonId);
  const part = lesson?.lesson.parts.find((one) => one.exerciseId === exerciseId);
  if (!part) return refuse(404, "no_such_lesson", "There is no such lesson with that exercise.", "lessonId");
  if (!part.ways.includes(kind))
    return refuse(422, "way_not_counted", "For this exercise the lesson does not take that.", "kind");
  const found = await handedSource(account.id, kind, sourceId);
  if (!found) return refuse(404, "no_such_source", "There is no such run, flight or log of your own.", "sourceId");
  const { source, ...about } = found;
  const asking = { client: account.id, signal: request.signal, limit_ms: SCORING_MS };
  const verdict = await inThread("files", "scoreHandIn", { part, source }, asking);
  if (!verdict.ok) return refusal(422, [verdict.issue]);
  const result = { kind, sourceId, ...about, verdict: verdict.value };
  const handed = await storing(account.id, { handIns: 1 }, (connection) =>
    handIn(account.id, { schoolId: id, lessonId, exerciseId, result }, connection),
  );
  return handed
    ? Response.json(result, { status: 201 })
    : refuse(404, "no_such_lesson", "This lesson has been withdrawn.", "lessonId");
});
