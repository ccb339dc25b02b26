import { z } from "zod";
import { MemberName, SchoolName } from "@/core/school/school";
import { ownHandIns } from "@/server/lessons";
import { readBody, refuse, requireAccount, route } from "@/server/route";
import { foundSchool, listSchools } from "@/server/schools";

const Founded = z.strictObject({ name: SchoolName, as: MemberName });

/** Schools that the account is in, and all that it has handed in anywhere. */
export const GET = route(async () => {
  const account = await requireAccount();
  return Response.json({ schools: await listSchools(account.id), handIns: await ownHandIns(account.id) });
});

/** Founds one; its founder owns it. */
export const POST = route(async (request) => {
  const account = await requireAccount();
  const { name, as } = await readBody(request, Founded);
  const id = await foundSchool(account.id, name, as);
  return id === null
    ? refuse(403, "too_many_schools", "You are in twenty schools: leave one first.")
    : Response.json({ id }, { status: 201 });
});
