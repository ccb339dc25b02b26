// What charts are drawn with: the page's own colours and faces, by day and by night.
import { formatNumber } from "@/core/quantities/units";

/** Colours read from the page's style, and pieces that every chart has alike. */
export interface ChartInk {
  /** A colour of the page by the name of its variable. */
  of(name: string): string;
  /** Look of an axis with its name and unit. */
  axis(name: string): Record<string, unknown>;
  readonly tooltip: Record<string, unknown>;
  readonly mono: string;
  readonly sans: string;
}

const MONO = '"Atkinson Hyperlegible Mono Variable", monospace';
const SANS = '"Atkinson Hyperlegible Next Variable", sans-serif';

/** The ink of what the page shows now. */
export function chartInk(): ChartInk {
  const style = getComputedStyle(document.documentElement);
  const of = (name: string) => style.getPropertyValue(`--${name}`).trim();
  return {
    of,
    mono: MONO,
    sans: SANS,
    axis: (name) => ({
      type: "value",
      name,
      nameTextStyle: { color: of("ink2"), fontFamily: SANS, fontSize: 13 },
      axisLabel: { color: of("ink2"), fontFamily: MONO, fontSize: 12, formatter: (value: number) => formatNumber(value, Number.isInteger(value) ? 0 : 1) },
      axisLine: { show: true, lineStyle: { color: of("ink2") } },
      axisTick: { show: true, lineStyle: { color: of("ink2") } },
      splitLine: { lineStyle: { color: of("rule"), width: 0.7 } },
    }),
    tooltip: { trigger: "axis", backgroundColor: of("sheet"), borderColor: of("ink2"), borderWidth: 1, padding: [6, 10], textStyle: { color: of("ink"), fontFamily: SANS, fontSize: 13 }, axisPointer: { lineStyle: { color: of("ink2") } } },
  };
}

/** A label at the end of a line instead of a legend. */
export function endLabel(ink: ChartInk, text: string, colour: string): Record<string, unknown> {
  return { show: true, formatter: text, color: colour, fontFamily: SANS, fontSize: 13, fontWeight: 600, textBorderColor: ink.of("sheet"), textBorderWidth: 3 };
}

/** Room that a line of label needs, px. */
const LABEL_PX = 16;

/** Layout of the labels at the ends of lines: one that would lie on another is moved down, in the order of the lines. */
export function apart(): (label: { seriesIndex: number; labelRect: { y: number } }) => { y: number } {
  const placed = new Map<number, number>();
  return ({ seriesIndex, labelRect }) => {
    placed.delete(seriesIndex);
    let { y } = labelRect;
    const others = [...placed.values()].sort((a, b) => a - b);
    for (const other of others) if (Math.abs(y - other) < LABEL_PX) y = other + LABEL_PX;
    placed.set(seriesIndex, y);
    return { y };
  };
}
