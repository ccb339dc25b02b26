import { refuse, requireAccount, route } from "@/server/route";
import { endSession } from "@/server/sessions";

interface Context {
  params: Promise<{ id: string }>;
}

/** Ends one session of the account. */
export const DELETE = route<Context>(
  async (_, { params }) => {
    const account = await requireAccount();
    return (await endSession(account.id, (await params).id))
      ? Response.json({ ok: true })
      : refuse(404, "no_such_session", "There is no such session in your account.");
  },
  { storesNothing: true },
);
