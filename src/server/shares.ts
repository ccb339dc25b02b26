// What one account lets another read: begun by the owner with a code, claimed by the reader, ended by either.
import { randomUUID } from "node:crypto";
import type { RowDataPacket } from "mysql2/promise";
import { database } from "./database";
import { spokenCode, spokenCodeHash } from "./spoken-code";

/** What may be read. */
export type SharedThing = "results";

/** A share as its two sides see it. */
export interface Share {
  readonly id: string;
  /** What the owner calls himself in it. */
  readonly name: string;
  readonly what: SharedThing;
  readonly mine: boolean;
  readonly claimed: boolean;
  readonly createdAt: string;
}

const CODE_LENGTH = 10;
/** A code that nobody has claimed is good for this long. */
const CODE_DAYS = 7;
/** Shares that an account may have open at a time. */
const MOST_OPEN = 50;

/**
 * Begins a share; nobody reads by it before it is claimed.
 *
 * @returns the code to hand over, shown once; null when the account has too many open
 */
export async function beginShare(ownerId: string, what: SharedThing, name: string): Promise<string | null> {
  const [rows] = await database().execute<RowDataPacket[]>(
    "SELECT COUNT(*) AS n FROM shares WHERE owner_id = ? AND ended_at IS NULL",
    [ownerId],
  );
  if (Number(rows[0].n) >= MOST_OPEN) return null;
  const code = spokenCode(CODE_LENGTH);
  await database().execute("INSERT INTO shares (id, owner_id, what, name, code_hash) VALUES (?, ?, ?, ?, ?)", [
    randomUUID(),
    ownerId,
    what,
    name,
    spokenCodeHash(code),
  ]);
  return code;
}

/** Claims a share by its code; false when there is none, it is claimed, has run out, or is one's own. */
export async function claimShare(readerId: string, code: string): Promise<boolean> {
  const [result] = await database().execute(
    `UPDATE shares SET reader_id = ?, claimed_at = NOW(3), code_hash = NULL
       WHERE code_hash = ? AND reader_id IS NULL AND ended_at IS NULL AND owner_id <> ?
         AND created_at > NOW(3) - INTERVAL ${CODE_DAYS} DAY`,
    [readerId, spokenCodeHash(code), readerId],
  );
  return (result as { affectedRows: number }).affectedRows > 0;
}

/** Open shares that an account gives or reads by. */
export async function listShares(accountId: string): Promise<Share[]> {
  const [rows] = await database().execute<RowDataPacket[]>(
    `SELECT id, owner_id, reader_id, what, name, created_at FROM shares
       WHERE (owner_id = ? OR reader_id = ?) AND ended_at IS NULL ORDER BY created_at DESC LIMIT 200`,
    [accountId, accountId],
  );
  return rows.map((row) => ({
    id: String(row.id),
    name: String(row.name),
    what: row.what as SharedThing,
    mine: row.owner_id === accountId,
    claimed: row.reader_id !== null,
    createdAt: (row.created_at as Date).toISOString(),
  }));
}

/** Ends a share; false when the account has no part in one of that id. */
export async function endShare(accountId: string, id: string): Promise<boolean> {
  const [result] = await database().execute(
    `UPDATE shares SET ended_at = NOW(3), code_hash = NULL
       WHERE id = ? AND (owner_id = ? OR reader_id = ?) AND ended_at IS NULL`,
    [id, accountId, accountId],
  );
  return (result as { affectedRows: number }).affectedRows > 0;
}

/** Whose things a reader may read by a share; null when he may not, or not any more. */
export async function ownerOfShare(readerId: string, id: string, what: SharedThing): Promise<string | null> {
  const [rows] = await database().execute<RowDataPacket[]>(
    "SELECT owner_id FROM shares WHERE id = ? AND reader_id = ? AND what = ? AND ended_at IS NULL",
    [id, readerId, what],
  );
  return rows[0] ? String(rows[0].owner_id) : null;
}
