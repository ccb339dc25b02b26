import { z } from "zod";
import { SchoolName, mayDo } from "@/core/school/school";
import { noSuchSchool, requireInSchool } from "@/server/in-school";
import { listLessons, schoolHandIns } from "@/server/lessons";
import { readBody, route } from "@/server/route";
import { listShared } from "@/server/school-documents";
import { dissolveSchool, listSchools, renameSchool, schoolMembers } from "@/server/schools";

interface Context {
  params: Promise<{ id: string }>;
}

/** A school as its member sees it: who teaches see everybody and all that was handed in; students see who teaches. */
export const GET = route<Context>(async (_, { params }) => {
  const { id } = await params;
  const account = await requireInSchool(id, "read");
  const school = (await listSchools(account.id)).find((one) => one.id === id);
  if (!school) return noSuchSchool();
  const all = mayDo(school.role, "read everybody");
  const members = await schoolMembers(id);
  return Response.json({
    ...school,
    me: account.id,
    members: all ? members : members.filter(({ role, accountId }) => role !== "student" || accountId === account.id),
    lessons: await listLessons(id),
    documents: await listShared(id),
    handIns: await schoolHandIns(id, all ? null : account.id),
  });
});

/** Calls it something else. */
export const PATCH = route<Context>(async (request, { params }) => {
  const { id } = await params;
  await requireInSchool(id, "rename");
  await renameSchool(id, (await readBody(request, z.strictObject({ name: SchoolName }))).name);
  return Response.json({ ok: true });
});

/** Ends it for all. */
export const DELETE = route<Context>(async (_, { params }) => {
  const { id } = await params;
  await requireInSchool(id, "dissolve");
  await dissolveSchool(id);
  return Response.json({ ok: true });
});
