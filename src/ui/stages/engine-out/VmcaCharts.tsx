"use client";
import { useCallback } from "react";
import { stallCrossing_m } from "@/core/asymmetric/vmca-curve";
import { airAtAltitude } from "@/core/air/altimetry";
import { densityAltitude_m } from "@/core/air/atmosphere";
import { degrees } from "@/core/quantities/angle";
import { formatNumber, fromSi, unitOf } from "@/core/quantities/units";
import { Chart } from "@/ui/kit/charts/Chart";
import { type ChartInk, apart, endLabel } from "@/ui/kit/charts/chart-ink";
import { useFormat, useUnits } from "@/ui/kit/units/units-store";
import { flownBank_rad, useEngineOut } from "@/ui/answers/engine-out-store";
import { useEngineOutQuestion } from "@/ui/answers/useEngineOutAnswer";
import { DataTable } from "@/ui/kit/tables/DataTable";

/** Highest density altitude of the chart, m; its axis has three steps of one plain digit. */
const TOP_M = 6000;
const STEPS = 3;

/** The largest number of one digit and noughts that is not above another. */
function plainStep(value: number): number {
  const size = 10 ** Math.floor(Math.log10(value));
  return Math.floor(value / size + 1e-6) * size;
}

interface Line {
  readonly x: number;
  readonly vmca_mps: number | null;
  readonly stall_mps: number;
}

/** Both lines of a chart with what marks it. */
function chartOption(
  ink: ChartInk,
  lines: readonly Line[],
  speed: (si: number) => number,
  unit: string,
  xAxis: Record<string, unknown>,
  marks: readonly Record<string, unknown>[],
) {
  const layout = apart();
  const of = (name: string, colour: string, text: string, data: readonly unknown[], more: Record<string, unknown>) => ({
    name,
    type: "line",
    showSymbol: false,
    itemStyle: { color: ink.of(colour) },
    endLabel: endLabel(ink, name, ink.of(text)),
    labelLayout: layout,
    data,
    ...more,
  });
  return {
    grid: { left: 40, right: 54, top: 30, bottom: 40 },
    tooltip: {
      ...ink.tooltip,
      valueFormatter: (value: unknown) =>
        value === null || value === undefined ? "–" : `${formatNumber(Number(value))} ${unit}`,
    },
    xAxis: { nameLocation: "middle", nameGap: 24, ...xAxis },
    yAxis: {
      ...ink.axis(`equivalent, ${unit}`),
      nameTextStyle: { color: ink.of("ink2"), fontSize: 13, align: "left", padding: [0, 0, 0, -30] },
      scale: true,
    },
    series: [
      of(
        "V_MCA",
        "brick",
        "brick",
        lines.map(({ x, vmca_mps }) => [x, vmca_mps === null ? null : speed(vmca_mps)]),
        { lineStyle: { color: ink.of("brick"), width: 2.6 }, markLine: { silent: true, symbol: "none", data: marks } },
      ),
      of(
        "V_S",
        "ink2",
        "ink",
        lines.map(({ x, stall_mps }) => [x, speed(stall_mps)]),
        { lineStyle: { color: ink.of("ink2"), width: 2, type: [6, 4] } },
      ),
    ],
  };
}

/** The same as a table. */
function LinesTable({
  head,
  rows,
}: {
  head: string;
  rows: readonly { readonly key: string; readonly vmca_mps: number | null; readonly stall_mps: number }[];
}) {
  const format = useFormat();
  return (
    <DataTable
      className="w-full text-[13px]"
      rows={rows}
      rowKey={(row) => row.key}
      columns={[
        { name: head, kind: "figure", cell: (row) => row.key },
        { name: "V_MCA", cell: ({ vmca_mps }) => (vmca_mps === null ? "no limit met" : format("speed", vmca_mps)) },
        { name: "V_S", cell: (row) => format("speed", row.stall_mps) },
      ]}
    />
  );
}

/** Minimum control speed and stall over density altitude, and where they cross. */
export function VmcaByHeight() {
  const curve = useEngineOut((state) => state.tables?.curve);
  const { altitude_m, air } = useEngineOutQuestion();
  const units = useUnits((state) => state.units);
  const format = useFormat();
  const here_m = densityAltitude_m(airAtAltitude(altitude_m, air).density);
  const option = useCallback(
    (ink: ChartInk) => {
      const height = (si: number) => fromSi("height", units.height, si);
      const crossing_m = curve ? stallCrossing_m(curve) : null;
      const most = STEPS * plainStep(height(TOP_M) / STEPS);
      const mark = (x: number, text: string, colour: string, type: string, position: string) => ({
        xAxis: height(x),
        lineStyle: { color: ink.of(colour), type },
        label: { formatter: text, color: ink.of(colour), position },
      });
      return chartOption(
        ink,
        (curve ?? []).map((row) => ({ ...row, x: height(row.altitudeDensity_m) })).filter(({ x }) => x <= most),
        (si) => fromSi("speed", units.speed, si),
        unitOf("speed", units.speed).label,
        {
          ...ink.axis(`density altitude, ${unitOf("height", units.height).label}`),
          min: 0,
          max: most,
          interval: most / STEPS,
        },
        [
          mark(here_m, "here", "ink", "solid", "insideEndTop"),
          ...(crossing_m === null
            ? []
            : [mark(crossing_m, "stall first above", "ochre", "dashed", "insideStartBottom")]),
        ],
      );
    },
    [curve, here_m, units],
  );
  return (
    <Chart
      label="Minimum control speed and stall over density altitude"
      option={option}
      table={
        <LinesTable
          head="density altitude"
          rows={(curve ?? []).map((row) => ({ ...row, key: format("height", row.altitudeDensity_m) }))}
        />
      }
    />
  );
}

/** The same over bank into the live engine. */
export function VmcaByBank() {
  const byBank = useEngineOut((state) => state.tables?.byBank);
  const bank_rad = useEngineOut((state) => flownBank_rad(state.trial, state.now));
  const units = useUnits((state) => state.units);
  const option = useCallback(
    (ink: ChartInk) =>
      chartOption(
        ink,
        (byBank ?? []).map((row) => ({ ...row, x: degrees(row.bank_rad) })),
        (si) => fromSi("speed", units.speed, si),
        unitOf("speed", units.speed).label,
        { ...ink.axis("bank into the live engine, °"), min: -3, max: 9, interval: 3 },
        [
          {
            xAxis: degrees(bank_rad),
            lineStyle: { color: ink.of("ink"), type: "solid" },
            label: { formatter: "here", color: ink.of("ink"), position: "insideEndTop" },
          },
        ],
      ),
    [byBank, bank_rad, units],
  );
  return (
    <Chart
      label="Minimum control speed and stall over bank"
      option={option}
      table={
        <LinesTable
          head="bank into the live engine"
          rows={(byBank ?? []).map((row) => ({ ...row, key: `${Math.round(degrees(row.bank_rad))}°` }))}
        />
      }
    />
  );
}
