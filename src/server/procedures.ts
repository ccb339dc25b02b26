// Procedures of an account's own. Those of the library ship with the application and are in no table.
import type { RowDataPacket } from "mysql2/promise";
import { Procedure } from "@/core/procedure/procedure";
import { type Queryable, database } from "./database";
import { type UnreadableRow, readableRows } from "./readable-rows";
import { type Saved, markRow, saveOver } from "./versioned-rows";

/** A procedure of an account. */
export interface StoredProcedure {
  readonly id: string;
  readonly version: number;
  readonly document: Procedure;
}

/** Most that an account has. */
const MOST = 200;

/** Procedures of an account, by name. */
export async function listProcedures(accountId: string, unreadable: UnreadableRow[] = []): Promise<StoredProcedure[]> {
  const [rows] = await database().execute<RowDataPacket[]>(
    `SELECT id, account_id, name, document, version FROM procedures WHERE account_id = ? AND deleted_at IS NULL
       ORDER BY name, id LIMIT ${MOST}`,
    [accountId],
  );
  return readableRows("procedure", rows, procedureOfRow, unreadable);
}

const procedureOfRow = (row: RowDataPacket): StoredProcedure => ({
  id: String(row.id),
  version: Number(row.version),
  document: Procedure.parse(JSON.parse(String(row.document))),
});

/** An id that a procedure brings is somebody else's. */
export class ProcedureIdTaken extends Error {}

/**
 * Adds a procedure under the id that it brings; sent once more it is there once.
 *
 * @returns its version
 * @throws {ProcedureIdTaken}
 */
export async function addProcedure(accountId: string, document: Procedure, connection: Queryable): Promise<number> {
  await connection.execute("INSERT IGNORE INTO procedures (id, account_id, name, document) VALUES (?, ?, ?, ?)", [
    document.id,
    accountId,
    document.name,
    JSON.stringify(document),
  ]);
  const [rows] = await connection.execute<RowDataPacket[]>(
    "SELECT version FROM procedures WHERE id = ? AND account_id = ?",
    [document.id, accountId],
  );
  if (!rows[0]) throw new ProcedureIdTaken(document.id);
  return Number(rows[0].version);
}

/** Replaces a procedure of the version that it was made from. */
export const saveProcedure = (
  accountId: string,
  document: Procedure,
  version: number,
): Promise<Saved<StoredProcedure>> => saveOver("procedures", accountId, document.id, document, version, procedureOfRow);

/** Deletes a procedure of an account, or brings it back; false when the account has none of that id. */
export const markProcedure = (accountId: string, id: string, deleted: boolean, connection?: Queryable) =>
  markRow("procedures", accountId, id, deleted, connection);
