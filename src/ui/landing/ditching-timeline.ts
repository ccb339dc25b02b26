import type { DitchingItem } from "@/core/landing/ditching";

/** An item with its time from now. */
export interface TimedItem extends DitchingItem {
  readonly at_s: number;
  /** Its height has been passed already: it is done at once. */
  readonly late: boolean;
}

/** Items by height as times from now, at a steady sink from an altitude over the water. */
export function timeline(items: readonly DitchingItem[], altitude_m: number, sink_mps: number): TimedItem[] {
  return items.map((item) => ({ ...item, at_s: Math.max((altitude_m - item.by_m) / sink_mps, 0), late: item.by_m >= altitude_m }));
}
