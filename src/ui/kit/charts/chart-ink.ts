// What charts are drawn with: the page's own colours and faces, by day and by night.
import { formatNumber } from "@/core/quantities/units";

/** Colours read from the page's style, and pieces that every chart has alike. */
export interface ChartInk {
  /** A colour of the page by the name of its variable. */
  of(name: string): string;
  /** Look of an axis with its name and unit. */
  axis(name: string): Record<string, unknown>;
  /** Of things that are counted, one to so many. */
  countAxis(name: string, most: number): Record<string, unknown>;
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
  const axis = (name: string, label: (value: number) => string) => ({
    type: "value",
    name,
    nameTextStyle: { color: of("ink2"), fontFamily: SANS, fontSize: 13 },
    axisLabel: { color: of("ink2"), fontFamily: MONO, fontSize: 12, formatter: label },
    axisLine: { show: true, lineStyle: { color: of("ink2") } },
    axisTick: { show: true, lineStyle: { color: of("ink2") } },
    splitLine: { lineStyle: { color: of("rule"), width: 0.7 } },
  });
  return {
    of,
    mono: MONO,
    sans: SANS,
    axis: (name) => axis(name, (value) => formatNumber(value, Number.isInteger(value) ? 0 : 1)),
    countAxis: (name, most) => ({
      ...axis(name, (value) => (Number.isInteger(value) ? formatNumber(value) : "")),
      nameLocation: "middle",
      nameGap: 22,
      min: 0.5,
      max: most + 0.5,
      minInterval: 1,
    }),
    tooltip: {
      trigger: "axis",
      backgroundColor: of("sheet"),
      borderColor: of("ink2"),
      borderWidth: 1,
      padding: [6, 10],
      textStyle: { color: of("ink"), fontFamily: SANS, fontSize: 13 },
      axisPointer: { lineStyle: { color: of("ink2") } },
    },
  };
}

/** A label at the end of a line instead of a legend. */
export function endLabel(ink: ChartInk, text: string, colour: string): Record<string, unknown> {
  return {
    show: true,
    formatter: text,
    color: colour,
    fontFamily: SANS,
    fontSize: 13,
    fontWeight: 600,
    textBorderColor: ink.of("sheet"),
    textBorderWidth: 3,
  };
}

/** Room that a line of label needs, px. */
const LABEL_PX = 16;

/**
 * Layout of the labels at the ends of lines: one that would lie on another is moved down, in the order of the lines.
 */
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

/** Heights of labels as near to those wanted as can be, none on another, in the order of the wanted. */
export function nearest(wanted: readonly number[]): number[] {
  const order = wanted.map((_, i) => i).sort((a, b) => wanted[a] - wanted[b]);
  // Labels that would overlap form a block about the mean of what they want: isotonic regression of the heights less
  // their places.
  const blocks: { sum: number; count: number }[] = [];
  for (const [place, i] of order.entries()) {
    blocks.push({ sum: wanted[i] - place * LABEL_PX, count: 1 });
    for (
      let last = blocks.length - 1;
      last > 0 && blocks[last - 1].sum / blocks[last - 1].count > blocks[last].sum / blocks[last].count;
      last -= 1
    ) {
      const { sum, count } = blocks[last];
      blocks[last - 1] = { sum: blocks[last - 1].sum + sum, count: blocks[last - 1].count + count };
      blocks.pop();
    }
  }
  const placed: number[] = [];
  let place = 0;
  for (const { sum, count } of blocks)
    for (let k = 0; k < count; k += 1, place += 1) placed[order[place]] = sum / count + place * LABEL_PX;
  return placed;
}

/** Where a line ends, in values of the axes, and what it is called. */
export interface LineEnd {
  readonly name: string;
  readonly colour: string;
  readonly at: readonly [number, number];
}

/** From the end of a line to its label, px. */
const LEADER_PX = 18;

/** A series that writes names beside the ends of lines, each led to its own where they are moved apart. */
export function ledLabels(ink: ChartInk, ends: readonly LineEnd[]): Record<string, unknown> {
  return {
    name: "names",
    type: "custom",
    silent: true,
    clip: false,
    tooltip: { show: false },
    data: ends.map(({ at }) => at),
    renderItem: (
      { dataIndex }: { dataIndex: number },
      api: { coord(at: readonly [number, number]): [number, number] },
    ) => {
      const points = ends.map(({ at }) => api.coord(at));
      const [x, y] = points[dataIndex];
      const to = nearest(points.map((point) => point[1]))[dataIndex];
      const { name, colour } = ends[dataIndex];
      return {
        type: "group",
        children: [
          {
            type: "polyline",
            shape: {
              points: [
                [x + 2, y],
                [x + LEADER_PX - 4, to],
              ],
            },
            style: { stroke: ink.of(colour), fill: "none", lineWidth: 1 },
          },
          {
            type: "text",
            style: {
              x: x + LEADER_PX,
              y: to,
              text: name,
              fill: ink.of("ink"),
              font: `600 13px ${SANS}`,
              verticalAlign: "middle",
              stroke: ink.of("sheet"),
              lineWidth: 3,
            },
          },
        ],
      };
    },
  };
}
