// How well something is remembered, from when it was asked and how it was answered: spaced repetition by the published
// model FSRS-6 (stability, difficulty, retrievability) with its published weights, from the package ts-fsrs.
import { type Card, type Grade as FsrsGrade, Rating, createEmptyCard, forgetting_curve, fsrs } from "ts-fsrs";
import { z } from "zod";

/** How an answer was: wrong, or right in so long. No row of buttons to rate oneself by. */
export const Grade = z.enum(["missed", "effort", "sure", "at-once"]);
/** @see Grade */
export type Grade = z.infer<typeof Grade>;

/** One answer. */
export interface Review {
  /** Milliseconds since 1970, UTC. */
  readonly at_ms: number;
  readonly grade: Grade;
}

/** What is remembered. */
export interface Memory {
  /** When it is asked again, ms since 1970. */
  readonly due_ms: number;
  readonly last_ms: number;
  /** Days until the chance of knowing it has fallen to 0.9. */
  readonly stability_days: number;
  /** 1 to 10. */
  readonly difficulty: number;
  readonly asked: number;
  readonly missed: number;
}

/** Something is asked again when the chance of knowing it has fallen to this. */
export const ASKED_AGAIN_AT = 0.8;
const LONGEST_DAYS = 365;
const DAY_MS = 24 * 3600 * 1000;
/** Answers that count; older ones than these hardly move it. */
const MOST_REVIEWS = 500;

// Without fuzz: the same answers give the same day. What was missed comes back within the session; what was right waits
// for days.
const scheduler = fsrs({
  request_retention: ASKED_AGAIN_AT,
  maximum_interval: LONGEST_DAYS,
  enable_fuzz: false,
  learning_steps: ["10m"],
  relearning_steps: ["10m"],
});

const RATING: Record<Grade, FsrsGrade> = {
  missed: Rating.Again,
  effort: Rating.Hard,
  sure: Rating.Good,
  "at-once": Rating.Easy,
};

/**
 * The grade of an answer: right within half of what is expected is at once, within it sure, later with effort.
 *
 * @param took_s - seconds from when it was asked
 * @param expected_s - of somebody who knows it
 */
export function gradeOf(right: boolean, took_s: number, expected_s: number): Grade {
  if (!right) return "missed";
  if (took_s <= expected_s / 2) return "at-once";
  return took_s <= expected_s ? "sure" : "effort";
}

/** What is remembered after some answers, in any order; null after none. */
export function memoryOf(reviews: readonly Review[]): Memory | null {
  if (reviews.length === 0) return null;
  const inOrder = reviews.toSorted((a, b) => a.at_ms - b.at_ms).slice(-MOST_REVIEWS);
  let card: Card = createEmptyCard(new Date(inOrder[0].at_ms));
  for (const { at_ms, grade } of inOrder) card = scheduler.next(card, new Date(at_ms), RATING[grade]).card;
  const last_ms = inOrder[inOrder.length - 1].at_ms;
  return {
    // The package sets grades a day apart even at the longest wait.
    due_ms: Math.min(card.due.getTime(), last_ms + LONGEST_DAYS * DAY_MS),
    last_ms,
    stability_days: card.stability,
    difficulty: card.difficulty,
    asked: reviews.length,
    missed: reviews.filter(({ grade }) => grade === "missed").length,
  };
}

/** The chance that it is known at a moment, 0 to 1. */
export function chanceAt(
  { last_ms, stability_days }: Pick<Memory, "last_ms" | "stability_days">,
  at_ms: number,
): number {
  const days = Math.max(at_ms - last_ms, 0) / DAY_MS;
  return forgetting_curve(scheduler.parameters.w, days, stability_days);
}
