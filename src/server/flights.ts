// Flights by hand of an account: what came of each, and each packed, to be flown again.
import type { RowDataPacket } from "mysql2/promise";
import { FlownResult } from "@/core/exercise/flown-result";
import { type Queryable, database } from "./database";
import { type UnreadableRow, readableRows } from "./readable-rows";
import type { PackedFlight } from "./sent-flight";

/** A flight as a list shows it. */
export type ListedFlight = Omit<PackedFlight, "packed">;

/** Most that a list holds: the latest. */
const MOST_FLIGHTS = 500;

/** Adds a flight under the id that it brings; sent once more it is there once. */
export async function addFlight(
  accountId: string,
  { id, flownAt, aircraft, words, exerciseId, backs, helped, result, packed }: PackedFlight,
  connection: Queryable = database(),
): Promise<void> {
  await connection.execute(
    `INSERT IGNORE INTO flights
       (account_id, id, flown_at, aircraft_name, words, exercise_id, backs, helped, result, packed)
       VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`,
    [
      accountId,
      id,
      new Date(flownAt),
      aircraft,
      words,
      exerciseId,
      backs,
      helped,
      JSON.stringify(result),
      Buffer.from(packed),
    ],
  );
}

/** Flights of an account, the latest first. */
export async function listFlights(accountId: string, unreadable: UnreadableRow[] = []): Promise<ListedFlight[]> {
  const [rows] = await database().execute<RowDataPacket[]>(
    `SELECT id, account_id, words AS name, flown_at, aircraft_name, words, exercise_id, backs, helped, result
       FROM flights WHERE account_id = ? ORDER BY flown_at DESC, id LIMIT ${MOST_FLIGHTS}`,
    [accountId],
  );
  return readableRows("flight", rows, listedOfRow, unreadable);
}

const listedOfRow = (row: RowDataPacket): ListedFlight => ({
  id: String(row.id),
  flownAt: (row.flown_at as Date).toISOString(),
  aircraft: String(row.aircraft_name),
  words: String(row.words),
  exerciseId: row.exercise_id === null ? null : String(row.exercise_id),
  backs: Number(row.backs),
  helped: row.helped === 1,
  result: FlownResult.parse(JSON.parse(String(row.result))),
});

/** One flight of an account as it was packed; null when it has none of that id. */
export async function flightOf(accountId: string, id: string): Promise<Buffer | null> {
  const [rows] = await database().execute<RowDataPacket[]>(
    "SELECT packed FROM flights WHERE account_id = ? AND id = ?",
    [accountId, id],
  );
  return (rows.at(0)?.packed as Buffer | undefined) ?? null;
}

/** All flights of an account as they were packed. */
export async function everyFlight(accountId: string): Promise<Buffer[]> {
  const [rows] = await database().execute<RowDataPacket[]>(
    "SELECT packed FROM flights WHERE account_id = ? ORDER BY flown_at, id",
    [accountId],
  );
  return rows.map((row) => row.packed as Buffer);
}

/** Deletes a flight; false when the account has none of that id. */
export async function deleteFlight(accountId: string, id: string): Promise<boolean> {
  const [result] = await database().execute("DELETE FROM flights WHERE account_id = ? AND id = ?", [accountId, id]);
  return (result as { affectedRows: number }).affectedRows > 0;
}
