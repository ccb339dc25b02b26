// Everything of an account as one JSON file, and back: copies under new ids, references kept.
import { z } from "zod";
import { AircraftOfAnyVersion } from "@/core/aircraft/aircraft-versions";
import { LatLon } from "@/core/earth/geodesic";
import { MAX_TERRAIN_POINTS } from "@/core/earth/esri-ascii";
import type { TerrainGrid } from "@/core/earth/terrain";
import { Aerodrome, LandingSite } from "@/core/landing/places";
import { type Issue, type Outcome, failure, issuesOf, success } from "@/core/outcome";
import { SituationOfAnyVersion } from "@/core/situation/situation-versions";
import { type Account, Preferences, savePreferences } from "./accounts";
import { addAerodrome, listAerodromes } from "./aerodromes";
import { addAircraft, listAircraft, listOwnAircraft } from "./aircraft";
import { transaction } from "./database";
import { addLandingSite, listLandingSites } from "./landing-sites";
import type { UnreadableRow } from "./readable-rows";
import { addSituation, listSituations } from "./situations";
import { addTerrain, listTerrains, terrainElevations, unpackElevations } from "./terrains";

const ARCHIVE_VERSION = 2;

const ArchivedTerrain = z.strictObject({
  id: z.string(),
  name: z.string().min(1).max(80),
  origin: LatLon,
  west_m: z.number(),
  south_m: z.number(),
  cell_m: z.number().positive(),
  columns: z.int().min(2).max(4096),
  rows: z.int().min(2).max(4096),
  /** base64 of gzip of 16-bit little-endian metres. */
  elevations: z.base64(),
});

/** The file. Version 1 had nothing that could not be read. */
export const AccountArchive = z.strictObject({
  schema: z.literal("utrimax/account"),
  version: z.literal(ARCHIVE_VERSION),
  preferences: Preferences,
  aircraft: z.array(z.strictObject({ id: z.string(), document: AircraftOfAnyVersion })).max(1000),
  aerodromes: z.array(Aerodrome).max(5000),
  sites: z.array(LandingSite).max(5000),
  situations: z.array(z.strictObject({ id: z.string(), document: SituationOfAnyVersion })).max(5000),
  terrains: z.array(ArchivedTerrain).max(20),
  /** Rows that could not be read, as they are stored. They go out so that nothing is lost; they do not come in. */
  unreadable: z
    .array(
      z.strictObject({
        kind: z.enum(["aircraft", "aerodrome", "site", "situation"]),
        id: z.string().max(64),
        name: z.string().max(200),
        reason: z.string().max(2000),
        stored: z.record(z.string().max(64), z.unknown()),
      }),
    )
    .max(1000),
});
/** @see AccountArchive */
export type AccountArchive = z.infer<typeof AccountArchive>;

/** Everything that belongs to an account. */
export async function exportAccount(account: Account): Promise<AccountArchive> {
  const unreadable: UnreadableRow[] = [];
  const terrains = (await listTerrains(account.id)).filter((terrain) => !terrain.shared);
  return {
    schema: "utrimax/account",
    version: ARCHIVE_VERSION,
    preferences: account.preferences,
    aircraft: (await listOwnAircraft(account.id, unreadable)).map(({ id, document }) => ({ id, document })),
    aerodromes: await listAerodromes(account.id, true, unreadable),
    sites: await listLandingSites(account.id, true, unreadable),
    situations: (await listSituations(account.id, unreadable)).map(({ id, document }) => ({ id, document })).reverse(),
    terrains: await Promise.all(
      terrains.map(async ({ id, name, frame }) => ({
        id,
        name,
        ...frame,
        elevations: ((await terrainElevations(account.id, id)) ?? Buffer.alloc(0)).toString("base64"),
      })),
    ),
    unreadable,
  };
}

/** How much an import brought. */
export interface ImportCount {
  readonly aircraft: number;
  readonly aerodromes: number;
  readonly sites: number;
  readonly situations: number;
  readonly terrains: number;
}

/**
 * Adds everything of an archive to an account, all or nothing.
 *
 * @returns `future_version`, `archive_invalid` with the place of the first fault; nothing is stored then
 */
export async function importAccount(account: Account, value: unknown): Promise<Outcome<ImportCount>> {
  const head = z.object({ schema: z.literal("utrimax/account"), version: z.number() }).safeParse(value);
  if (!head.success) return failure("archive_invalid", "This is not an export of a Utrimax account.", "schema");
  if (head.data.version > ARCHIVE_VERSION)
    return failure(
      "future_version",
      `This export was written by a later Utrimax (version ${head.data.version}). Nothing was imported.`,
      "version",
    );
  const parsed = AccountArchive.safeParse(
    head.data.version === 1 ? { ...(value as object), version: ARCHIVE_VERSION, unreadable: [] } : value,
  );
  if (!parsed.success) return { ok: false, issue: firstIssue(issuesOf(parsed.error)) };
  const archive = parsed.data;
  const grids: { id: string; name: string; grid: TerrainGrid }[] = [];
  for (const { elevations, name, id, ...frame } of archive.terrains) {
    const unpacked = await unpackElevations(Buffer.from(elevations, "base64")).catch(() => null);
    if (!unpacked || unpacked.length !== frame.columns * frame.rows || unpacked.length > MAX_TERRAIN_POINTS)
      return failure("archive_invalid", `The terrain “${name}” is damaged. Nothing was imported.`, "terrains");
    grids.push({ id, name, grid: { ...frame, elevations_m: unpacked } });
  }
  const known = new Set((await listAircraft(account.id)).map((aircraft) => aircraft.id));
  const knownTerrains = new Set((await listTerrains(account.id)).map((terrain) => terrain.id));
  const arrivingAircraft = new Set(archive.aircraft.map((aircraft) => aircraft.id));
  const stranded = archive.situations.find(
    ({ document }) => !known.has(document.aircraftId) && !arrivingAircraft.has(document.aircraftId),
  );
  if (stranded)
    return failure(
      "archive_invalid",
      `The situation “${stranded.document.name}” needs an aircraft that is neither in the file nor in this library. Nothing was imported.`,
      "situations",
    );
  await transaction(async (connection) => {
    const aircraftIds = new Map<string, string>();
    for (const { id, document } of archive.aircraft)
      aircraftIds.set(id, await addAircraft(account.id, document, connection));
    const terrainIds = new Map<string, string>();
    for (const { id, name, grid } of grids) terrainIds.set(id, await addTerrain(account.id, name, grid, connection));
    for (const aerodrome of archive.aerodromes) await addAerodrome(account.id, aerodrome, connection);
    for (const site of archive.sites) await addLandingSite(account.id, site, connection);
    for (const { document } of archive.situations) {
      const terrainId =
        document.terrainId === null
          ? null
          : (terrainIds.get(document.terrainId) ?? (knownTerrains.has(document.terrainId) ? document.terrainId : null));
      await addSituation(
        account.id,
        { ...document, terrainId, aircraftId: aircraftIds.get(document.aircraftId) ?? document.aircraftId },
        connection,
      );
    }
    await savePreferences(account.id, { ...account.preferences, ...archive.preferences }, connection);
  });
  return success({
    aircraft: archive.aircraft.length,
    aerodromes: archive.aerodromes.length,
    sites: archive.sites.length,
    situations: archive.situations.length,
    terrains: archive.terrains.length,
  });
}

function firstIssue([first]: Issue[]): Issue {
  return {
    code: "archive_invalid",
    path: first.path,
    message: `${first.path || "The file"}: ${first.message} Nothing was imported.`,
  };
}
