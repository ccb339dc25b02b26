// Holding a hover on one engine until the person is inside: seconds needed against seconds of a rating.
import type { HoverOnOne, RatingMargin } from "./hover-on-one";

/** Seconds of a rating that are kept for turning the hover into a fly-away. Common practice. */
export const HOIST_RESERVE_S = 5;

/** Whether the hover can be held for long enough. */
export interface HoistCase {
  readonly needed_s: number;
  /** The rating that it is held on: the one that lasts longest of those that give the power; null for none. */
  readonly on: RatingMargin | null;
  /** Seconds of one use over what is needed and the reserve, negative where they are short; null without a limit. */
  readonly spare_s: number | null;
  readonly holds: boolean;
  /** How much lighter a rating that lasts long enough holds it; null where it holds, or no rating lasts so long. */
  readonly lighterBy_kg: number | null;
}

/**
 * The case of a person on the hoist.
 *
 * A rating's uses do not add up without a pause below its band, in which the hover is not held: one use counts, and
 * five seconds of it are kept for the fly-away.
 *
 * @param needed_s - from the failure until the person is inside; 0 to 600
 */
export function hoistCase(hover: HoverOnOne, mass_kg: number, needed_s: number): HoistCase {
  const on = hover.holdsOn === null ? null : hover.ratings[hover.holdsOn];
  const duration_s = on?.rating.duration_s ?? null;
  const spare_s = duration_s === null ? null : duration_s - needed_s - HOIST_RESERVE_S;
  const holds = on !== null && (spare_s === null || spare_s >= 0);
  const lasting = hover.ratings.filter(
    ({ rating }) => rating.duration_s === null || rating.duration_s >= needed_s + HOIST_RESERVE_S,
  );
  const greatest_kg = Math.max(...lasting.map(({ greatestMass_kg }) => greatestMass_kg));
  return {
    needed_s,
    on,
    spare_s,
    holds,
    lighterBy_kg: holds || lasting.length === 0 ? null : Math.max(mass_kg - greatest_kg, 0),
  };
}
