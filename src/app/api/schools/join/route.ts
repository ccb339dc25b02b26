import { z } from "zod";
import { MemberName } from "@/core/school/school";
import { addressOf, limitAttempts, readBody, refuse, requireAccount, route } from "@/server/route";
import { joinSchool } from "@/server/schools";

const Joining = z.strictObject({ code: z.string().min(1).max(20), as: MemberName });

const REFUSED = {
  no_such_code: [404, "There is no such code: it is mistyped, older than seven days, or used up."],
  already_in: [409, "You are in this school already."],
  full: [403, "This school is full, or you are in twenty schools."],
} as const;

/** Joins a school by its code. */
export const POST = route(async (request) => {
  const account = await requireAccount();
  await limitAttempts("claimCode", addressOf(request));
  const { code, as } = await readBody(request, Joining);
  const joined = await joinSchool(account.id, code, as);
  if (joined.state === "joined") return Response.json({ id: joined.schoolId }, { status: 201 });
  const [status, words] = REFUSED[joined.state];
  return refuse(status, joined.state, words, "code");
});
