import { z } from "zod";
import { requireInSchool } from "@/server/in-school";
import { readBody, refuse, route } from "@/server/route";
import { makeCode } from "@/server/schools";

/** A code that lets somebody in as what it says; it is in this answer and nowhere else. */
export const POST = route<{ params: Promise<{ id: string }> }>(async (request, { params }) => {
  const { id } = await params;
  const { role } = await readBody(request, z.strictObject({ role: z.enum(["instructor", "student"]) }));
  await requireInSchool(id, role === "student" ? "invite students" : "invite instructors");
  const code = await makeCode(id, role);
  return code === null
    ? refuse(403, "too_many_codes", "Twenty codes are open: wait until one is used up or a week old.")
    : Response.json({ code }, { status: 201 });
});
