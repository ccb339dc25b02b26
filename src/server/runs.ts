// Runs of drills of an account: what came of each, and the run itself to be looked at again.
import type { RowDataPacket } from "mysql2/promise";
import type { z } from "zod";
import type { DrillRun } from "@/core/procedure/drill-run";
import { RunDocument, type RunResult, runResult } from "@/core/procedure/run-document";
import { type Queryable, database } from "./database";
import { type UnreadableRow, readableRows } from "./readable-rows";
import { SentRun } from "./sent-run";

/** A run as a list shows it. */
export interface ListedRun {
  readonly id: string;
  readonly beganAt: string;
  readonly role: SentRun["role"];
  readonly procedureId: string;
  readonly procedure: string;
  readonly aircraft: string;
  readonly result: RunResult;
}

/** Most that a list holds: the latest. */
const MOST_RUNS = 500;

/** Adds a run under the id that it brings; sent once more it is there once. What came of it is found by flying it. */
export async function addRun(accountId: string, sent: SentRun, connection: Queryable = database()): Promise<RunResult> {
  const result = runResult(sent.run as DrillRun, sent.until_s);
  const { procedure } = sent.run;
  await connection.execute(
    `INSERT IGNORE INTO runs
       (account_id, id, began_at, role, procedure_id, procedure_name, aircraft_name, result, document)
       VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)`,
    [
      accountId,
      sent.id,
      new Date(sent.beganAt),
      sent.role,
      procedure.id,
      procedure.name,
      sent.aircraft,
      JSON.stringify(result),
      JSON.stringify(sent.run),
    ],
  );
  return result;
}

/** Runs of an account, the latest first. */
export async function listRuns(accountId: string): Promise<ListedRun[]> {
  const [rows] = await database().execute<RowDataPacket[]>(
    `SELECT id, began_at, role, procedure_id, procedure_name, aircraft_name, result FROM runs
       WHERE account_id = ? ORDER BY began_at DESC, id LIMIT ${MOST_RUNS}`,
    [accountId],
  );
  return rows.map((row) => ({
    id: String(row.id),
    beganAt: (row.began_at as Date).toISOString(),
    role: row.role as ListedRun["role"],
    procedureId: String(row.procedure_id),
    procedure: String(row.procedure_name),
    aircraft: String(row.aircraft_name),
    result: JSON.parse(String(row.result)) as RunResult,
  }));
}

/** One run of an account; null when it has none of that id. */
export async function runOf(accountId: string, id: string): Promise<z.infer<typeof RunDocument> | null> {
  const [rows] = await database().execute<RowDataPacket[]>(
    "SELECT document FROM runs WHERE account_id = ? AND id = ?",
    [accountId, id],
  );
  return rows[0] ? RunDocument.parse(JSON.parse(String(rows[0].document))) : null;
}

/** All runs of an account as they were sent. */
export async function everyRun(accountId: string, unreadable: UnreadableRow[]): Promise<SentRun[]> {
  const [rows] = await database().execute<RowDataPacket[]>(
    `SELECT id, account_id, procedure_name AS name, began_at, role, aircraft_name, result, document FROM runs
       WHERE account_id = ? ORDER BY began_at, id`,
    [accountId],
  );
  return readableRows("run", rows, sentOfRow, unreadable);
}

const sentOfRow = (row: RowDataPacket): SentRun =>
  SentRun.parse({
    id: row.id,
    beganAt: (row.began_at as Date).toISOString(),
    role: row.role,
    aircraft: row.aircraft_name,
    until_s: (JSON.parse(String(row.result)) as RunResult).took_s,
    run: JSON.parse(String(row.document)) as unknown,
  });

/** Deletes a run; false when the account has none of that id. */
export async function deleteRun(accountId: string, id: string): Promise<boolean> {
  const [result] = await database().execute("DELETE FROM runs WHERE account_id = ? AND id = ?", [accountId, id]);
  return (result as { affectedRows: number }).affectedRows > 0;
}
