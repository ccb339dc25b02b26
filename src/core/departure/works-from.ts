// From where turning back works with one bank, flown as planned: what days are compared by.
import { bestByHeight } from "./best-bank";
import type { DepartureDay, DepartureQuestion } from "./departure-day";
import { SCAN_HEIGHTS_M, type TurnbackAtHeight, bandsOf, turnbackAt } from "./scan";

/** What of a departure is laid beside another day's. */
export interface WorksFrom {
  /** Lowest failure height from which turning back works as planned; null where it does at none. */
  readonly from_m: number | null;
  /** Take-off run. */
  readonly run_m: number;
}

/**
 * Looks at every second height of the scan, from below, until it works.
 *
 * @param bank_rad - of the turn back, the same on every day that is compared
 */
export function worksFrom(day: DepartureDay, question: DepartureQuestion, bank_rad: number): WorksFrom {
  const looked: TurnbackAtHeight[] = [];
  for (const height_m of SCAN_HEIGHTS_M.filter((_, i) => i % 2 === 1)) {
    looked.push(turnbackAt(day, question, height_m, bank_rad));
    const [band] = bandsOf(bestByHeight(looked));
    if (band) return { from_m: band.from_m, run_m: day.climb.run_m };
  }
  return { from_m: null, run_m: day.climb.run_m };
}
