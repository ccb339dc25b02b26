// Recall in words: how an answer was, and when it is asked again.
import type { Grade, Memory } from "@/core/recall/memory";
import { gradeOf } from "@/core/recall/memory";
import type { RecallCard } from "@/core/recall/recall-card";
import { formatNumber } from "@/core/quantities/units";

/** How an answer was. */
export const GRADE_WORDS: Record<Grade, string> = {
  missed: "Missed",
  effort: "Right, with effort",
  sure: "Right, sure",
  "at-once": "Right at once",
};

const [MINUTE_MS, DAY_MS] = [60_000, 24 * 3600 * 1000];

/** How long until something, in whole minutes, hours or days. */
export function waitWords(wait_ms: number): string {
  if (wait_ms <= 0) return "now";
  const minutes = Math.round(wait_ms / MINUTE_MS);
  if (minutes < 60) return `in ${formatNumber(Math.max(minutes, 1))} min`;
  if (wait_ms < DAY_MS) return `in ${formatNumber(Math.round(wait_ms / 3_600_000))} h`;
  const days = Math.round(wait_ms / DAY_MS);
  return days === 1 ? "tomorrow" : `in ${formatNumber(days)} days`;
}

/** An answer to a card, as it came out. */
export interface Answered {
  readonly right: boolean;
  readonly took_s: number;
  readonly grade: Grade;
}

/** @see gradeOf */
export const answered = (card: RecallCard, right: boolean, took_s: number): Answered => ({
  right,
  took_s,
  grade: gradeOf(right, took_s, card.expected_s),
});

/** How it was and when it comes back. */
export const verdict = ({ grade, took_s }: Answered, memory: Memory | null): string =>
  `${GRADE_WORDS[grade]}, after ${formatNumber(took_s)} s.${memory ? ` Comes back ${waitWords(memory.due_ms - memory.last_ms)}.` : ""}`;
