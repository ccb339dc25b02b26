import type { DitchingItem } from "@/core/landing/ditching-list";

/** An item with its time from now. */
export interface TimedItem extends DitchingItem {
  readonly at_s: number;
  /** Done at once: it waits for no height, or its height has been passed already. */
  readonly late: boolean;
}

/** Items by height as times from now, at a steady sink from an altitude over the water. */
export function timeline(items: readonly DitchingItem[], altitude_m: number, sink_mps: number): TimedItem[] {
  return items.map((item) => ({
    ...item,
    at_s: item.by_m === null ? 0 : Math.max((altitude_m - item.by_m) / sink_mps, 0),
    late: item.by_m === null || item.by_m >= altitude_m,
  }));
}
