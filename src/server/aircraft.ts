// Aircraft of an account and of the shared library.
import { randomUUID } from "node:crypto";
import type { RowDataPacket } from "mysql2/promise";
import type { AircraftDocument } from "@/core/aircraft/aircraft-document";
import { AircraftOfAnyVersion } from "@/core/aircraft/aircraft-versions";
import { LIBRARY_ACCOUNT } from "./accounts";
import { type Queryable, database } from "./database";
import type { Page } from "./page";
import { type UnreadableRow, readableRows } from "./readable-rows";
import { type Saved, markRow, saveOver } from "./versioned-rows";

/** An aircraft with where it comes from. */
export interface StoredAircraft {
  readonly id: string;
  readonly shared: boolean;
  readonly version: number;
  readonly document: AircraftDocument;
}

const COLUMNS = "id, account_id, name, document, version";

/** Of an account's own aircraft, those that come with the page: the ones saved last. */
export const LATEST = 40;

/** Of an account's own aircraft those that were saved last, and one more that is flown at present, by name. */
export async function latestAircraft(accountId: string, flown: string | null): Promise<StoredAircraft[]> {
  const [rows] = await database().execute<RowDataPacket[]>(
    `(SELECT ${COLUMNS} FROM aircraft WHERE account_id = ? AND deleted_at IS NULL ORDER BY updated_at DESC LIMIT ${LATEST})
     UNION (SELECT ${COLUMNS} FROM aircraft WHERE account_id = ? AND deleted_at IS NULL AND id = ?)
     ORDER BY name`,
    [accountId, accountId, flown],
  );
  return readableRows("aircraft", rows, aircraftOfRow, []);
}

/** Most that a page of the list may hold. */
const LONGEST_PAGE = 100;

/** A page of all aircraft that an account may use, by id. */
export async function pageOfAircraft(accountId: string, after: string): Promise<Page<StoredAircraft>> {
  const [rows] = await database().execute<RowDataPacket[]>(
    `SELECT ${COLUMNS} FROM aircraft WHERE account_id IN (?, ?) AND deleted_at IS NULL AND id > ? ORDER BY id LIMIT ${LONGEST_PAGE + 1}`,
    [accountId, LIBRARY_ACCOUNT, after],
  );
  const page = rows.slice(0, LONGEST_PAGE);
  return {
    items: readableRows("aircraft", page, aircraftOfRow, []),
    next: rows.length > LONGEST_PAGE ? String(page.at(-1)?.id) : null,
  };
}

/**
 * One aircraft that an account may use; null when there is none of that id.
 *
 * @throws when it cannot be read
 */
export async function aircraftOf(accountId: string, id: string): Promise<StoredAircraft | null> {
  const [rows] = await database().execute<RowDataPacket[]>(
    `SELECT ${COLUMNS} FROM aircraft WHERE account_id IN (?, ?) AND deleted_at IS NULL AND id = ?`,
    [accountId, LIBRARY_ACCOUNT, id],
  );
  return rows[0] ? aircraftOfRow(rows[0]) : null;
}

/** The aircraft that belong to an account, by name. */
export async function listOwnAircraft(accountId: string, unreadable: UnreadableRow[] = []): Promise<StoredAircraft[]> {
  const [rows] = await database().execute<RowDataPacket[]>(
    `SELECT ${COLUMNS} FROM aircraft WHERE account_id = ? AND deleted_at IS NULL ORDER BY name`,
    [accountId],
  );
  return readableRows("aircraft", rows, aircraftOfRow, unreadable);
}

function aircraftOfRow(row: RowDataPacket): StoredAircraft {
  return {
    id: String(row.id),
    shared: row.account_id === LIBRARY_ACCOUNT,
    version: Number(row.version),
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
 * Replaces an aircraft of the version that it was made from; `missing` for the library's, which are nobody's to change.
 */
export const saveAircraft = (
  accountId: string,
  id: string,
  document: AircraftDocument,
  version: number,
): Promise<Saved<StoredAircraft>> => saveOver("aircraft", accountId, id, document, version, aircraftOfRow);

/** Deletes an aircraft of an account, or brings it back; false when the account has none of that id. */
export const markAircraft = (
  accountId: string,
  id: string,
  deleted: boolean,
  connection?: Queryable,
): Promise<boolean> => markRow("aircraft", accountId, id, deleted, connection);

/** Which of some aircraft an account may fly. */
export async function aircraftAmong(accountId: string, ids: readonly string[]): Promise<Set<string>> {
  const asked = [...new Set(ids)];
  if (asked.length === 0) return new Set();
  const [rows] = await database().execute<RowDataPacket[]>(
    `SELECT id FROM aircraft WHERE account_id IN (?, ?) AND deleted_at IS NULL AND id IN (${asked.map(() => "?").join(", ")})`,
    [accountId, LIBRARY_ACCOUNT, ...asked],
  );
  return new Set(rows.map((row) => String(row.id)));
}

/** Writes an aircraft of the library under a fixed id. */
export async function putLibraryAircraft(id: string, document: AircraftDocument, connection: Queryable): Promise<void> {
  await connection.execute(
    "INSERT INTO aircraft (id, account_id, name, document) VALUES (?, ?, ?, ?) ON DUPLICATE KEY UPDATE name = VALUES(name), document = VALUES(document), deleted_at = NULL",
    [id, LIBRARY_ACCOUNT, document.name, JSON.stringify(document)],
  );
}
