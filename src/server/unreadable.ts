// All rows of an account that cannot be read. Reading everything takes time, so what was once found readable is not
// read again while it stays as it is, and others get their turn in between.
import { setImmediate as othersTurn } from "node:timers/promises";
import type { RowDataPacket } from "mysql2/promise";
import { AircraftOfAnyVersion } from "@/core/aircraft/aircraft-versions";
import { SituationOfAnyVersion } from "@/core/situation/situation-versions";
import { database } from "./database";
import { listFlights } from "./flights";
import { listLogs } from "./logs";
import { listPlaces } from "./places";
import { ownHandIns } from "./lessons";
import { ownEntries, ownFlightTests, ownProcedures, ownRules, ownTestCards } from "./own-documents";
import { type UnreadableRow, readableRows } from "./readable-rows";

/** Documents read at a stretch: some milliseconds. */
const STRETCH = 25;
/** Most rows remembered as readable. */
const REMEMBERED = 100_000;
const readable = new Set<string>();

/** What of an account cannot be read, with the reasons. */
export async function unreadableRows(accountId: string): Promise<UnreadableRow[]> {
  const unreadable: UnreadableRow[] = [];
  await checkDocuments("aircraft", "aircraft", accountId, (value) => AircraftOfAnyVersion.parse(value), unreadable);
  await checkDocuments("situation", "situations", accountId, (value) => SituationOfAnyVersion.parse(value), unreadable);
  await listPlaces(accountId, unreadable);
  await ownProcedures.list(accountId, unreadable);
  await ownFlightTests.list(accountId, unreadable);
  await ownTestCards.list(accountId, unreadable);
  await ownEntries.list(accountId, unreadable);
  await ownRules.list(accountId, unreadable);
  await ownHandIns(accountId, unreadable);
  await listFlights(accountId, unreadable);
  await listLogs(accountId, unreadable);
  return unreadable;
}

async function checkDocuments(
  kind: "aircraft" | "situation",
  table: "aircraft" | "situations",
  accountId: string,
  parse: (value: unknown) => unknown,
  unreadable: UnreadableRow[],
): Promise<void> {
  const [listed] = await database().execute<RowDataPacket[]>(
    `SELECT id, version, updated_at FROM ${table} WHERE account_id = ? AND deleted_at IS NULL`,
    [accountId],
  );
  const keyOf = (row: RowDataPacket) => `${row.id} ${row.version} ${(row.updated_at as Date).getTime()}`;
  const unread = listed.filter((row) => !readable.has(keyOf(row)));
  for (let i = 0; i < unread.length; i += STRETCH) {
    const piece = unread.slice(i, i + STRETCH);
    const [rows] = await database().execute<RowDataPacket[]>(
      `SELECT id, account_id, name, document, version, updated_at FROM ${table} WHERE account_id = ? AND id IN (${piece.map(() => "?").join(", ")})`,
      [accountId, ...piece.map((row) => row.id)],
    );
    const parsed = (row: RowDataPacket) => {
      parse(JSON.parse(String(row.document)));
      return keyOf(row);
    };
    for (const key of readableRows(kind, rows, parsed, unreadable)) readable.add(key);
    await othersTurn();
  }
  if (readable.size > REMEMBERED) readable.clear();
}
