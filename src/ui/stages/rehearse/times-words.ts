import { formatNumber } from "@/core/quantities/units";

/** How often, in words: "once", "3 times". */
export const timesWords = (count: number): string => (count === 1 ? "once" : `${formatNumber(count)} times`);
