import { refuse, requireAccount, route } from "@/server/route";
import { deleteRun, runOf } from "@/server/runs";

interface Context {
  params: Promise<{ id: string }>;
}

const missing = () => refuse(404, "no_such_run", "There is no such run of your own.");

/** A run as it was flown. */
export const GET = route<Context>(async (_, { params }) => {
  const account = await requireAccount();
  const run = await runOf(account.id, (await params).id.slice(0, 36));
  return run ? Response.json({ run }) : missing();
});

export const DELETE = route<Context>(async (_, { params }) => {
  const account = await requireAccount();
  return (await deleteRun(account.id, (await params).id.slice(0, 36))) ? Response.json({ ok: true }) : missing();
});
