// Saving a document over the version that its author had before him: what somebody else has saved since is not undone
// unnoticed.
import type { RowDataPacket } from "mysql2/promise";
import { type Queryable, database } from "./database";

/** Tables whose rows have a version. */
type VersionedTable =
  | "situations"
  | "aircraft"
  | "places"
  | "procedures"
  | "flight_tests"
  | "test_cards"
  | "logbook_entries"
  | "currency_rules";

/** What became of a save: `changed` holds what was saved meanwhile. */
export type Saved<T> =
  | { readonly state: "saved"; readonly version: number }
  | { readonly state: "changed"; readonly stored: T }
  | { readonly state: "missing" };

/**
 * Replaces the document of a row of an account.
 *
 * @param version - that the document was made from
 * @param read - makes of a row what it stands for
 * @returns `changed` with the row as it stands when it is of another version, `missing` when the account has none of
 *   that id
 */
export async function saveOver<T>(
  table: VersionedTable,
  accountId: string,
  id: string,
  document: { readonly name: string },
  version: number,
  read: (row: RowDataPacket) => T,
): Promise<Saved<T>> {
  const text = JSON.stringify(document);
  // The time is set by hand: an unchanged row would otherwise count as not found.
  const [result] = await database().execute(
    `UPDATE ${table} SET name = ?, document = ?, version = version + 1, updated_at = NOW(3)
       WHERE id = ? AND account_id = ? AND deleted_at IS NULL AND version = ?`,
    [document.name, text, id, accountId, version],
  );
  if ((result as { affectedRows: number }).affectedRows > 0) return { state: "saved", version: version + 1 };
  const [rows] = await database().execute<RowDataPacket[]>(
    `SELECT id, account_id, name, document, version, updated_at FROM ${table} WHERE id = ? AND account_id = ? AND deleted_at IS NULL`,
    [id, accountId],
  );
  if (!rows[0]) return { state: "missing" };
  // The same save once more: the answer to the first was lost on its way.
  if (String(rows[0].document) === text) return { state: "saved", version: Number(rows[0].version) };
  return { state: "changed", stored: read(rows[0]) };
}

/** Deletes a row of an account, or brings it back; false when the account has none of that id. */
export async function markRow(
  table: VersionedTable,
  accountId: string,
  id: string,
  deleted: boolean,
  connection: Queryable = database(),
): Promise<boolean> {
  const [result] = await connection.execute(
    `UPDATE ${table} SET deleted_at = IF(?, NOW(3), NULL), updated_at = NOW(3) WHERE id = ? AND account_id = ?`,
    [deleted ? 1 : 0, id, accountId],
  );
  return (result as { affectedRows: number }).affectedRows > 0;
}
