/** The first index at a time or after it; their number where there is none. */
export function indexAt(time_s: Float64Array, at_s: number): number {
  let [low, high] = [0, time_s.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (time_s[middle] < at_s) low = middle + 1;
    else high = middle;
  }
  return low;
}
