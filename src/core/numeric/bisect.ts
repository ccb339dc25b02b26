/** Most halvings: after these no interval of doubles gets narrower. */
export const MOST_HALVINGS = 60;

/**
 * Where a condition that holds at the low end of an interval, and not at the high end, ceases to hold.
 *
 * @param holds - true at `low`, false at `high`
 * @param halvings - 60 or fewer
 * @returns the narrowed interval: it holds at `low`, and not at `high`
 */
export function bisect(
  holds: (x: number) => boolean,
  low: number,
  high: number,
  halvings: number,
): { low: number; high: number } {
  for (let i = 0; i < Math.min(halvings, MOST_HALVINGS); i += 1) {
    const middle = (low + high) / 2;
    if (holds(middle)) low = middle;
    else high = middle;
  }
  return { low, high };
}
