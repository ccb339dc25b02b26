// When a METAR was made: its group of day, hour and minute, which names neither month nor year.

const GROUP = /\b([0-3]\d)([0-2]\d)([0-5]\d)Z\b/;
const DAY_MS = 86_400_000;
/** A clock may be ahead of the station's by this much. */
const AHEAD_MS = 3_600_000;

/**
 * When a report was made, in ms since 1970: the latest day with that number that is not in the future.
 *
 * @param text - the report as it was pasted
 * @param now_ms - present time
 * @returns null without a group of time, or with one that no day has
 * @see WMO-No. 306, FM 15 METAR (memory): YYGGggZ, day of the month and time in UTC
 */
export function metarTime_ms(text: string, now_ms: number): number | null {
  const group = GROUP.exec(text.toUpperCase());
  if (!group) return null;
  const [day, hour, minute] = group.slice(1).map(Number);
  if (hour > 23 || day < 1 || day > 31) return null;
  const today = new Date(now_ms);
  const midnight_ms = Date.UTC(today.getUTCFullYear(), today.getUTCMonth(), today.getUTCDate());
  // Two months back there is a day with each number.
  for (let back = -1; back <= 62; back += 1) {
    const date = new Date(midnight_ms - back * DAY_MS);
    const made_ms = date.getTime() + (hour * 60 + minute) * 60_000;
    if (date.getUTCDate() === day && made_ms <= now_ms + AHEAD_MS) return made_ms;
  }
  return null;
}
