// Answers of an account to the cards of recall. They are only added: what is remembered follows from them.
import type { RowDataPacket } from "mysql2/promise";
import { z } from "zod";
import { Grade } from "@/core/recall/memory";
import { type Queryable, database } from "./database";

/** An answer as it is sent to be kept. */
export const SentReview = z.strictObject({
  id: z.uuid(),
  card: z.string().min(1).max(120),
  /** Milliseconds since 1970, UTC: 2020 to 2100. */
  at_ms: z.int().min(Date.UTC(2020, 0)).max(Date.UTC(2100, 0)),
  grade: Grade,
  took_s: z.number().min(0).max(3600),
});
/** @see SentReview */
export type SentReview = z.infer<typeof SentReview>;

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
