// The cookie that makes a browser a member of a crew: for that crew only, gone with it.
import { cookies, headers } from "next/headers";
import { type Member, memberOf } from "./crews";
import { Refusal, refuse } from "./route";

const LIFETIME_S = 12 * 3600;
const nameOf = (crewId: string) => `utrimax_crew_${crewId.slice(0, 8)}`;

/** Makes the browser a member. */
export async function setMember(crewId: string, token: string): Promise<void> {
  const secure = (await headers()).get("x-utrimax-secure") === "1";
  (await cookies()).set(nameOf(crewId), token, {
    httpOnly: true,
    sameSite: "lax",
    path: "/",
    maxAge: LIFETIME_S,
    secure,
  });
}

/** The caller as a member of a crew; null when he is none. */
export async function currentMember(crewId: string): Promise<Member | null> {
  return memberOf(crewId, (await cookies()).get(nameOf(crewId))?.value);
}

/** The caller as a member of a crew; answers 404 otherwise, so that nobody learns which there are. */
export async function requireMember(crewId: string): Promise<Member> {
  const member = await currentMember(crewId.slice(0, 36));
  if (!member) throw new Refusal(refuse(404, "no_such_crew", "There is no such crew, or you are not of it."));
  return member;
}
