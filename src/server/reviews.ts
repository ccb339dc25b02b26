// Answers of an account to the cards of recall. They are only added: what is remembered follows from them.
import type { RowDataPacket } from "mysql2/promise";
import { Grade } from "@/core/recall/memory";
import { type Queryable, database } from "./database";
import type { SentReview } from "./sent-review";

/** Most that come with a list: the latest; older ones hardly move what is remembered. */
const MOST_REVIEWS = 5000;

/** Adds answers; those that were sent before are there once. */
export async function addReviews(
  accountId: string,
  reviews: readonly SentReview[],
  connection: Queryable = database(),
): Promise<void> {
  for (const { id, card, at_ms, grade, took_s } of reviews)
    await connection.execute(
      "INSERT IGNORE INTO reviews (account_id, id, card, at, grade, took_s) VALUES (?, ?, ?, ?, ?, ?)",
      [accountId, id, card, new Date(at_ms), grade, took_s],
    );
}

/** Answers of an account, the latest first. */
export async function listReviews(accountId: string, most = MOST_REVIEWS): Promise<SentReview[]> {
  const [rows] = await database().execute<RowDataPacket[]>(
    "SELECT id, card, at, grade, took_s FROM reviews WHERE account_id = ? ORDER BY at DESC, id LIMIT ?",
    // The protocol of prepared statements takes the limit as text.
    [accountId, String(most)],
  );
  return rows.map((row) => ({
    id: String(row.id),
    card: String(row.card),
    at_ms: (row.at as Date).getTime(),
    grade: Grade.parse(row.grade),
    took_s: Number(row.took_s),
  }));
}
