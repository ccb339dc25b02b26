/** Most halvings: after these no interval of doubles gets narrower. */
const MOST = 60;

/** Halvings that bring an interval down to a width, at most 60. */
export function halvingsTo(width: number, low: number, high: number): number {
  const halvings = Math.ceil(Math.log2((high - low) / width));
  return halvings > 0 ? Math.min(halvings, MOST) : 0;
}

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
  for (let i = 0; i < Math.min(halvings, MOST); i += 1) {
    const middle = (low + high) / 2;
    if (holds(middle)) low = middle;
    else high = middle;
  }
  return { low, high };
}
