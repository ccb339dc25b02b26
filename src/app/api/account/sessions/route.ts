import { requireAccount, route } from "@/server/route";
import { endOtherSessions, listSessions } from "@/server/sessions";

/** Where the account is signed in. */
export const GET = route(async () => {
  const account = await requireAccount();
  return Response.json({ sessions: await listSessions(account.id) });
});

/** Ends all of them but this one. */
export const DELETE = route(
  async () => {
    const account = await requireAccount();
    await endOtherSessions(account.id);
    return Response.json({ ok: true });
  },
  { storesNothing: true },
);
