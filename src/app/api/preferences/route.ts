import { savePreferences } from "@/server/accounts";
import { Preferences } from "@/server/preferences";
import { readBody, requireAccount, route } from "@/server/route";

export const PUT = route(async (request) => {
  const account = await requireAccount();
  await savePreferences(account.id, await readBody(request, Preferences));
  return Response.json({ ok: true });
});
