/** What is asked of the hands. */
export interface Wanted {
  pitch_rad: number;
  bank_rad: number;
  /** Balls to the right that are wanted: 0 in the middle. */
  ball: number;
}

/** What hands remember from one look to the next. */
export interface Hands {
  pitch: number;
  bank: number;
  ball: number;
  /** That the feet of a rotorcraft hold in the hover; null before they do. */
  heading: number | null;
}

/** Hands that begin. */
export const freshHands = (): Hands => ({ pitch: 0, bank: 0, ball: 0, heading: null });
