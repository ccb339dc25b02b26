import { z } from "zod";
import { SituationOfAnyVersion } from "@/core/situation/situation-versions";
import { issuesOf } from "@/core/outcome";
import { DOCUMENT_BODY, readBody, refusal, requireAccount, route } from "@/server/route";
import { bytesOf, storing } from "@/server/room";
import { missingReferences } from "@/server/situation-references";
import { LONGEST_PAGE, addSituation, pageOfSituations } from "@/server/situations";

const Query = z.object({
  /** `next` of the page before. */
  after: z
    .string()
    .regex(/^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d\.\d{3}Z_[0-9a-zA-Z-]{1,64}$/, "after is the “next” of a page before.")
    .nullable()
    .transform((after) => (after === null ? null : { updatedAt: new Date(after.slice(0, 24)), id: after.slice(25) }))
    .refine((after) => !after || Number.isFinite(after.updatedAt.getTime()), "after is the “next” of a page before."),
  limit: z.coerce.number().int().min(1).max(LONGEST_PAGE),
  name: z.string().max(80),
});

/** Names and times, the latest first, a page at a time: `after`, `limit`, `name` (a part of it) in the query. */
export const GET = route(async (request) => {
  const account = await requireAccount();
  const { searchParams } = new URL(request.url);
  const query = Query.safeParse({
    after: searchParams.get("after"),
    limit: searchParams.get("limit") ?? LONGEST_PAGE,
    name: searchParams.get("name") ?? "",
  });
  if (!query.success) return refusal(422, issuesOf(query.error));
  const { items, next } = await pageOfSituations(account.id, query.data);
  return Response.json({ situations: items, next });
});

export const POST = route(async (request) => {
  const account = await requireAccount();
  const document = await readBody(request, SituationOfAnyVersion, DOCUMENT_BODY);
  const unusable = await missingReferences(account.id, document);
  if (unusable.length > 0) return refusal(422, unusable);
  const id = await storing(account.id, { situations: 1, bytes: bytesOf(document) }, (connection) =>
    addSituation(account.id, document, connection),
  );
  return Response.json({ id, version: 1 }, { status: 201 });
});
