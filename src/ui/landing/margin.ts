import type { ReachStatus } from "@/core/landing/reach";
import type { useFormat } from "@/ui/units/units-store";

/** A height with its sign always shown: "+230 ft", "−90 ft". */
export function formatMargin(margin_m: number, format: ReturnType<typeof useFormat>): string {
  const text = format("height", margin_m);
  return text.startsWith("−") ? text : `+${text}`;
}

/** The colour of a status; a word or sign always says the same. */
export const STATUS_TONE: Record<ReachStatus, string> = { reached: "text-pine", reserve: "text-ochre", short: "text-brick", terrain: "text-brick", none: "text-brick" };
