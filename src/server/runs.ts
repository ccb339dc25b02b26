// Runs of drills of an account: what came of each, and the run itself to be looked at again.
import type { RowDataPacket } from "mysql2/promise";
import { z } from "zod";
import type { DrillRun } from "@/core/procedure/drill-run";
import { LONGEST_RUN_S, RunDocument, type RunResult, runResult } from "@/core/procedure/run-document";
import { type Queryable, database } from "./database";

/** A run as it is sent to be kept. */
export const SentRun = z.strictObject({
  id: z.uuid(),
  beganAt: z.iso.datetime().refine((text) => new Date(text).getTime() >= Date.UTC(2020, 0), "A run began after 2020."),
  role: z.enum(["single", "flying", "monitoring", "instructor"]),
  aircraft: z.string().trim().min(1).max(60),
  until_s: z.number().min(0).max(LONGEST_RUN_S),
  run: RunDocument,
});
/** @see SentRun */
export type SentRun = z.infer<typeof SentRun>;

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

/** All runs of an account as they were sent; one that cannot be read stays behind. */
export async function everyRun(accountId: string): Promise<SentRun[]> {
  const [rows] = await database().execute<RowDataPacket[]>(
    "SELECT id, began_at, role, aircraft_name, result, document FROM runs WHERE account_id = ? ORDER BY began_at, id",
    [accountId],
  );
  return rows.flatMap((row) => {
    const read = SentRun.safeParse({
      id: row.id,
      beganAt: (row.began_at as Date).toISOString(),
      role: row.role,
      aircraft: row.aircraft_name,
      until_s: (JSON.parse(String(row.result)) as RunResult).took_s,
      run: JSON.parse(String(row.document)) as unknown,
    });
    return read.success ? [read.data] : [];
  });
}

/** Deletes a run; false when the account has none of that id. */
export async function deleteRun(accountId: string, id: string): Promise<boolean> {
  const [result] = await database().execute("DELETE FROM runs WHERE account_id = ? AND id = ?", [accountId, id]);
  return (result as { affectedRows: number }).affectedRows > 0;
}
