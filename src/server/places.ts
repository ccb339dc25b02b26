// Places of an account and of the shared library.
import type { RowDataPacket } from "mysql2/promise";
import type { Place } from "@/core/places/place";
import { PlaceOfAnyVersion } from "@/core/places/place-versions";
import { LIBRARY_ACCOUNT } from "./accounts";
import { type Queryable, database } from "./database";
import { type UnreadableRow, readableRows } from "./readable-rows";
import { type Saved, markRow, saveOver } from "./versioned-rows";

/** A place with where it comes from. */
export interface StoredPlace {
  readonly id: string;
  readonly shared: boolean;
  readonly version: number;
  readonly document: Place;
}

/** Places that belong to an account, by name. */
export async function listPlaces(accountId: string, unreadable: UnreadableRow[] = []): Promise<StoredPlace[]> {
  const [rows] = await database().execute<RowDataPacket[]>(
    "SELECT id, account_id, name, document, version FROM places WHERE account_id = ? AND deleted_at IS NULL ORDER BY name",
    [accountId],
  );
  return readableRows("place", rows, placeOfRow, unreadable);
}

function placeOfRow(row: RowDataPacket): StoredPlace {
  return {
    id: String(row.id),
    shared: row.account_id === LIBRARY_ACCOUNT,
    version: Number(row.version),
    document: PlaceOfAnyVersion.parse(JSON.parse(String(row.document))),
  };
}

/** An id that a place brings is somebody else's. */
export class IdTaken extends Error {}

/**
 * Adds a place under the id that it brings. Sent once more, because the answer to the first was lost, it takes the
 * place of what came first, deleted or not; what was saved over that since stands.
 *
 * @returns what is stored now
 * @throws {IdTaken}
 */
export async function addPlace(accountId: string, place: Place, connection: Queryable): Promise<StoredPlace> {
  await connection.execute(
    `INSERT INTO places (id, account_id, name, document) VALUES (?, ?, ?, ?)
       ON DUPLICATE KEY UPDATE
         name = IF(account_id = VALUES(account_id) AND version = 1, VALUES(name), name),
         document = IF(account_id = VALUES(account_id) AND version = 1, VALUES(document), document),
         deleted_at = IF(account_id = VALUES(account_id), NULL, deleted_at)`,
    [place.id, accountId, place.name, JSON.stringify(place)],
  );
  const [rows] = await connection.execute<RowDataPacket[]>(
    "SELECT id, account_id, name, document, version FROM places WHERE id = ? AND account_id = ?",
    [place.id, accountId],
  );
  if (!rows[0]) throw new IdTaken(place.id);
  return placeOfRow(rows[0]);
}

/** Writes a place of the library under its id. */
export async function putLibraryPlace(place: Place, connection: Queryable): Promise<void> {
  await connection.execute(
    "INSERT INTO places (id, account_id, name, document) VALUES (?, ?, ?, ?) ON DUPLICATE KEY UPDATE name = VALUES(name), document = VALUES(document), deleted_at = NULL",
    [place.id, LIBRARY_ACCOUNT, place.name, JSON.stringify(place)],
  );
}

/** Replaces a place of the version that it was made from; `missing` for the library's. */
export const savePlace = (accountId: string, place: Place, version: number): Promise<Saved<StoredPlace>> =>
  saveOver("places", accountId, place.id, place, version, placeOfRow);

/** Deletes a place of an account, or brings it back; false when the account has none of that id. */
export const markPlace = (accountId: string, id: string, deleted: boolean, connection?: Queryable): Promise<boolean> =>
  markRow("places", accountId, id, deleted, connection);
