// Aircraft of an account and of the shared library.
import { randomUUID } from "node:crypto";
import type { RowDataPacket } from "mysql2/promise";
import type { AircraftDocument } from "@/core/aircraft/aircraft-document";
import { AircraftOfAnyVersion } from "@/core/aircraft/aircraft-versions";
import { LIBRARY_ACCOUNT } from "./accounts";
import { type Queryable, database } from "./database";
import { type UnreadableRow, readableRows } from "./readable-rows";

/** An aircraft with where it comes from. */
export interface StoredAircraft {
  readonly id: string;
  readonly shared: boolean;
  readonly document: AircraftDocument;
}

/** All aircraft that an account may use: the library's, then its own. @see readableRows for `unreadable` */
export async function listAircraft(accountId: string, unreadable: UnreadableRow[] = []): Promise<StoredAircraft[]> {
  const [rows] = await database().execute<RowDataPacket[]>(
    "SELECT id, account_id, name, document FROM aircraft WHERE account_id IN (?, ?) AND deleted_at IS NULL ORDER BY account_id = ? DESC, name",
    [accountId, LIBRARY_ACCOUNT, LIBRARY_ACCOUNT],
  );
  return readableRows("aircraft", rows, aircraftOfRow, unreadable);
}

/** The aircraft that belong to an account alone. */
export async function listOwnAircraft(accountId: string, unreadable: UnreadableRow[] = []): Promise<StoredAircraft[]> {
  const [rows] = await database().execute<RowDataPacket[]>(
    "SELECT id, account_id, name, document FROM aircraft WHERE account_id = ? AND deleted_at IS NULL ORDER BY name",
    [accountId],
  );
  return readableRows("aircraft", rows, aircraftOfRow, unreadable);
}

function aircraftOfRow(row: RowDataPacket): StoredAircraft {
  return {
    id: String(row.id),
    shared: row.account_id === LIBRARY_ACCOUNT,
    document: AircraftOfAnyVersion.parse(JSON.parse(String(row.document))),
  };
}

/** Adds an aircraft to an account. */
export async function addAircraft(
  accountId: string,
  document: AircraftDocument,
  connection: Queryable = database(),
): Promise<string> {
  const id = randomUUID();
  await connection.execute("INSERT INTO aircraft (id, account_id, name, document) VALUES (?, ?, ?, ?)", [
    id,
    accountId,
    document.name,
    JSON.stringify(document),
  ]);
  return id;
}

/**
 * Replaces an aircraft of an account; false when the account has none of that id (the library's are nobody's to
 * change).
 */
export async function saveAircraft(accountId: string, id: string, document: AircraftDocument): Promise<boolean> {
  // The time is set by hand: an unchanged row would otherwise count as not found.
  const [result] = await database().execute(
    "UPDATE aircraft SET name = ?, document = ?, updated_at = NOW(3) WHERE id = ? AND account_id = ? AND deleted_at IS NULL",
    [document.name, JSON.stringify(document), id, accountId],
  );
  return (result as { affectedRows: number }).affectedRows > 0;
}

/** Deletes an aircraft of an account, or brings it back; false when the account has none of that id. */
export async function markAircraft(accountId: string, id: string, deleted: boolean): Promise<boolean> {
  const [result] = await database().execute(
    "UPDATE aircraft SET deleted_at = IF(?, NOW(3), NULL), updated_at = NOW(3) WHERE id = ? AND account_id = ?",
    [deleted ? 1 : 0, id, accountId],
  );
  return (result as { affectedRows: number }).affectedRows > 0;
}

/** Writes an aircraft of the library under a fixed id. */
export async function putLibraryAircraft(id: string, document: AircraftDocument, connection: Queryable): Promise<void> {
  await connection.execute(
    "INSERT INTO aircraft (id, account_id, name, document) VALUES (?, ?, ?, ?) ON DUPLICATE KEY UPDATE name = VALUES(name), document = VALUES(document), deleted_at = NULL",
    [id, LIBRARY_ACCOUNT, document.name, JSON.stringify(document)],
  );
}
