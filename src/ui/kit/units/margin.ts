import type { ReachStatus } from "@/core/landing/way-to-end";
import type { Format } from "./units-store";

/** A height with its sign always shown, a margin rounded down, a shortfall up: "+230 ft", "−90 ft". */
export function formatMargin(margin_m: number, format: Format): string {
  const text = format("height", margin_m, "down");
  return text.startsWith("−") ? text : `+${text}`;
}

/** The colour of a status; a word or sign always says the same. */
export const STATUS_TONE: Record<ReachStatus, string> = {
  reached: "text-pine",
  reserve: "text-ochre",
  short: "text-brick",
  terrain: "text-brick",
  none: "text-brick",
};
