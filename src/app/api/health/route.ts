import { database } from "@/server/database";
import { route } from "@/server/route";

export const dynamic = "force-dynamic";

export const GET = route(async () => {
  await database().execute("SELECT 1");
  return Response.json({ ok: true });
});
