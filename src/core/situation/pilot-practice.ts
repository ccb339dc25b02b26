// What time without practice does to a pilot, by a rule of thumb that is shown: the reaction grows longer, the scatter
// wider.
import type { Pilot } from "./situation-document";

/** In practice up to here, days: three months, as currency is often counted. Common practice. */
export const IN_PRACTICE_DAYS = 90;
/** Each doubling of the time since adds this share, up to the most. Ours; measured flights replace it. */
const PER_DOUBLING = 0.1;
const MOST = 1.5;

/**
 * By how much reaction and scatter have grown: 1 up to 90 days, a tenth more with each doubling, 1.5 at the most.
 *
 * @param days - since practised, 0 or more
 */
export function practiceFactor(days: number): number {
  return Math.min(1 + PER_DOUBLING * Math.log2(Math.max(days, IN_PRACTICE_DAYS) / IN_PRACTICE_DAYS), MOST);
}

/** The reaction that is planned with: the pilot's own, longer for the time since practised. */
export function plannedReaction_s({
  reaction_s,
  daysSincePractised,
}: Pick<Pilot, "reaction_s" | "daysSincePractised">): number {
  return reaction_s * practiceFactor(daysSincePractised);
}
