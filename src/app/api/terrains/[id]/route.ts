import { refuse, requireAccount, route } from "@/server/route";
import { removeTerrain, terrainElevations } from "@/server/terrains";

interface Context {
  params: Promise<{ id: string }>;
}

const missing = () => refuse(404, "no_such_terrain", "There is no such terrain in your account.");

/**
 * The elevations as they are stored, gzip of 16-bit little-endian metres. Not as a content encoding: the server would
 * strip that.
 */
export const GET = route<Context>(async (_, { params }) => {
  const account = await requireAccount();
  const terrain = await terrainElevations(account.id, (await params).id);
  if (!terrain) return missing();
  return new Response(new Uint8Array(terrain.elevations), {
    headers: {
      "content-type": "application/gzip",
      // One's own stays nowhere when one signs out.
      "cache-control": terrain.shared ? "private, max-age=86400" : "no-store",
    },
  });
});

export const DELETE = route<Context>(async (_, { params }) => {
  const account = await requireAccount();
  return (await removeTerrain(account.id, (await params).id)) ? Response.json({ ok: true }) : missing();
});
