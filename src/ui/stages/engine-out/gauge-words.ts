// Names of gauges, and their readings as instruments show them.
import { PA_PER_INHG } from "@/core/quantities/constants";
import { type UnitChoice, formatNumber, formatSi } from "@/core/quantities/units";
import type { GaugeName } from "@/core/engine/gauges";

/** As a pilot calls them. */
export const GAUGE_NAMES: Readonly<Record<GaugeName, string>> = {
  manifold: "Manifold pressure",
  rpm: "Propeller speed",
  fan: "Fan speed",
  core: "Core speed",
  fuelFlow: "Fuel flow",
  exhaust: "Exhaust temperature",
  head: "Cylinder head",
  oil: "Oil pressure",
};

const S_PER_H = 3600;
const PA_PER_BAR = 100_000;

/** A reading with its unit. */
export function gaugeReading(gauge: GaugeName, si: number, units: UnitChoice): string {
  switch (gauge) {
    case "manifold":
      return `${formatNumber(si / PA_PER_INHG, 1)}\u00a0inHg`;
    case "rpm":
      return `${formatNumber(si, 0, 10)}\u00a0rpm`;
    case "fan":
    case "core":
      return `${Math.round(si * 100)}\u00a0%`;
    case "fuelFlow":
      return `${formatNumber(si * S_PER_H)}\u00a0kg/h`;
    case "exhaust":
    case "head":
      return si === 0 ? "nothing" : formatSi("temperature", units.temperature, si);
    case "oil":
      return `${formatNumber(si / PA_PER_BAR, 1)}\u00a0bar`;
  }
}

/** Where a gauge begins, SI: temperatures do not begin at absolute zero. */
export function gaugeZero(gauge: GaugeName): number {
  return gauge === "exhaust" || gauge === "head" ? 273.15 : 0;
}
