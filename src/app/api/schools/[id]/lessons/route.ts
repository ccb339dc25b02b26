import { Lesson } from "@/core/school/school";
import { requireInSchool } from "@/server/in-school";
import { setLesson } from "@/server/lessons";
import { DOCUMENT_BODY, readBody, refuse, route } from "@/server/route";

/** Sets a lesson. */
export const POST = route<{ params: Promise<{ id: string }> }>(async (request, { params }) => {
  const { id } = await params;
  await requireInSchool(id, "set lessons");
  const lesson = await setLesson(id, await readBody(request, Lesson, DOCUMENT_BODY));
  return lesson === null
    ? refuse(403, "too_many_lessons", "Two hundred lessons stand: withdraw one first.")
    : Response.json({ id: lesson }, { status: 201 });
});
