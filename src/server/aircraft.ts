// Aircraft of an account and of the shared library.
import { randomUUID } from "node:crypto";
import type { RowDataPacket } from "mysql2/promise";
import { AircraftDocument } from "@/core/aircraft/aircraft-document";
import { LIBRARY_ACCOUNT } from "./accounts";
import { type Queryable, database } from "./database";

/** An aircraft with where it comes from. */
export interface StoredAircraft {
  readonly id: string;
  readonly shared: boolean;
  readonly document: AircraftDocument;
}

/** All aircraft that an account may use: the library's, then its own. */
export async function listAircraft(accountId: string): Promise<StoredAircraft[]> {
  const [rows] = await database().execute<RowDataPacket[]>("SELECT id, account_id, document FROM aircraft WHERE account_id IN (?, ?) ORDER BY account_id = ? DESC, name", [accountId, LIBRARY_ACCOUNT, LIBRARY_ACCOUNT]);
  return rows.map(aircraftOfRow);
}

/** The aircraft that belong to an account alone. */
export async function listOwnAircraft(accountId: string): Promise<StoredAircraft[]> {
  const [rows] = await database().execute<RowDataPacket[]>("SELECT id, account_id, document FROM aircraft WHERE account_id = ? ORDER BY name", [accountId]);
  return rows.map(aircraftOfRow);
}

function aircraftOfRow(row: RowDataPacket): StoredAircraft {
  return { id: String(row.id), shared: row.account_id === LIBRARY_ACCOUNT, document: AircraftDocument.parse(JSON.parse(String(row.document))) };
}

/** Adds an aircraft to an account. */
export async function addAircraft(accountId: string, document: AircraftDocument, connection: Queryable = database()): Promise<string> {
  const id = randomUUID();
  await connection.execute("INSERT INTO aircraft (id, account_id, name, document) VALUES (?, ?, ?, ?)", [id, accountId, document.name, JSON.stringify(document)]);
  return id;
}

/** Writes an aircraft of the library under a fixed id. */
export async function putLibraryAircraft(id: string, document: AircraftDocument, connection: Queryable): Promise<void> {
  await connection.execute("INSERT INTO aircraft (id, account_id, name, document) VALUES (?, ?, ?, ?) ON DUPLICATE KEY UPDATE name = VALUES(name), document = VALUES(document)", [id, LIBRARY_ACCOUNT, document.name, JSON.stringify(document)]);
}
