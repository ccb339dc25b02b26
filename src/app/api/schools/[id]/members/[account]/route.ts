import { z } from "zod";
import { SCHOOL_ROLES } from "@/core/school/school";
import { noSuchSchool, requireInSchool } from "@/server/in-school";
import { readBody, refuse, requireAccount, route } from "@/server/route";
import { type Changed, leaveSchool, roleIn, setRole } from "@/server/schools";

interface Context {
  params: Promise<{ id: string; account: string }>;
}

const answer = (changed: Changed) => {
  if (changed === "done") return Response.json({ ok: true });
  if (changed === "missing") return refuse(404, "no_such_member", "There is no such member.");
  return refuse(409, "last_owner", "A school has an owner: make somebody else one first, or end the school.");
};

/** Makes a member something else. */
export const PATCH = route<Context>(async (request, { params }) => {
  const { id, account } = await params;
  await requireInSchool(id, "set roles");
  const { role } = await readBody(request, z.strictObject({ role: z.enum(SCHOOL_ROLES) }));
  return answer(await setRole(id, account, role));
});

/** Leaves, or takes a member out: students by who teaches, teachers by an owner. */
export const DELETE = route<Context>(async (_, { params }) => {
  const { id, account } = await params;
  const asking = await requireAccount();
  if (asking.id === account) {
    const changed = await leaveSchool(id, account);
    return changed === "missing" ? noSuchSchool() : answer(changed);
  }
  const role = await roleIn(account, id);
  await requireInSchool(id, role === "student" || role === null ? "remove students" : "set roles");
  return answer(await leaveSchool(id, account));
});
