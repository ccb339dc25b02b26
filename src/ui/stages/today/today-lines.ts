// The brief of a day, line by line in the order in which it is said. Words only: every figure comes from an answer.

/** A part of the brief. */
export interface TodayPart {
  readonly title: string;
  readonly lines: readonly string[];
}

/** All lines of a brief in order. */
export function allLines(parts: readonly TodayPart[]): string[] {
  return parts.flatMap((part) => part.lines);
}
