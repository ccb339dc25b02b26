import type { Word } from "./dubins";

/** What a pilot would say for each way round. */
export const WORDS_MEANING: Record<Word, string> = {
  LSL: "left turn, straight, left turn",
  RSR: "right turn, straight, right turn",
  LSR: "left turn, straight, right turn",
  RSL: "right turn, straight, left turn",
};
