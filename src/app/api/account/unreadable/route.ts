import { requireAccount, route } from "@/server/route";
import { unreadableRows } from "@/server/unreadable";

/** Rows of the account that cannot be read, as they are stored, with the reasons. */
export const GET = route(async () => {
  const account = await requireAccount();
  return Response.json({ unreadable: await unreadableRows(account.id) });
});
