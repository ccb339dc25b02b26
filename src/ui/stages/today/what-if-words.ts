// What a day that differs by one thing comes to, as it is written.
import type { WhatIf } from "@/core/situation/what-if";
import { type UnitChoice, formatNumber, unitOf } from "@/core/quantities/units";
import type { DayFigures, WhatIfLine } from "./useWhatIf";

type Format = (kind: "height" | "length" | "verticalSpeed", si: number, rounding?: "up" | "down") => string;

const sign = (by: number) => (by > 0 ? "+" : "−");

/** How much it differs from today's, in brackets; nothing where that is rounded away. */
function differing(value: number, today: number | null, format: (si: number) => string): string {
  if (today === null) return "";
  const by = format(Math.abs(value - today));
  return by === format(0) ? "" : ` (${sign(value - today)}${by})`;
}

/** What is changed: "+100 kg", "−10 kt", "+10 °C", a runway. */
export function whatIfName({ whatIf, name }: Pick<WhatIfLine, "whatIf" | "name">, units: UnitChoice): string {
  if (!whatIf) return "today";
  return name ?? changeName(whatIf, units);
}

function changeName({ kind, by }: WhatIf, units: UnitChoice): string {
  // Differences have no offset: 10 °C are 18 °F.
  const of = (quantity: "mass" | "speed" | "temperature") => {
    const unit = unitOf(quantity, units[quantity]);
    return `${sign(by)}${formatNumber(Math.abs(by) / unit.factor, quantity === "mass" ? unit.digits : 0)}\u00a0${unit.label}`;
  };
  switch (kind) {
    case "mass":
      return of("mass");
    case "wind":
      return `${of("speed")} of wind`;
    case "temperature":
      return of("temperature");
    case "runway":
      return "other runway";
  }
}

/** The height of a day, and how much it differs from today's. */
export function whatIfHeight(figures: DayFigures, today: DayFigures | null, format: Format): string {
  if (figures.issue) return figures.issue;
  if (figures.from_m === null) return "at no height";
  const height = format("height", figures.from_m, "up");
  return height + differing(figures.from_m, today?.from_m ?? null, (si) => format("height", si));
}

/** The figure beside the height: take-off run, or climb on one engine with its difference. */
export function whatIfSecond(
  figures: DayFigures,
  today: DayFigures | null,
  twoEngines: boolean,
  format: Format,
): string {
  if (figures.issue) return "";
  if (!twoEngines) return format("length", figures.second);
  const climb = format("verticalSpeed", figures.second, "down");
  return (
    climb + differing(figures.second, today?.second ?? null, (si) => format("verticalSpeed", si).split("\u00a0")[0])
  );
}
