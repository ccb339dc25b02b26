import { z } from "zod";
import { noSuchSchool, requireInSchool } from "@/server/in-school";
import { signHandIn } from "@/server/lessons";
import { readBody, refuse, route } from "@/server/route";
import { listSchools } from "@/server/schools";

const Signed = z.strictObject({ good: z.boolean(), words: z.string().trim().max(400, "At most 400 characters.") });

/** Signs something that a member has handed in: good, or to be flown again. */
export const PATCH = route<{ params: Promise<{ id: string; account: string; handIn: string }> }>(
  async (request, { params }) => {
    const { id, account, handIn } = await params;
    const signer = await requireInSchool(id, "sign");
    const body = await readBody(request, Signed);
    const as = (await listSchools(signer.id)).find((school) => school.id === id)?.as;
    if (as === undefined) return noSuchSchool();
    const signed = await signHandIn(id, { accountId: signer.id, name: as }, { accountId: account, id: handIn }, body);
    if (signed === "own") return refuse(403, "own_work", "Nobody signs his own.");
    return signed === "signed" ? Response.json({ ok: true }) : refuse(404, "no_such_hand_in", "There is nothing such.");
  },
);
