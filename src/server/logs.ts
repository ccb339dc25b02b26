// Flight logs of an account: what a list shows of each, and each packed as it came.
import type { RowDataPacket } from "mysql2/promise";
import { LogSummary } from "@/core/track/kept-log";
import { type Queryable, database } from "./database";
import { type UnreadableRow, readableRows } from "./readable-rows";
import type { PackedLog } from "./sent-log";

/** A log as a list shows it. */
export type ListedLog = Omit<PackedLog, "packed">;

/** Most that a list holds: the latest. */
const MOST_LOGS = 500;

/** Keeps a log under the id that it brings; sent once more it takes the place of what was there. */
export async function putLog(
  accountId: string,
  { id, name, aircraft, summary, packed }: PackedLog,
  connection: Queryable = database(),
): Promise<void> {
  const begun = summary.begins_s === null ? null : new Date(summary.begins_s * 1000);
  await connection.execute(
    `INSERT INTO flight_logs (account_id, id, begun_at, name, aircraft_name, summary, packed)
       VALUES (?, ?, ?, ?, ?, ?, ?)
       ON DUPLICATE KEY UPDATE begun_at = VALUES(begun_at), name = VALUES(name),
         aircraft_name = VALUES(aircraft_name), summary = VALUES(summary), packed = VALUES(packed)`,
    [accountId, id, begun, name, aircraft, JSON.stringify(summary), Buffer.from(packed)],
  );
}

/** Logs of an account, what was kept last first. */
export async function listLogs(accountId: string, unreadable: UnreadableRow[] = []): Promise<ListedLog[]> {
  const [rows] = await database().execute<RowDataPacket[]>(
    `SELECT id, account_id, name, aircraft_name, summary
       FROM flight_logs WHERE account_id = ? ORDER BY kept_at DESC, id LIMIT ${MOST_LOGS}`,
    [accountId],
  );
  return readableRows("flight log", rows, listedOfRow, unreadable);
}

const listedOfRow = (row: RowDataPacket): ListedLog => ({
  id: String(row.id),
  name: String(row.name),
  aircraft: row.aircraft_name === null ? null : String(row.aircraft_name),
  summary: LogSummary.parse(JSON.parse(String(row.summary))),
});

/** One log of an account as it was packed; null when it has none of that id. */
export async function logOf(accountId: string, id: string): Promise<Buffer | null> {
  const [rows] = await database().execute<RowDataPacket[]>(
    "SELECT packed FROM flight_logs WHERE account_id = ? AND id = ?",
    [accountId, id],
  );
  return (rows.at(0)?.packed as Buffer | undefined) ?? null;
}

/** All logs of an account as they were packed. */
export async function everyLog(accountId: string): Promise<Buffer[]> {
  const [rows] = await database().execute<RowDataPacket[]>(
    "SELECT packed FROM flight_logs WHERE account_id = ? ORDER BY kept_at, id",
    [accountId],
  );
  return rows.map((row) => row.packed as Buffer);
}

/** Deletes a log; false when the account has none of that id. */
export async function deleteLog(accountId: string, id: string): Promise<boolean> {
  const [result] = await database().execute("DELETE FROM flight_logs WHERE account_id = ? AND id = ?", [accountId, id]);
  return (result as { affectedRows: number }).affectedRows > 0;
}
