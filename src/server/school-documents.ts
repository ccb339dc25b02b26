// What a school has in common: aircraft, places, procedures and flight tests that its teachers put there, as copies. A
// member takes a copy into his own library.
import { randomUUID } from "node:crypto";
import type { RowDataPacket } from "mysql2/promise";
import { z } from "zod";
import { AircraftOfAnyVersion } from "@/core/aircraft/aircraft-versions";
import { FlightTestProfile } from "@/core/exercise/exercise";
import { copyOf } from "@/core/places/new-place";
import { PlaceOfAnyVersion } from "@/core/places/place-versions";
import { Procedure } from "@/core/procedure/procedure";
import { type SharedKind, SHARED_KINDS } from "@/core/school/school";
import { addAircraft } from "./aircraft";
import { type Queryable, database } from "./database";
import { newOwnId, ownFlightTests, ownProcedures } from "./own-documents";
import { addPlace } from "./places";
import { type Usage, bytesOf, storing } from "./room";

/** What can be put into a school. */
export const SharedDocument = z.discriminatedUnion("kind", [
  z.strictObject({ kind: z.literal("aircraft"), document: AircraftOfAnyVersion }),
  z.strictObject({ kind: z.literal("place"), document: PlaceOfAnyVersion }),
  z.strictObject({ kind: z.literal("procedure"), document: Procedure }),
  z.strictObject({ kind: z.literal("flight-test"), document: FlightTestProfile }),
]);
/** @see SharedDocument */
export type SharedDocument = z.infer<typeof SharedDocument>;

/** A document of a school as its list shows it. */
export interface ListedShared {
  readonly id: string;
  readonly kind: SharedKind;
  readonly name: string;
  readonly sharedAt: string;
}

/** Most documents of a school, and most bytes of them. */
const [MOST, MOST_BYTES] = [200, 8 * 1024 * 1024];

/** Puts a copy into a school; false where it has no room. */
export async function shareDocument(
  schoolId: string,
  { kind, document }: SharedDocument,
  connection: Queryable = database(),
): Promise<boolean> {
  const [rows] = await connection.execute<RowDataPacket[]>(
    "SELECT COUNT(*) AS n, COALESCE(SUM(OCTET_LENGTH(document)), 0) AS bytes FROM school_documents WHERE school_id = ?",
    [schoolId],
  );
  if (Number(rows[0].n) >= MOST || Number(rows[0].bytes) + bytesOf(document) > MOST_BYTES) return false;
  await connection.execute(
    "INSERT INTO school_documents (school_id, id, kind, name, document) VALUES (?, ?, ?, ?, ?)",
    [schoolId, randomUUID(), kind, document.name.slice(0, 80), JSON.stringify(document)],
  );
  return true;
}

/** What a school has in common, by kind and name. */
export async function listShared(schoolId: string): Promise<ListedShared[]> {
  const [rows] = await database().execute<RowDataPacket[]>(
    `SELECT id, kind, name, shared_at FROM school_documents WHERE school_id = ? ORDER BY kind, name, id LIMIT ${MOST}`,
    [schoolId],
  );
  return rows.flatMap((row) => {
    const kind = SHARED_KINDS.find((one) => one === row.kind);
    return kind ? [{ id: row.id, kind, name: row.name, sharedAt: (row.shared_at as Date).toISOString() }] : [];
  });
}

/** Takes one away. */
export async function unshare(schoolId: string, id: string): Promise<boolean> {
  const [result] = await database().execute("DELETE FROM school_documents WHERE school_id = ? AND id = ?", [
    schoolId,
    id,
  ]);
  return (result as { affectedRows: number }).affectedRows > 0;
}

/** Where a copy's room is counted. */
const QUOTA: Record<SharedKind, keyof Usage> = {
  aircraft: "aircraft",
  place: "places",
  procedure: "procedures",
  "flight-test": "flightTests",
};

/**
 * Takes a copy of a school's document into an account; false where the school has none of that id.
 *
 * @throws {AccountFull}
 */
export async function takeCopy(accountId: string, schoolId: string, id: string): Promise<boolean> {
  const [rows] = await database().execute<RowDataPacket[]>(
    "SELECT kind, document FROM school_documents WHERE school_id = ? AND id = ?",
    [schoolId, id],
  );
  if (!rows[0]) return false;
  const shared = SharedDocument.parse({ kind: rows[0].kind, document: JSON.parse(String(rows[0].document)) });
  await storing(accountId, { [QUOTA[shared.kind]]: 1, bytes: bytesOf(shared.document) }, async (connection) => {
    if (shared.kind === "aircraft") await addAircraft(accountId, shared.document, connection);
    else if (shared.kind === "place") await addPlace(accountId, copyOf(shared.document, randomUUID), connection);
    else if (shared.kind === "procedure")
      await ownProcedures.add(accountId, { ...shared.document, id: newOwnId() }, connection);
    else await ownFlightTests.add(accountId, { ...shared.document, id: newOwnId() }, connection);
  });
  return true;
}
