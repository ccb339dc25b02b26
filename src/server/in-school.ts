// Who asks something of a school, and whether he may: what one is no member of does not exist for him.
import type { SchoolDeed } from "@/core/school/school";
import type { Account } from "./accounts";
import { Refusal, refuse, requireAccount } from "./route";
import { mayIn } from "./schools";

/** The answer about a school that does not exist for who asks. */
export const noSuchSchool = () => refuse(404, "no_such_school", "There is no such school of yours.");

/**
 * The account that asks, where it may do that in the school.
 *
 * @throws {Refusal} 404 where it is no member, 403 where its role does not do that
 */
export async function requireInSchool(schoolId: string, deed: SchoolDeed): Promise<Account> {
  const account = await requireAccount();
  const may = await mayIn(account.id, schoolId, deed);
  if (may === "missing") throw new Refusal(noSuchSchool());
  if (may === "no") throw new Refusal(refuse(403, "not_yours_to_do", `In this school your role does not ${deed}.`));
  return account;
}
