import { degrees } from "@/core/quantities/angle";
import { formatNumber } from "@/core/quantities/units";
import type { NextBend } from "@/core/rotor/trim-tab";

const side = (angle_rad: number) =>
  `${formatNumber(Math.abs(degrees(angle_rad)), 1)}° ${angle_rad >= 0 ? "left" : "right"}`;

/** What to do with the tab, in a sentence. */
export function bendWords({ kind, change_rad, tab_rad }: NextBend): string {
  if (kind === "central") return "The string is central: leave the tab as it is.";
  const bend = `Bend the tab ${side(change_rad)}, to ${side(tab_rad)}, and fly it again.`;
  if (kind === "first") return `${bend} A small one first: two flights make a line.`;
  return kind === "limited" ? `${bend} More would be needed: not all at once.` : bend;
}
