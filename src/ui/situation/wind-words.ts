import type { WindColumn } from "@/core/air/wind";
import { threeFigures } from "@/core/quantities/angle";
import { type UnitChoice, fromSi } from "@/core/quantities/units";

/** "250/14", direction from and speed in the user's unit. */
export function formatWind(wind: { from_rad: number; speed_mps: number }, units: UnitChoice): string {
  const speed = Math.round(fromSi("speed", units.speed, wind.speed_mps));
  if (speed === 0) return "calm";
  return `${threeFigures(wind.from_rad)}/${String(speed).padStart(2, "0")}`;
}

/** Surface wind and the lowest layer: "250/14 · 270/22 at 3k". */
export function windInWords({ surface, layers }: WindColumn, units: UnitChoice): string {
  const lowest = [...layers].sort((a, b) => a.altitude_m - b.altitude_m)[0];
  const aloft = lowest
    ? `${formatWind(lowest, units)} at ${(fromSi("height", units.height, lowest.altitude_m) / 1000).toFixed(units.height === "ft" ? 0 : 1)}k`
    : "";
  return [surface ? formatWind(surface, units) : "", aloft].filter(Boolean).join(" · ") || "calm";
}
