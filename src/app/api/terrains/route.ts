import { z } from "zod";
import { LatLon } from "@/core/earth/geodesic";
import { issuesOf } from "@/core/outcome";
import { LIBRARY_ACCOUNT } from "@/server/accounts";
import { readUpload, refusal, requireAccount, route } from "@/server/route";
import { storing } from "@/server/room";
import { addTerrain, listTerrains } from "@/server/terrains";
import { inThread } from "@/server/threads";

/** A 2,048² grid of elevations takes about this much text, bytes. */
const UPLOAD_LIMIT = 24 * 1024 * 1024;
/** Reading the largest takes two seconds. */
const READING_MS = 30_000;

const Query = z.object({
  name: z.string().trim().min(1, "The terrain needs a name.").max(80, "At most 80 characters."),
  /** Only for files in metres: the place of their x 0, y 0. */
  origin: LatLon.nullable(),
});

export const GET = route(async () => {
  const account = await requireAccount();
  const terrains = [...(await listTerrains(LIBRARY_ACCOUNT)), ...(await listTerrains(account.id))];
  return Response.json({ terrains });
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
  const bytes = await readUpload(request, UPLOAD_LIMIT, account.id);
  const asking = { client: account.id, signal: request.signal, limit_ms: READING_MS };
  const read = await inThread("files", "readTerrain", { bytes, origin: query.data.origin }, asking);
  if (!read.ok) return refusal(422, [read.issue]);
  const { frame, elevations, missingCells } = read.value;
  const id = await storing(account.id, { terrains: 1, bytes: elevations.byteLength }, (connection) =>
    addTerrain(account.id, query.data.name, read.value, connection),
  );
  return Response.json({ id, frame, missingCells }, { status: 201 });
});
