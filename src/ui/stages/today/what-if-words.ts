// What a day that differs by one thing comes to, as it is written.
import type { WhatIf } from "@/core/situation/what-if";
import { type UnitChoice, formatNumber, unitOf } from "@/core/quantities/units";
import type { Format } from "@/ui/kit/units/units-store";

/** What decides a day: turning back, going on one engine, or the runway that is left. */
export type DayKind = "single" | "twin" | "jet";

/** What a day comes to, SI: the two figures of its kind. */
export interface DayFigures {
  /** Null where it comes to none. */
  readonly first: number | null;
  readonly second: number;
  /** Why there are no figures. */
  readonly issue: string | null;
}

/** One line of the table. */
export interface WhatIfLine {
  readonly whatIf: WhatIf | null;
  /** Of another runway. */
  readonly name: string | null;
  /** Null while it is computed. */
  readonly figures: DayFigures | null;
}

interface WhatIfColumn {
  readonly head: string;
  readonly kind: "height" | "length" | "verticalSpeed";
  /** Against the pilot. */
  readonly rounding?: "up" | "down";
}

/** What stands in the two columns. */
export const WHAT_IF_COLUMNS: Readonly<Record<DayKind, readonly [WhatIfColumn, WhatIfColumn]>> = {
  single: [
    { head: "turn back works from", kind: "height", rounding: "up" },
    { head: "run", kind: "length" },
  ],
  twin: [
    { head: "go from", kind: "height", rounding: "up" },
    { head: "climb", kind: "verticalSpeed", rounding: "down" },
  ],
  jet: [
    { head: "runway left", kind: "length", rounding: "down" },
    { head: "climb", kind: "verticalSpeed", rounding: "down" },
  ],
};

/** What a first figure that is none means. */
const NONE: Record<DayKind, string> = { single: "at no height", twin: "at no height", jet: "does not fly" };

const sign = (by: number) => (by > 0 ? "+" : "−");

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

const figureOf = (shown: string) =>
  Number(
    shown
      .split("\u00a0")[0]
      .replace(/\u202f/g, "")
      .replace("−", "-"),
  );

/**
 * A figure with how much it differs from today's, in brackets: of the figures as they are shown, so that they add up.
 */
function beside(value: number, today: number | null, { kind, rounding }: WhatIfColumn, format: Format): string {
  const shown = format(kind, value, rounding);
  if (today === null) return shown;
  const by = figureOf(shown) - figureOf(format(kind, today, rounding));
  return by === 0 ? shown : `${shown} (${sign(by)}${formatNumber(Math.abs(by), Number.isInteger(by) ? 0 : 1)})`;
}

/** The two figures of a day as they are written; its issue is told elsewhere. */
export function whatIfFigures(
  { first, second, issue }: DayFigures,
  today: DayFigures | null,
  kind: DayKind,
  format: Format,
): readonly [string, string] {
  if (issue) return ["–", ""];
  const [one, two] = WHAT_IF_COLUMNS[kind];
  return [
    first === null ? NONE[kind] : beside(first, today?.first ?? null, one, format),
    beside(second, today?.second ?? null, two, format),
  ];
}
