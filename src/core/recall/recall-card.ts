/** What every card has. */
interface OfCard {
  /** The same for the same question of the same aircraft. */
  readonly id: string;
  readonly aircraftId: string;
  readonly aircraft: string;
  /** Short, for a list. */
  readonly title: string;
  readonly question: string;
  /** What it is about, under the question. */
  readonly about: string;
  /** Why it is so. */
  readonly why: string;
  /** Seconds that somebody needs who knows it. */
  readonly expected_s: number;
}

/** One of a few answers. */
export interface ChoiceCard extends OfCard {
  readonly kind: "next" | "blank";
  readonly answers: readonly string[];
  /** Index of the one that is right. */
  readonly right: number;
}

/** Strips to be put in order. */
export interface OrderCard extends OfCard {
  readonly kind: "order";
  /** As they lie on the table. */
  readonly strips: readonly string[];
  /** Indices of strips in the right order. */
  readonly order: readonly number[];
}

/** A speed to be set on a rule. */
export interface NumberCard extends OfCard {
  readonly kind: "number";
  readonly speed_mps: number;
  /** Ends of the rule. */
  readonly low_mps: number;
  readonly high_mps: number;
  /** Right within this. */
  readonly within_mps: number;
}

/** A question of recall. */
export type RecallCard = ChoiceCard | OrderCard | NumberCard;
