import { z } from "zod";
import { LatLon } from "@/core/earth/geodesic";
import { issuesOf } from "@/core/outcome";
import { MAX_TERRAIN_POINTS } from "@/core/earth/esri-ascii";
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

const metres = z.coerce.number().min(-1_000_000).max(1_000_000);
const side = z.coerce
  .number()
  .int()
  .min(2)
  .max(MAX_TERRAIN_POINTS / 2);

/** Of a grid that comes packed: where it lies and how many points it has. */
const Frame = z
  .object({
    latitude_deg: z.coerce.number().min(-90).max(90),
    longitude_deg: z.coerce.number().min(-180).max(180),
    west_m: metres,
    south_m: metres,
    cell_m: z.coerce.number().min(1).max(1_000_000),
    columns: side,
    rows: side,
  })
  .refine(({ columns, rows }) => columns * rows <= MAX_TERRAIN_POINTS, {
    message: `A terrain has at most ${MAX_TERRAIN_POINTS} points.`,
  });

export const GET = route(async () => {
  const account = await requireAccount();
  const terrains = [...(await listTerrains(LIBRARY_ACCOUNT)), ...(await listTerrains(account.id))];
  return Response.json({ terrains });
});

/**
 * Takes an Esri ASCII grid as the body; `name`, and `latitude_deg` and `longitude_deg` for files in metres, in the
 * query. Or, as `application/gzip`, a grid that was read elsewhere: its frame is in the query then.
 */
export const POST = route(async (request) => {
  const account = await requireAccount();
  if (request.headers.get("content-type") === "application/gzip") return takePacked(request, account.id);
  const { searchParams } = new URL(request.url);
  const inMetres = searchParams.has("latitude_deg") || searchParams.has("longitude_deg");
  const query = Query.safeParse({
    name: searchParams.get("name") ?? "",
    origin: inMetres
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

async function takePacked(request: Request, accountId: string): Promise<Response> {
  const asked = Object.fromEntries(new URL(request.url).searchParams);
  const query = Query.pick({ name: true }).safeParse(asked);
  if (!query.success) return refusal(422, issuesOf(query.error));
  const parsed = Frame.safeParse(asked);
  if (!parsed.success) return refusal(422, issuesOf(parsed.error));
  const { latitude_deg, longitude_deg, ...grid } = parsed.data;
  const frame = { origin: { latitude_deg, longitude_deg }, ...grid };
  const bytes = await readUpload(request, UPLOAD_LIMIT, accountId);
  const asking = { client: accountId, signal: request.signal, limit_ms: READING_MS };
  const checked = await inThread("files", "checkTerrain", { bytes, frame }, asking);
  if (!checked.ok) return refusal(422, [checked.issue]);
  const id = await storing(accountId, { terrains: 1, bytes: bytes.byteLength }, (connection) =>
    addTerrain(accountId, query.data.name, checked.value, connection),
  );
  return Response.json({ id, frame, missingCells: 0 }, { status: 201 });
}
