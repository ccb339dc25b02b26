// The moment that is pointed at, along a flown flight.
import type { ExposurePoint } from "@/core/debrief/exposure";

type Along = Pick<ExposurePoint, "time_s" | "distance_m">;

/** Last index at which a figure that rises is not above a value; the first before all. */
function lastNotAbove<P>(points: readonly P[], of: (point: P) => number, value: number): number {
  let [low, high] = [0, points.length - 1];
  while (low < high) {
    const middle = (low + high + 1) >> 1;
    if (of(points[middle]) <= value) low = middle;
    else high = middle - 1;
  }
  return low;
}

function between<P>(points: readonly P[], from: (point: P) => number, to: (point: P) => number, value: number): number {
  const i = lastNotAbove(points, from, value);
  const next = points[Math.min(i + 1, points.length - 1)];
  const step = from(next) - from(points[i]);
  const share = step > 0 ? Math.min(Math.max((value - from(points[i])) / step, 0), 1) : 0;
  return to(points[i]) + share * (to(next) - to(points[i]));
}

const time = ({ time_s }: Along) => time_s;
const distance = ({ distance_m }: Along) => distance_m;

/** How far along the flight a moment is, m. */
export const distanceAt_m = (points: readonly Along[], at_s: number) => between(points, time, distance, at_s);

/** When the flight was so far along, s; its ends beyond them. */
export const timeAt_s = (points: readonly Along[], at_m: number) => between(points, distance, time, at_m);

/** The fix that a moment belongs to. */
export function exposureAt<P extends Along>(points: readonly P[], at_s: number): P {
  return points[lastNotAbove(points, time, at_s)];
}
