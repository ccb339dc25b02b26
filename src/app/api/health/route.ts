import { database } from "@/server/database";
import { freeSpace } from "@/server/disk";
import { route } from "@/server/route";

export const dynamic = "force-dynamic";

/** Whether the database answers, and how much room the disk has. */
export const GET = route(async () => {
  const disk = await freeSpace();
  await database().execute("SELECT 1");
  return Response.json({ ok: true, disk });
});
