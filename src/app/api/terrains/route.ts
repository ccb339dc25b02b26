import { z } from "zod";
import { readEsriAscii } from "@/core/earth/esri-ascii";
import { LatLon } from "@/core/earth/geodesic";
import { issuesOf } from "@/core/outcome";
import { database } from "@/server/database";
import { listTerrains, addTerrain } from "@/server/terrains";
import { readText, refusal, requireAccount, route } from "@/server/route";

/** A 2,048² grid of elevations takes about this much text, bytes. */
const UPLOAD_LIMIT = 24 * 1024 * 1024;

const Query = z.object({
  name: z.string().trim().min(1, "The terrain needs a name.").max(80, "At most 80 characters."),
  /** Only for files in metres: the place of their x 0, y 0. */
  origin: LatLon.nullable(),
});

export const GET = route(async () => {
  const account = await requireAccount();
  return Response.json({ terrains: await listTerrains(account.id) });
});

/**
 * Takes an Esri ASCII grid as the body; `name`, and `latitude_deg` and `longitude_deg` for files in metres, in the
 * query.
 */
export const POST = route(async (request) => {
  const account = await requireAccount();
  const { searchParams } = new URL(request.url);
  const metres = searchParams.has("latitude_deg") || searchParams.has("longitude_deg");
  const query = Query.safeParse({
    name: searchParams.get("name") ?? "",
    origin: metres
      ? {
          latitude_deg: Number(searchParams.get("latitude_deg") ?? NaN),
          longitude_deg: Number(searchParams.get("longitude_deg") ?? NaN),
        }
      : null,
  });
  if (!query.success) return refusal(422, issuesOf(query.error));
  const read = readEsriAscii(await readText(request, UPLOAD_LIMIT), query.data.origin);
  if (!read.ok) return refusal(422, [read.issue]);
  const id = await addTerrain(account.id, query.data.name, read.value.grid, database());
  const { elevations_m: _, ...frame } = read.value.grid;
  return Response.json({ id, frame, missingCells: read.value.missingCells }, { status: 201 });
});
