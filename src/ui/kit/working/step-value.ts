// A step's value as it is shown: in the user's unit, with the SI value beside it, and enough digits to check by hand.
import { degrees } from "@/core/quantities/angle";
import { type QuantityKind, type UnitChoice, fromSi, unitOf } from "@/core/quantities/units";
import type { WorkingStep } from "@/core/working";

const KIND_OF_UNIT: Record<string, QuantityKind> = {
  "m/s": "speed",
  m: "height",
  kg: "mass",
  Pa: "pressure",
  K: "temperature",
};

/** Speeds downwards, which pilots read in other units than those along the path. */
const VERTICAL_SYMBOLS = new Set(["sink", "RoC", "RoC2", "Δ"]);

/** Four significant digits, without exponents for anything a pilot meets with. */
function digits(value: number): string {
  if (value === 0) return "0";
  const decimals = Math.min(6, Math.max(0, 3 - Math.floor(Math.log10(Math.abs(value)))));
  return value.toFixed(decimals).replace("-", "−");
}

/** The value in the user's unit and, when that is another, in SI. */
export function stepValue(
  { symbol, value, unit }: Pick<WorkingStep, "symbol" | "value" | "unit">,
  units: UnitChoice,
): { shown: string; si: string | null } {
  if (typeof value === "string") return { shown: value, si: null };
  const si = `${digits(value)}\u202f${unit}`.trimEnd();
  if (unit === "rad") return { shown: `${digits(degrees(value))}°`, si };
  const kind = unit === "m/s" && VERTICAL_SYMBOLS.has(symbol) ? "verticalSpeed" : KIND_OF_UNIT[unit];
  if (!kind) return { shown: si, si: null };
  const chosen = unitOf(kind, units[kind]);
  const shown = `${digits(fromSi(kind, units[kind], value))}\u202f${chosen.label}`;
  return { shown, si: shown === si ? null : si };
}
