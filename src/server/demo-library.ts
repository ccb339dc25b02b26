// Loads the demo world into the shared library. Running it again changes nothing but what changed in the files.
import { readFile, readdir } from "node:fs/promises";
import path from "node:path";
import { z } from "zod";
import { AircraftOfAnyVersion } from "@/core/aircraft/aircraft-versions";
import { readEsriAscii } from "@/core/earth/esri-ascii";
import { Place } from "@/core/places/place";
import type { SituationDocument } from "@/core/situation/situation-document";
import { SituationOfAnyVersion } from "@/core/situation/situation-versions";
import { createHash } from "node:crypto";
import type { RowDataPacket } from "mysql2/promise";
import { LIBRARY_ACCOUNT, ensureLibraryAccount } from "./accounts";
import { putLibraryAircraft } from "./aircraft";
import { database, transaction } from "./database";
import { packedTerrain } from "./packed-terrain";
import { putLibraryPlace } from "./places";
import { addTerrain } from "./terrains";

const FOLDER = path.join(process.cwd(), "demo");
const ORIGIN = { latitude_deg: -47, longitude_deg: -131 };
/** Id of the demo terrain in the library. */
export const DEMO_TERRAIN = "tarn-reach";

/** Loads the demo world unless the same files have been loaded already. Returns whether it did. */
export async function loadDemoLibrary(): Promise<boolean> {
  const files = [
    ...(await readdir(path.join(FOLDER, "aircraft"))).map((name) => `aircraft/${name}`),
    "world/places.json",
    "terrain/tarn-reach.asc",
  ].sort();
  const contents = new Map<string, string>();
  const digest = createHash("sha256");
  for (const file of files) {
    const content = await readFile(path.join(FOLDER, file), "utf8");
    contents.set(file, content);
    digest.update(file).update(content);
  }
  const fingerprint = digest.digest("hex");
  if ((await loadedFingerprint()) === fingerprint) return false;

  const terrain = readEsriAscii(contents.get("terrain/tarn-reach.asc") ?? "", ORIGIN);
  if (!terrain.ok) throw new Error(`loadDemoLibrary: expected a terrain, got ${terrain.issue.message}`);
  const ground = await packedTerrain(terrain.value.grid);
  const places = z.array(Place).parse(JSON.parse(contents.get("world/places.json") ?? ""));
  await transaction(async (connection) => {
    await ensureLibraryAccount(connection);
    for (const file of files.filter((name) => name.startsWith("aircraft/"))) {
      await putLibraryAircraft(
        path.basename(file, ".json"),
        AircraftOfAnyVersion.parse(JSON.parse(contents.get(file) ?? "")),
        connection,
      );
    }
    for (const place of places) await putLibraryPlace(place, connection);
    await addTerrain(LIBRARY_ACCOUNT, "Tarn Reach", ground, connection, DEMO_TERRAIN);
    // Last, in the same transaction: a half-loaded world is never marked as loaded.
    await connection.execute("UPDATE accounts SET preferences = JSON_SET(preferences, '$.demo', ?) WHERE id = ?", [
      fingerprint,
      LIBRARY_ACCOUNT,
    ]);
  });
  return true;
}

async function loadedFingerprint(): Promise<string | null> {
  const [rows] = await database().execute<RowDataPacket[]>(
    "SELECT JSON_VALUE(preferences, '$.demo') AS demo FROM accounts WHERE id = ?",
    [LIBRARY_ACCOUNT],
  );
  return rows[0]?.demo ?? null;
}

/** The situation that the demo opens with. */
export async function demoSituation(): Promise<SituationDocument> {
  return SituationOfAnyVersion.parse(JSON.parse(await readFile(path.join(FOLDER, "world", "situation.json"), "utf8")));
}
