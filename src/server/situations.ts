// Saved situations of an account.
import { randomUUID } from "node:crypto";
import type { RowDataPacket } from "mysql2/promise";
import type { SituationDocument } from "@/core/situation/situation-document";
import { SituationOfAnyVersion } from "@/core/situation/situation-versions";
import { type Queryable, database } from "./database";
import { type UnreadableRow, readableRows } from "./readable-rows";

/** A saved situation. */
export interface StoredSituation {
  readonly id: string;
  readonly updatedAt: string;
  readonly document: SituationDocument;
}

/** Situations of an account, the latest first. */
export async function listSituations(accountId: string, unreadable: UnreadableRow[] = []): Promise<StoredSituation[]> {
  const [rows] = await database().execute<RowDataPacket[]>(
    "SELECT id, name, document, updated_at FROM situations WHERE account_id = ? AND deleted_at IS NULL ORDER BY updated_at DESC, id",
    [accountId],
  );
  return readableRows("situation", rows, situationOfRow, unreadable);
}

function situationOfRow(row: RowDataPacket): StoredSituation {
  return {
    id: String(row.id),
    updatedAt: (row.updated_at as Date).toISOString(),
    document: SituationOfAnyVersion.parse(JSON.parse(String(row.document))),
  };
}

/** Adds a situation to an account. */
export async function addSituation(
  accountId: string,
  document: SituationDocument,
  connection: Queryable = database(),
): Promise<string> {
  const id = randomUUID();
  await connection.execute("INSERT INTO situations (id, account_id, name, document) VALUES (?, ?, ?, ?)", [
    id,
    accountId,
    document.name,
    JSON.stringify(document),
  ]);
  return id;
}

/** Replaces a situation; false when the account has none of that id. */
export async function saveSituation(accountId: string, id: string, document: SituationDocument): Promise<boolean> {
  // The time is set by hand: an unchanged row would otherwise count as not found.
  const [result] = await database().execute(
    "UPDATE situations SET name = ?, document = ?, updated_at = NOW(3) WHERE id = ? AND account_id = ? AND deleted_at IS NULL",
    [document.name, JSON.stringify(document), id, accountId],
  );
  return (result as { affectedRows: number }).affectedRows > 0;
}

/** Deletes a situation, or brings it back; false when the account has none of that id. */
export async function markSituation(accountId: string, id: string, deleted: boolean): Promise<boolean> {
  const [result] = await database().execute(
    "UPDATE situations SET deleted_at = IF(?, NOW(3), NULL) WHERE id = ? AND account_id = ?",
    [deleted ? 1 : 0, id, accountId],
  );
  return (result as { affectedRows: number }).affectedRows > 0;
}

/** Names of an account's situations that fly an aircraft. */
export async function situationsWithAircraft(accountId: string, aircraftId: string): Promise<string[]> {
  const [rows] = await database().execute<RowDataPacket[]>(
    "SELECT name FROM situations WHERE account_id = ? AND deleted_at IS NULL AND JSON_VALUE(document, '$.aircraftId') = ? ORDER BY name LIMIT 5",
    [accountId, aircraftId],
  );
  return rows.map((row) => String(row.name));
}
