// An answer to a card as it is sent to be kept. Apart from the table, so that what reads a file needs no database.
import { z } from "zod";
import { Grade } from "@/core/recall/memory";

/** @see SentReview */
export const SentReview = z.strictObject({
  id: z.uuid(),
  card: z.string().min(1).max(120),
  /** Milliseconds since 1970, UTC: 2020 to 2100. */
  at_ms: z.int().min(Date.UTC(2020, 0)).max(Date.UTC(2100, 0)),
  grade: Grade,
  took_s: z.number().min(0).max(3600),
});
/** An answer: of which card, when, how it was and how long it took. */
export type SentReview = z.infer<typeof SentReview>;
