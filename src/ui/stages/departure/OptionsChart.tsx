"use client";
import { clamp } from "@/core/numeric/clamp";
import { useCallback, useMemo, useState } from "react";
import type { OptionKind } from "@/core/departure/option";
import { betterSide } from "@/core/departure/scan";
import { degrees } from "@/core/quantities/angle";
import { formatNumber, fromSi, toSi, unitOf } from "@/core/quantities/units";
import { Chart } from "@/ui/kit/charts/Chart";
import { type ChartInk, endLabel, ledLabels } from "@/ui/kit/charts/chart-ink";
import { useFormat, useUnits } from "@/ui/kit/units/units-store";
import { bandWords } from "./band-words";
import { type DepartureScan, useDeparture } from "@/ui/answers/departure-store";
import { optionsAt } from "./options";
import { useEarlyTurn } from "./useEarlyTurn";
import type { Column } from "@/ui/kit/tables/column";
import { DataTable } from "@/ui/kit/tables/DataTable";

/** A line of the chart: what an option is worth over failure height. */
interface Line {
  readonly id: string;
  readonly name: string;
  readonly colour: string;
  readonly dash: string | number[];
  readonly width: number;
  readonly points: readonly { readonly height_m: number; readonly score_m: number | null }[];
}

/** Margins outside this are cut off: far out of reach is far out of reach. */
const [LOW_M, HIGH_M] = [-90, 120];
const COLOURS: Record<OptionKind, string> = {
  stop: "ink",
  ahead: "sage",
  field: "wheat",
  runway: "clay",
  turnback: "harbour",
};
const DASHES: Record<OptionKind, string | number[]> = {
  stop: [2, 3],
  ahead: [8, 4],
  field: [4, 3],
  runway: [10, 3, 2, 3],
  turnback: "solid",
};
const BANK_COLOURS = ["sage", "steel", "harbour", "plum", "clay"];

/** What is laid beside each other. */
type Comparison = "options" | "banks" | "early";

const COMPARISONS: readonly { value: Comparison; label: string }[] = [
  { value: "options", label: "Options" },
  { value: "banks", label: "Banks" },
  { value: "early", label: "Early turn" },
];

/** What every option leaves, over the height at which the engine stops. */
export function OptionsChart() {
  const scan = useDeparture((state) => state.scan);
  const height_m = useDeparture((state) => state.height_m);
  const set = useDeparture((state) => state.set);
  const unit = useUnits((state) => state.units.height);
  const format = useFormat();
  const [comparison, setComparison] = useState<Comparison>("options");
  const early = useEarlyTurn(comparison === "early");
  const lines = useMemo(
    () =>
      scan
        ? comparison === "options"
          ? optionLines(scan)
          : comparison === "banks"
            ? bankLines(scan)
            : [...planLine(scan), ...early.lines]
        : [],
    [scan, comparison, early.lines],
  );
  const bands = scan?.bands;
  const option = useCallback(
    (ink: ChartInk) => {
      const shown = (value_m: number) => fromSi("height", unit, value_m);
      const label = unitOf("height", unit).label;
      return {
        grid: { left: 58, right: 172, top: 36, bottom: 40 },
        tooltip: {
          ...ink.tooltip,
          order: "valueDesc",
          valueFormatter: (value: unknown) =>
            value === null || value === undefined ? "–" : `${formatNumber(Number(value), 0, 10)} ${label}`,
          axisPointer: { ...(ink.tooltip.axisPointer as object), label: { show: false } },
        },
        xAxis: {
          ...ink.axis(`engine stops at, ${label}`),
          nameLocation: "middle",
          nameGap: 26,
          min: 0,
          max: shown(762),
        },
        yAxis: {
          ...ink.axis(`left over, ${label}`),
          min: Math.round(shown(LOW_M)),
          max: Math.round(shown(HIGH_M)),
          nameTextStyle: { color: ink.of("ink2"), fontSize: 13, align: "left", padding: [0, 0, 0, -48] },
          axisLabel: { ...(ink.axis("").axisLabel as object), showMinLabel: false, showMaxLabel: false },
        },
        series: [
          {
            name: "bands",
            type: "line",
            data: [],
            silent: true,
            markArea: {
              silent: true,
              itemStyle: { color: ink.of("pine"), opacity: 0.12 },
              label: {
                show: true,
                position: "insideTop",
                color: ink.of("pine"),
                fontFamily: ink.sans,
                fontSize: 13,
                formatter: "turning back works",
              },
              data:
                comparison === "options"
                  ? (bands ?? []).map((band) => [{ xAxis: shown(band.from_m) }, { xAxis: shown(band.to_m ?? 762) }])
                  : [],
            },
            markLine: {
              silent: true,
              symbol: "none",
              data: [
                {
                  xAxis: shown(height_m),
                  lineStyle: { color: ink.of("ink"), width: 1.5, type: "solid" },
                  label: {
                    formatter: format("height", height_m),
                    color: ink.of("ink"),
                    fontFamily: ink.mono,
                    position: "end",
                  },
                },
                { yAxis: 0, lineStyle: { color: ink.of("ink"), width: 1.5, type: "solid" }, label: { show: false } },
              ],
            },
          },
          ...lines.map((line) => ({
            name: line.name,
            type: "line",
            showSymbol: false,
            connectNulls: false,
            lineStyle: { color: ink.of(line.colour), width: line.width, type: line.dash },
            itemStyle: { color: ink.of(line.colour) },
            ...(endsInside(line) ? { endLabel: endLabel(ink, line.name, ink.of("ink")) } : {}),
            data: line.points.map((point) => [shown(point.height_m), scoreShown(point.score_m, shown)]),
          })),
          ledLabels(
            ink,
            lines
              .filter((line) => !endsInside(line))
              .flatMap((line) => {
                const last = line.points[line.points.length - 1];
                const score = last && scoreShown(last.score_m, shown);
                return last && score !== null
                  ? [{ name: line.name, colour: line.colour, at: [shown(last.height_m), score] as const }]
                  : [];
              }),
          ),
        ],
      };
    },
    [lines, bands, height_m, unit, comparison, format],
  );
  if (!scan) return <p className="p-4 text-ink2">Computing …</p>;
  return (
    <div className="grid min-h-0 grid-rows-[auto_minmax(0,1fr)_auto]">
      <div className="flex items-center gap-2 px-4 pt-2" role="group" aria-label="Compare">
        {COMPARISONS.map(({ value, label }) => (
          <button
            key={value}
            type="button"
            aria-pressed={comparison === value}
            className={`btn whitespace-nowrap px-2 py-0.5 text-[13px] ${comparison === value ? "" : "btn-quiet"}`}
            onClick={() => setComparison(value)}
          >
            {label}
          </button>
        ))}
        {comparison === "early" && <span className="text-[13px] text-ink2">{early.says}</span>}
      </div>
      <Chart
        label="What every option leaves over failure height"
        option={option}
        onPick={(x) => set({ height_m: clamp(toSi("height", unit, x), 6.1, 762), pointedEntry: null })}
        table={<ScoreTable lines={lines} />}
      />
      <p className="border-t border-rule px-4 py-2 text-[14px]">
        {bandWords(scan, format)}{" "}
        <span className="text-ink2">
          Left over is the height in hand, or a tenth of the ground left after stopping, whichever is less.
        </span>
      </p>
    </div>
  );
}

/** What is drawn of a score; null where there is none, or it is far out of reach. */
function scoreShown(score_m: number | null, shown: (value_m: number) => number): number | null {
  return score_m === null || score_m < LOW_M ? null : shown(Math.min(score_m, HIGH_M));
}

/** A line that stops before the last height is named where it stops. */
function endsInside({ points }: Line): boolean {
  const last = points[points.length - 1];
  return last === undefined || last.score_m === null || last.score_m < LOW_M;
}

function optionLines(scan: DepartureScan): Line[] {
  const byId = new Map<
    string,
    { name: string; kind: OptionKind; points: { height_m: number; score_m: number | null }[] }
  >();
  for (const ahead of scan.ahead) {
    for (const option of optionsAt(scan, ahead)) {
      const line = byId.get(option.id) ?? { name: option.name, kind: option.kind, points: [] };
      line.points.push({ height_m: ahead.height_m, score_m: option.score_m });
      byId.set(option.id, line);
    }
  }
  return [...byId].flatMap(([id, { name, kind, points }]) => {
    // What never comes near is not drawn.
    if (!points.some((point) => point.score_m !== null && point.score_m > LOW_M / 2)) return [];
    return [
      {
        id,
        name,
        colour: id === "right" ? "steel" : COLOURS[kind],
        dash: DASHES[kind],
        width: kind === "turnback" ? 2.6 : 1.8,
        points,
      },
    ];
  });
}

function bankLines(scan: DepartureScan): Line[] {
  const practised = scan.question.plan.practisedBank_rad;
  return [...scan.byBank]
    .sort(([a], [b]) => a - b)
    .map(([bank, heights], i) => ({
      id: `bank-${bank}`,
      name: `${Math.round(degrees(bank))}°${bank > practised + 0.01 ? " (not practised)" : ""}`,
      colour: BANK_COLOURS[i % BANK_COLOURS.length],
      dash: bank > practised + 0.01 ? [4, 4] : "solid",
      width: 2.2,
      points: heights.map((entry) => ({ height_m: entry.height_m, score_m: betterSide(entry)?.score_m ?? null })),
    }));
}

function planLine(scan: DepartureScan): Line[] {
  const { crosswind } = scan.question.plan;
  return [
    {
      id: "plan",
      name: crosswind ? "as planned" : "straight out",
      colour: "ink",
      dash: "solid",
      width: 2.4,
      points: scan.best,
    },
  ];
}

function ScoreTable({ lines }: { lines: readonly Line[] }) {
  const format = useFormat();
  const heights = [...new Set(lines.flatMap((line) => line.points.map((point) => point.height_m)))].sort(
    (a, b) => a - b,
  );
  return (
    <DataTable
      className="w-full text-[13px]"
      rows={heights.map((height_m) => ({ height_m }))}
      rowKey={({ height_m }) => height_m}
      columns={[
        { name: "engine stops at", kind: "figure", cell: ({ height_m }) => format("height", height_m) },
        ...lines.map((line): Column<{ height_m: number }> => {
          const score = (height_m: number) => line.points.find((point) => point.height_m === height_m)?.score_m ?? null;
          return {
            name: line.name,
            cell: ({ height_m }) => {
              const left_m = score(height_m);
              return left_m === null ? "–" : format("height", left_m);
            },
            tone: ({ height_m }) => {
              const left_m = score(height_m);
              return left_m === null ? "text-ink2" : left_m >= 0 ? "text-pine" : "text-brick";
            },
          };
        }),
      ]}
    />
  );
}
