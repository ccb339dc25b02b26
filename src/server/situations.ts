// Saved situations of an account.
import { randomUUID } from "node:crypto";
import type { RowDataPacket } from "mysql2/promise";
import type { SituationDocument } from "@/core/situation/situation-document";
import { SituationOfAnyVersion } from "@/core/situation/situation-versions";
import { type Queryable, database } from "./database";
import type { Page } from "./page";
import { type UnreadableRow, readableRows } from "./readable-rows";
import { type Saved, markRow, saveOver } from "./versioned-rows";

/** A saved situation. */
export interface StoredSituation {
  readonly id: string;
  readonly version: number;
  readonly updatedAt: string;
  readonly document: SituationDocument;
}

/** A saved situation as a list shows it. */
export interface ListedSituation {
  readonly id: string;
  readonly name: string;
  readonly updatedAt: string;
}

const COLUMNS = "id, name, document, version, updated_at";

/** Situations of an account, the latest first. */
export async function listSituations(accountId: string, unreadable: UnreadableRow[] = []): Promise<StoredSituation[]> {
  const [rows] = await database().execute<RowDataPacket[]>(
    `SELECT ${COLUMNS} FROM situations WHERE account_id = ? AND deleted_at IS NULL ORDER BY updated_at DESC, id`,
    [accountId],
  );
  return readableRows("situation", rows, situationOfRow, unreadable);
}

/** Of the situations saved last, those that can be read. */
export async function latestSituations(accountId: string): Promise<StoredSituation[]> {
  const [rows] = await database().execute<RowDataPacket[]>(
    `SELECT ${COLUMNS} FROM situations WHERE account_id = ? AND deleted_at IS NULL ORDER BY updated_at DESC, id LIMIT 10`,
    [accountId],
  );
  return readableRows("situation", rows, situationOfRow, []);
}

/** Most that a page of a list may hold. */
export const LONGEST_PAGE = 200;

/**
 * A page of an account's situations, the latest first.
 *
 * @param after - `next` of the page before; null for the first
 * @param name - part of the names that are looked for; empty for all
 */
export async function pageOfSituations(
  accountId: string,
  { after, limit, name }: { after: { updatedAt: Date; id: string } | null; limit: number; name: string },
): Promise<Page<ListedSituation>> {
  const [rows] = await database().execute<RowDataPacket[]>(
    `SELECT id, name, updated_at FROM situations
       WHERE account_id = ? AND deleted_at IS NULL AND (? = '' OR LOCATE(?, name) > 0)
         AND (? IS NULL OR updated_at < ? OR (updated_at = ? AND id > ?))
       ORDER BY updated_at DESC, id LIMIT ?`,
    [
      accountId,
      name,
      name,
      after?.updatedAt ?? null,
      after?.updatedAt ?? null,
      after?.updatedAt ?? null,
      after?.id ?? "",
      // The protocol of prepared statements takes the limit as text.
      String(limit + 1),
    ],
  );
  const items = rows
    .slice(0, limit)
    .map((row) => ({ id: String(row.id), name: String(row.name), updatedAt: (row.updated_at as Date).toISOString() }));
  const last = items.at(-1);
  return { items, next: rows.length > limit && last ? `${last.updatedAt}_${last.id}` : null };
}

/**
 * One situation of an account; null when it has none of that id.
 *
 * @throws when it cannot be read
 */
export async function situationOf(accountId: string, id: string): Promise<StoredSituation | null> {
  const [rows] = await database().execute<RowDataPacket[]>(
    `SELECT ${COLUMNS} FROM situations WHERE id = ? AND account_id = ? AND deleted_at IS NULL`,
    [id, accountId],
  );
  return rows[0] ? situationOfRow(rows[0]) : null;
}

function situationOfRow(row: RowDataPacket): StoredSituation {
  return {
    id: String(row.id),
    version: Number(row.version),
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

/** Replaces a situation of the version that it was made from. */
export const saveSituation = (
  accountId: string,
  id: string,
  document: SituationDocument,
  version: number,
): Promise<Saved<StoredSituation>> => saveOver("situations", accountId, id, document, version, situationOfRow);

/** Deletes a situation, or brings it back; false when the account has none of that id. */
export const markSituation = (
  accountId: string,
  id: string,
  deleted: boolean,
  connection?: Queryable,
): Promise<boolean> => markRow("situations", accountId, id, deleted, connection);

/** Names of an account's situations that fly an aircraft. */
export async function situationsWithAircraft(accountId: string, aircraftId: string): Promise<string[]> {
  const [rows] = await database().execute<RowDataPacket[]>(
    "SELECT name FROM situations WHERE account_id = ? AND deleted_at IS NULL AND JSON_VALUE(document, '$.aircraftId') = ? ORDER BY name LIMIT 5",
    [accountId, aircraftId],
  );
  return rows.map((row) => String(row.name));
}
