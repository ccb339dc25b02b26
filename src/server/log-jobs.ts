// Analyses of large logs as rows: who works on what, until when it is his, how far it is. What a queue says is a hint;
// the rows are the truth, so that nothing is lost and nothing is done twice, whoever dies in the middle.
import type { RowDataPacket } from "mysql2/promise";
import type { LogSummary } from "@/core/track/kept-log";
import { type Queryable, database, transaction } from "./database";

/** Which analysis: of a log as it was sent for the how manieth time. */
export interface LogJob {
  readonly accountId: string;
  readonly logId: string;
  readonly sent: number;
}

/** How an analysis stands, as its account sees it. */
export interface JobState {
  readonly state: "waiting" | "running" | "failed";
  /** 0 to 1. */
  readonly share: number;
  readonly fault: string | null;
}

/** Somebody who works on something says so again before this is over, s. */
export const LEASE_S = 20;
/** What broke down so often is given up. */
const MOST_TRIES = 5;

/** Puts an analysis of a log that was just stored in line; the one before it is of no use any more. */
export async function addJob(accountId: string, logId: string, connection: Queryable): Promise<LogJob> {
  await connection.execute(
    `INSERT INTO log_jobs (account_id, log_id) VALUES (?, ?)
       ON DUPLICATE KEY UPDATE sent = sent + 1, state = 'waiting', share = 0, fault = NULL, tries = 0,
         claimed_by = NULL, claimed_until = NULL`,
    [accountId, logId],
  );
  const [rows] = await connection.execute<RowDataPacket[]>(
    "SELECT sent FROM log_jobs WHERE account_id = ? AND log_id = ?",
    [accountId, logId],
  );
  return { accountId, logId, sent: Number(rows[0].sent) };
}

/** What waits, or whose worker has not been heard of for too long; what was tried too often is given up here. */
export async function openJobs(): Promise<LogJob[]> {
  await database().execute(
    `UPDATE log_jobs SET state = 'failed', fault = 'The analysis broke down ${MOST_TRIES} times.'
       WHERE tries >= ${MOST_TRIES} AND (state = 'waiting' OR (state = 'running' AND claimed_until < NOW(3)))`,
  );
  const [rows] = await database().execute<RowDataPacket[]>(
    `SELECT account_id, log_id, sent FROM log_jobs
       WHERE state = 'waiting' OR (state = 'running' AND claimed_until < NOW(3)) ORDER BY made_at LIMIT 500`,
  );
  return rows.map((row) => ({ accountId: row.account_id, logId: row.log_id, sent: Number(row.sent) }));
}

/** Takes an analysis on; the log as it was packed, or null where it is somebody else's, over, or of no use any more. */
export async function claimJob({ accountId, logId, sent }: LogJob, by: string): Promise<Buffer | null> {
  const [result] = await database().execute(
    `UPDATE log_jobs SET state = 'running', claimed_by = ?, claimed_until = NOW(3) + INTERVAL ${LEASE_S} SECOND,
         tries = tries + 1, share = 0
       WHERE account_id = ? AND log_id = ? AND sent = ? AND tries < ${MOST_TRIES}
         AND (state = 'waiting' OR (state = 'running' AND claimed_until < NOW(3)))`,
    [by, accountId, logId, sent],
  );
  if ((result as { affectedRows: number }).affectedRows === 0) return null;
  const [rows] = await database().execute<RowDataPacket[]>(
    "SELECT packed FROM flight_logs WHERE account_id = ? AND id = ?",
    [accountId, logId],
  );
  return (rows.at(0)?.packed as Buffer | undefined) ?? null;
}

/** Says that it is still worked on; false where it is not his any more. */
export async function holdJob({ accountId, logId }: LogJob, by: string, share: number): Promise<boolean> {
  const [result] = await database().execute(
    `UPDATE log_jobs SET claimed_until = NOW(3) + INTERVAL ${LEASE_S} SECOND, share = ?
       WHERE account_id = ? AND log_id = ? AND claimed_by = ? AND state = 'running'`,
    [share, accountId, logId, by],
  );
  return (result as { affectedRows: number }).affectedRows > 0;
}

/** Stores what came of it, once: nothing where it is not his any more. @returns whether it was stored */
export async function finishJob(
  { accountId, logId }: LogJob,
  by: string,
  came: { readonly summary: LogSummary } | { readonly fault: string },
): Promise<boolean> {
  return transaction(async (connection) => {
    const [result] = await connection.execute(
      `UPDATE log_jobs SET state = ?, share = 1, fault = ?, finished = finished + 1, claimed_by = NULL,
           claimed_until = NULL
         WHERE account_id = ? AND log_id = ? AND claimed_by = ? AND state = 'running'`,
      ["fault" in came ? "failed" : "done", "fault" in came ? came.fault.slice(0, 400) : null, accountId, logId, by],
    );
    if ((result as { affectedRows: number }).affectedRows === 0) return false;
    if ("summary" in came) {
      const { begins_s } = came.summary;
      await connection.execute("UPDATE flight_logs SET begun_at = ?, summary = ? WHERE account_id = ? AND id = ?", [
        begins_s === null ? null : new Date(begins_s * 1000),
        JSON.stringify(came.summary),
        accountId,
        logId,
      ]);
    }
    return true;
  });
}

/** How the analyses of an account stand that are not done, by log. */
export async function jobsOf(accountId: string): Promise<Record<string, JobState>> {
  const [rows] = await database().execute<RowDataPacket[]>(
    "SELECT log_id, state, share, fault FROM log_jobs WHERE account_id = ? AND state <> 'done'",
    [accountId],
  );
  return Object.fromEntries(
    rows.map((row): [string, JobState] => [
      String(row.log_id),
      {
        state: row.state === "failed" ? "failed" : row.state === "running" ? "running" : "waiting",
        share: Number(row.share),
        fault: row.fault === null ? null : String(row.fault),
      },
    ]),
  );
}
