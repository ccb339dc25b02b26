import { Preferences, savePreferences } from "@/server/accounts";
import { readBody, requireAccount, route } from "@/server/route";

export const PUT = route(async (request) => {
  const account = await requireAccount();
  await savePreferences(account.id, await readBody(request, Preferences));
  return Response.json({ ok: true });
});
