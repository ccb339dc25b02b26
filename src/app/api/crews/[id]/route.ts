import { requireMember } from "@/server/crew-cookie";
import { crewOf } from "@/server/crews";
import { refuse, route } from "@/server/route";

/** The crew that the caller is of: his part, the drill. */
export const GET = route<{ params: Promise<{ id: string }> }>(async (_, { params }) => {
  const crew = await crewOf(await requireMember((await params).id));
  return crew ? Response.json(crew) : refuse(404, "no_such_crew", "This crew is over.");
});
