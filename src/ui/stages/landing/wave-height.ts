import { type UnitChoice, formatNumber, fromSi, unitOf } from "@/core/quantities/units";

/** A height of waves: to a foot or half a metre, where heights are rounded to ten feet. */
export function formatWaves(height_m: number, units: UnitChoice): string {
  return `${formatNumber(fromSi("height", units.height, height_m), units.height === "m" ? 1 : 0)}\u00a0${unitOf("height", units.height).label}`;
}
