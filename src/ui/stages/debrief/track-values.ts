import type { DrawnTrack } from "@/core/track/drawn-track";

/** The last point that is not after a moment; the first before all of them. */
export function indexAt({ time_s }: DrawnTrack, at_s: number): number {
  let [low, high] = [0, time_s.length - 1];
  while (low < high) {
    const middle = (low + high + 1) >> 1;
    if (time_s[middle] <= at_s) low = middle;
    else high = middle - 1;
  }
  return low;
}

/** A figure of the flight at a moment, between its points. */
export function trackValue(drawn: DrawnTrack, name: keyof DrawnTrack, at_s: number): number {
  const i = indexAt(drawn, at_s);
  const next = Math.min(i + 1, drawn.time_s.length - 1);
  const step = drawn.time_s[next] - drawn.time_s[i];
  const share = step > 0 ? Math.min(Math.max((at_s - drawn.time_s[i]) / step, 0), 1) : 0;
  return drawn[name][i] + share * (drawn[name][next] - drawn[name][i]);
}
