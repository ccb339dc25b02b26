// The logs that a demo account begins with: half turns, six glides, a flight over the water and a turn back, simulated.
// Made up.
import { randomUUID } from "node:crypto";
import { readFile } from "node:fs/promises";
import path from "node:path";
import { isAeroplane } from "@/core/aircraft/aircraft-kind";
import { landingEnds } from "@/core/landing/landing-end";
import { radians } from "@/core/quantities/angle";
import { MPS_PER_KT } from "@/core/quantities/constants";
import { recogniseLayout } from "@/core/track/formats/csv-layout";
import { KEPT_LOG_VERSION, type KeptLog } from "@/core/track/kept-log";
import { LIBRARY_ACCOUNT } from "./accounts";
import type { StoredAircraft } from "./aircraft";
import type { Queryable } from "./database";
import { putLog } from "./logs";
import { listPlaces } from "./places";
import { type PackedLog, packedLog, readSentLog } from "./sent-log";

const FOLDER = path.join(process.cwd(), "demo", "logs");
/** Files with the deviation of their day, K, and the wind that was told; the last is looked at first. */
const FILES = [
  ["half-turns.csv", -2, null],
  ["glides.csv", 12, null],
  ["crossing.igc", -2.9, { from_rad: radians(250), speed_mps: 14 * MPS_PER_KT }],
  ["turnback.igc", 8, { from_rad: radians(160), speed_mps: 8 * MPS_PER_KT }],
] as const;

/** The demo's logs as they are stored, of the library's aircraft and runways, under ids of their own. */
export async function demoLogs({ document }: Pick<StoredAircraft, "document">): Promise<PackedLog[]> {
  if (!isAeroplane(document)) return [];
  const places = (await listPlaces(LIBRARY_ACCOUNT)).map((place) => place.document);
  const ends = landingEnds(places).filter(({ unprepared }) => !unprepared);
  return Promise.all(
    FILES.map(async ([name, deviation_K, wind]) => {
      const text = await readFile(path.join(FOLDER, name), "utf8");
      const log: KeptLog = {
        schema: "utrimax/log",
        version: KEPT_LOG_VERSION,
        name,
        text,
        layout: recogniseLayout(text)?.layout ?? null,
        aircraft: document,
        mass_kg: 1000,
        deviation_K,
        wind,
        ends: ends.slice(0, 40),
        stops: null,
        also: [],
      };
      const read = await readSentLog(await packedLog({ id: randomUUID(), log }));
      if (!read.ok) throw new Error(`demoLogs: expected ${name} to be read, got ${read.issue.message}`);
      return read.value;
    }),
  );
}

/** Adds them to an account that has just been made, each a moment after the one before. */
export async function addDemoLogs(accountId: string, logs: readonly PackedLog[], connection: Queryable): Promise<void> {
  for (const [i, log] of logs.entries()) {
    await putLog(accountId, log, connection);
    await connection.execute(
      "UPDATE flight_logs SET kept_at = DATE_SUB(kept_at, INTERVAL ? SECOND) WHERE account_id = ? AND id = ?",
      [logs.length - i, accountId, log.id],
    );
  }
}
