import { z } from "zod";
import { listAttachments } from "@/server/attachments";
import { entryTags, searchEntries } from "@/server/logbook";
import { ownEntries } from "@/server/own-documents";
import { listRoutes } from "@/server/own-documents-routes";
import { requireAccount, refusal, route } from "@/server/route";
import { issuesOf } from "@/core/outcome";

const Asked = z.object({
  words: z.string().max(200, "At most 200 characters are looked for.").default(""),
  tag: z.string().max(24).optional(),
  from: z.coerce.number().int().min(0).max(2000).default(0),
});

/** Entries of the account that hold some words and a tag, the latest first, with their files and all tags. */
export const GET = route(async (request) => {
  const account = await requireAccount();
  const asked = Asked.safeParse(Object.fromEntries(new URL(request.url).searchParams));
  if (!asked.success) return refusal(422, issuesOf(asked.error));
  const { words, tag = null, from } = asked.data;
  const { entries, found } = await searchEntries(account.id, { words, tag, from });
  return Response.json({
    documents: entries,
    found,
    tags: await entryTags(account.id),
    attachments: await listAttachments(account.id),
  });
});

/** Adds one. */
export const { POST } = listRoutes(ownEntries);
