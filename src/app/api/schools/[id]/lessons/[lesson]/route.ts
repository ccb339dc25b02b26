import { requireInSchool } from "@/server/in-school";
import { withdrawLesson } from "@/server/lessons";
import { refuse, route } from "@/server/route";

/** Withdraws a lesson; what was handed in stays. */
export const DELETE = route<{ params: Promise<{ id: string; lesson: string }> }>(async (_, { params }) => {
  const { id, lesson } = await params;
  await requireInSchool(id, "set lessons");
  return (await withdrawLesson(id, lesson))
    ? Response.json({ ok: true })
    : refuse(404, "no_such_lesson", "There is no such lesson.");
});
