// Entries of a logbook as they are searched: by words in any of their texts, by a tag, the latest first.
import type { RowDataPacket } from "mysql2/promise";
import { LogbookEntry } from "@/core/logbook/logbook-entry";
import { database } from "./database";
import type { OwnDocument } from "./own-documents";
import { type UnreadableRow, readableRows } from "./readable-rows";

/** Most that a page of the list holds. */
export const ENTRIES_A_PAGE = 100;

/** What is looked for. */
export interface EntrySearch {
  /** Words, all of which stand in it. */
  readonly words: string;
  readonly tag: string | null;
  /** How many of the latest are passed over. */
  readonly from: number;
}

const escaped = (text: string) => text.replaceAll(/[\\%_]/g, "\\$&");

/** Entries of an account that answer a search, with how many there are of them. */
export async function searchEntries(
  accountId: string,
  { words, tag, from }: EntrySearch,
  unreadable: UnreadableRow[] = [],
): Promise<{ readonly entries: OwnDocument<LogbookEntry>[]; readonly found: number }> {
  const all = words.trim().split(/\s+/u).filter(Boolean).slice(0, 8);
  const where = [
    "account_id = ? AND deleted_at IS NULL",
    ...all.map(() => "searched LIKE ?"),
    ...(tag === null ? [] : ["JSON_CONTAINS(document, JSON_QUOTE(?), '$.tags')"]),
  ].join(" AND ");
  const bound = [accountId, ...all.map((word) => `%${escaped(word)}%`), ...(tag === null ? [] : [tag])];
  const [counted] = await database().execute<RowDataPacket[]>(
    `SELECT COUNT(*) AS n FROM logbook_entries WHERE ${where}`,
    bound,
  );
  const [rows] = await database().execute<RowDataPacket[]>(
    `SELECT id, account_id, name, document, version FROM logbook_entries WHERE ${where}
       ORDER BY at DESC, id LIMIT ${ENTRIES_A_PAGE} OFFSET ${Math.trunc(from)}`,
    bound,
  );
  const entries = readableRows(
    "logbook entry",
    rows,
    (row) => ({
      id: String(row.id),
      version: Number(row.version),
      document: LogbookEntry.parse(JSON.parse(String(row.document))),
    }),
    unreadable,
  );
  return { entries, found: Number(counted[0].n) };
}

/** Tags that the account has used, the commonest first. */
export async function entryTags(accountId: string): Promise<string[]> {
  const [rows] = await database().execute<RowDataPacket[]>(
    `SELECT JSON_EXTRACT(document, '$.tags') AS tags FROM logbook_entries WHERE account_id = ? AND deleted_at IS NULL`,
    [accountId],
  );
  const counts = new Map<string, number>();
  for (const { tags } of rows) {
    const read = LogbookEntry.shape.tags.safeParse(JSON.parse(String(tags)));
    for (const tag of read.success ? read.data : []) counts.set(tag, (counts.get(tag) ?? 0) + 1);
  }
  return [...counts]
    .sort((a, b) => b[1] - a[1] || a[0].localeCompare(b[0]))
    .map(([tag]) => tag)
    .slice(0, 60);
}
