// Moments of a test card that were marked by hand. They are added under ids of their own and taken back for good, so
// that marks of several devices come to the same in whatever order they arrive.
import type { RowDataPacket } from "mysql2/promise";
import { type CardMark, CardMark as Mark, MOST_MARKS } from "@/core/series/test-card";
import { type Queryable, transaction } from "./database";

/** What became of marks that were sent. */
export type Marked =
  | { readonly state: "kept"; readonly marks: readonly CardMark[] }
  | { readonly state: "missing" }
  | { readonly state: "full" };

/** Marks of a card, in the order of their time; whose card it is its caller knows. */
export async function marksOf(cardId: string, connection: Queryable): Promise<CardMark[]> {
  const [rows] = await connection.execute<RowDataPacket[]>(
    `SELECT id, run, mark, at_ms, removed FROM card_marks WHERE card_id = ? ORDER BY at_ms, id LIMIT ${MOST_MARKS}`,
    [cardId],
  );
  return rows.map((row) =>
    Mark.parse({ id: row.id, run: row.run, mark: row.mark, at_ms: Number(row.at_ms), removed: row.removed === 1 }),
  );
}

/** Adds marks to a card; of what is there already only that it is taken back is taken over. */
export async function putMarks(cardId: string, marks: readonly CardMark[], connection: Queryable): Promise<void> {
  for (const { id, run, mark, at_ms, removed } of marks)
    await connection.execute(
      `INSERT INTO card_marks (card_id, id, run, mark, at_ms, removed) VALUES (?, ?, ?, ?, ?, ?)
         ON DUPLICATE KEY UPDATE removed = removed OR VALUES(removed)`,
      [cardId, id, run, mark, at_ms, removed],
    );
}

/** Adds marks to a card of an account. */
export async function addMarks(accountId: string, cardId: string, marks: readonly CardMark[]): Promise<Marked> {
  return transaction(async (connection) => {
    const [own] = await connection.execute<RowDataPacket[]>(
      "SELECT 1 FROM test_cards WHERE id = ? AND account_id = ? AND deleted_at IS NULL FOR UPDATE",
      [cardId, accountId],
    );
    if (!own[0]) return { state: "missing" };
    const there = new Set((await marksOf(cardId, connection)).map(({ id }) => id));
    if (new Set([...there, ...marks.map(({ id }) => id)]).size > MOST_MARKS) return { state: "full" };
    await putMarks(cardId, marks, connection);
    return { state: "kept", marks: await marksOf(cardId, connection) };
  });
}
