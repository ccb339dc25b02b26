import { savePreferences } from "@/server/accounts";
import { Preferences } from "@/server/preferences";
import { backgroundOrigins, requireBackground } from "@/server/outside";
import { readBody, requireAccount, route } from "@/server/route";

/** Where backgrounds may come from here. */
export const GET = route(async () => {
  await requireAccount();
  return Response.json({ backgroundOrigins: backgroundOrigins() });
});

export const PUT = route(async (request) => {
  const account = await requireAccount();
  const preferences = await readBody(request, Preferences);
  if (preferences.background) requireBackground(preferences.background);
  await savePreferences(account.id, preferences);
  return Response.json({ ok: true });
});
