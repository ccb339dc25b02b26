// What is to be asked today, of which aircraft first, and how well each is held.
import type { AircraftDocument } from "../aircraft/aircraft-document";
import type { Procedure } from "../procedure/procedure";
import { type Grade, type Memory, chanceAt, memoryOf } from "./memory";
import type { RecallCard } from "./recall-card";
import { recallCards } from "./recall-cards";

/** An answer to a card. */
export interface CardReview {
  readonly card: string;
  readonly at_ms: number;
  readonly grade: Grade;
}

/** A card that was asked before, or is new. */
export interface HeldCard {
  readonly card: RecallCard;
  /** Null for one that was never asked. */
  readonly memory: Memory | null;
  /** That it is known now; null for a new one. */
  readonly chance: number | null;
  readonly answered: readonly CardReview[];
}

/** A day's cards. */
export interface RecallDay {
  /** The moment that it is about. */
  readonly now_ms: number;
  /** Due now or before the day is over, those held worst first; new ones after them. */
  readonly due: readonly HeldCard[];
  /** Asked again later, the soonest first. */
  readonly later: readonly HeldCard[];
  /** Cards that there are. */
  readonly cards: number;
}

/** New cards that a day brings. */
export const NEW_A_DAY = 5;
const DAY_MS = 24 * 3600 * 1000;

/**
 * The day's cards.
 *
 * @param fleet - the aircraft that is flown first
 * @param now_ms - since 1970, UTC
 * @param dayEnd_ms - when the user's day is over; what falls due later waits
 * @param own - procedures of the pilot's own
 */
export function recallDay(
  fleet: readonly { readonly id: string; readonly document: AircraftDocument }[],
  reviews: readonly CardReview[],
  now_ms: number,
  dayEnd_ms: number,
  own: readonly Procedure[] = [],
): RecallDay {
  const byCard = new Map<string, CardReview[]>();
  for (const review of reviews) {
    const list = byCard.get(review.card);
    if (list) list.push(review);
    else byCard.set(review.card, [review]);
  }
  const cards = fleet.flatMap(({ id, document }) => recallCards(id, document, own));
  const held = cards.map((card): HeldCard => {
    const answered = byCard.get(card.id) ?? [];
    const memory = memoryOf(answered);
    return { card, memory, chance: memory && chanceAt(memory, now_ms), answered };
  });
  const asked = held.filter(({ memory }) => memory !== null);
  const begun = asked.filter(
    ({ answered }) => Math.min(...answered.map(({ at_ms }) => at_ms)) > dayEnd_ms - DAY_MS,
  ).length;
  const due = asked
    .filter(({ memory }) => memory !== null && memory.due_ms <= dayEnd_ms)
    .toSorted((a, b) => (a.chance ?? 1) - (b.chance ?? 1));
  // Of the aircraft that is flown first: what another brings waits until all of its have been asked.
  const fresh = held.filter(({ memory }) => memory === null).slice(0, Math.max(NEW_A_DAY - begun, 0));
  const later = asked
    .filter(({ memory }) => memory !== null && memory.due_ms > dayEnd_ms)
    .toSorted((a, b) => (a.memory?.due_ms ?? 0) - (b.memory?.due_ms ?? 0));
  return { now_ms, due: [...due, ...fresh], later, cards: cards.length };
}
