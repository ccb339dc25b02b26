import type { Scatter, ScatterKind } from "@/core/situation/scatter";
import { degrees } from "@/core/quantities/angle";
import { formatNumber } from "@/core/quantities/units";
import type { Format } from "@/ui/kit/units/units-store";

/** What scatters, in a pilot's words. */
export const SCATTER_NAMES: Record<ScatterKind, string> = {
  delay: "Seconds before acting",
  bank: "Bank",
  speed: "Speed",
  headwind: "Headwind",
  crosswind: "Crosswind",
  glide: "Glide ratio",
  intercept: "Angle back to the runway",
};

/** By how much it scatters. */
export function scatterSize(scatter: Scatter, kind: ScatterKind, format: Format): string {
  switch (kind) {
    case "delay":
      return `± ${formatNumber(scatter.delay_s, 1)} s`;
    case "bank":
      return `± ${formatNumber(degrees(scatter.bank_rad), 0)}°`;
    case "speed":
      return `± ${formatNumber(scatter.speed * 100, 0)} %`;
    case "headwind":
      return `± ${format("speed", scatter.headwind_mps)}`;
    case "crosswind":
      return `± ${format("speed", scatter.crosswind_mps)}`;
    case "glide":
      return `± ${formatNumber(scatter.glide * 100, 0)} %`;
    case "intercept":
      return `± ${formatNumber(degrees(scatter.intercept_rad), 0)}°`;
    default:
      return kind satisfies never;
  }
}
