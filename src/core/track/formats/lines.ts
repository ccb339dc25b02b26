// The lines of a text one after another, without a copy of the whole; now and then progress is told.
import type { ReadProgress } from "../log";

/** Lines between two reports. */
const REPORT_EVERY = 20_000;

/**
 * Goes through the lines of a text.
 *
 * @param take - the line without its end, and its number from 1; false ends
 * @returns false when progress was answered with false
 */
export function eachLine(
  text: string,
  take: (line: string, number: number) => boolean | void,
  progress: ReadProgress,
): boolean {
  let [from, number] = [0, 0];
  while (from < text.length) {
    let to = text.indexOf("\n", from);
    if (to < 0) to = text.length;
    number += 1;
    const end = to > from && text.charCodeAt(to - 1) === 13 ? to - 1 : to;
    if (take(text.slice(from, end), number) === false) return true;
    if (number % REPORT_EVERY === 0 && !progress(to / text.length)) return false;
    from = to + 1;
  }
  return true;
}
