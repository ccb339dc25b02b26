import { requireInSchool } from "@/server/in-school";
import { refuse, route } from "@/server/route";
import { takeCopy, unshare } from "@/server/school-documents";

interface Context {
  params: Promise<{ id: string; document: string }>;
}

const missing = () => refuse(404, "no_such_document", "The school has no such document.");

/** Takes a copy into one's own library. */
export const POST = route<Context>(async (_, { params }) => {
  const { id, document } = await params;
  const account = await requireInSchool(id, "read");
  return (await takeCopy(account.id, id, document)) ? Response.json({ ok: true }, { status: 201 }) : missing();
});

/** Takes it away from the school. */
export const DELETE = route<Context>(async (_, { params }) => {
  const { id, document } = await params;
  await requireInSchool(id, "share");
  return (await unshare(id, document)) ? Response.json({ ok: true }) : missing();
});
