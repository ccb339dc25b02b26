// Places of an account and of the shared library.
import { randomUUID } from "node:crypto";
import type { RowDataPacket } from "mysql2/promise";
import { type Place, isAerodrome } from "@/core/places/place";
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

/**
 * Adds a place under the id that it brings; one that the account has already stays as it is.
 *
 * @returns false when the id is somebody else's
 */
export async function addPlace(accountId: string, place: Place, connection: Queryable): Promise<boolean> {
  await connection.execute(
    "INSERT INTO places (id, account_id, name, document) VALUES (?, ?, ?, ?) ON DUPLICATE KEY UPDATE id = places.id",
    [place.id, accountId, place.name, JSON.stringify(place)],
  );
  const [rows] = await connection.execute<RowDataPacket[]>("SELECT account_id FROM places WHERE id = ?", [place.id]);
  return rows[0]?.account_id === accountId;
}

/** Writes a place of the library under its id. */
export async function putLibraryPlace(place: Place, connection: Queryable): Promise<void> {
  await connection.execute(
    "INSERT INTO places (id, account_id, name, document) VALUES (?, ?, ?, ?) ON DUPLICATE KEY UPDATE name = VALUES(name), document = VALUES(document), deleted_at = NULL",
    [place.id, LIBRARY_ACCOUNT, place.name, JSON.stringify(place)],
  );
}

/** A copy under ids of its own. */
export function copyOf(place: Place): Place {
  const id = randomUUID();
  return isAerodrome(place)
    ? { ...place, id, runways: place.runways.map((runway) => ({ ...runway, id: randomUUID() })) }
    : ({ ...place, id, strip: { ...place.strip, id: `${id}-strip` } } as Place);
}

/** Replaces a place of the version that it was made from; `missing` for the library's. */
export const savePlace = (accountId: string, place: Place, version: number): Promise<Saved<StoredPlace>> =>
  saveOver("places", accountId, place.id, place, version, placeOfRow);

/** Deletes a place of an account, or brings it back; false when the account has none of that id. */
export const markPlace = (accountId: string, id: string, deleted: boolean, connection?: Queryable): Promise<boolean> =>
  markRow("places", accountId, id, deleted, connection);
