import { MOST_HALVINGS } from "./bisect";

/** Halvings that bring an interval down to a width, at most 60. */
export function halvingsTo(width: number, low: number, high: number): number {
  const halvings = Math.ceil(Math.log2((high - low) / width));
  return halvings > 0 ? Math.min(halvings, MOST_HALVINGS) : 0;
}
