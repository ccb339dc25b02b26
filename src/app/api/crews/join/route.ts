import { z } from "zod";
import { CrewRole } from "@/core/procedure/crew-run";
import { setMember } from "@/server/crew-cookie";
import { crewOfCode, joinCrew } from "@/server/crews";
import { addressOf, limitAttempts, readBody, refuse, route } from "@/server/route";

const missing = () => refuse(404, "no_such_crew", "There is no crew of this code: it is mistyped, or over.");

/** With a part: joins in it. Without: which parts the crew of a code has, and which are free. No account is needed. */
export const POST = route(async (request) => {
  await limitAttempts("claimCode", addressOf(request));
  const { code, role } = await readBody(
    request,
    z.strictObject({ code: z.string().min(1).max(20), role: CrewRole.nullable() }),
  );
  if (role === null) {
    const crew = await crewOfCode(code);
    return crew ? Response.json(crew) : missing();
  }
  const joined = await joinCrew(code, role);
  if (joined === "no_such_crew") return missing();
  if (joined === "taken") return refuse(409, "taken", "Somebody has that part already: choose another.");
  await setMember(joined.id, joined.token);
  return Response.json({ id: joined.id }, { status: 201 });
});
