"use client";
import { useCallback, useDeferredValue } from "react";
import { formatNumber, fromSi } from "@/core/quantities/units";
import { Chart } from "@/ui/kit/charts/Chart";
import { type ChartInk, endLabel } from "@/ui/kit/charts/chart-ink";
import { useFormat, useUnits } from "@/ui/kit/units/units-store";
import { useDeparture } from "@/ui/answers/departure-store";
import { DataTable } from "@/ui/kit/tables/DataTable";

/** Every so many points of the path make a row of the table. */
const ROW_EVERY = 10;

/** Margin over the stall and load factor along the path. */
export function StallChart({ className = "" }: { className?: string }) {
  // Ledger and sentence first: the chart takes as long as both.
  const account = useDeferredValue(useDeparture((state) => state.at?.account ?? null));
  const least = useDeparture((state) => state.scan?.question.plan.stallMargin ?? 1.1);
  const unit = useUnits((state) => state.units.height);
  const format = useFormat();
  const points = account?.points;
  const option = useCallback(
    (ink: ChartInk) => ({
      grid: { left: 44, right: 66, top: 26, bottom: 34 },
      tooltip: { ...ink.tooltip, valueFormatter: (value: unknown) => formatNumber(Number(value), 2) },
      xAxis: { ...ink.axis("s"), nameLocation: "end", nameGap: 6, min: 0 },
      yAxis: {
        ...ink.axis("V/V_S, load factor"),
        min: 0.8,
        max: 2,
        interval: 0.2,
        nameGap: 10,
        nameTextStyle: { color: ink.of("ink2"), fontSize: 13, align: "left", padding: [0, 0, 0, -36] },
        axisLabel: { ...(ink.axis("").axisLabel as object), formatter: (value: number) => value.toFixed(1) },
      },
      series: [
        {
          name: "V/V_S",
          type: "line",
          showSymbol: false,
          lineStyle: { color: ink.of("harbour"), width: 2.2 },
          itemStyle: { color: ink.of("harbour") },
          endLabel: endLabel(ink, "V/V_S", ink.of("harbour")),
          data: points?.map((point) => [point.time_s, Math.min(point.stallMargin, 2)]),
          markLine: {
            silent: true,
            symbol: "none",
            label: { formatter: `k ${least.toFixed(2)}`, color: ink.of("ink2"), position: "insideStartTop" },
            lineStyle: { color: ink.of("ink2"), type: "dashed" },
            data: [
              { yAxis: least },
              {
                yAxis: 1,
                label: { formatter: "stall", color: ink.of("brick"), position: "insideStartBottom" },
                lineStyle: { color: ink.of("brick"), type: "solid" },
              },
            ],
          },
        },
        {
          name: "load",
          type: "line",
          showSymbol: false,
          lineStyle: { color: ink.of("clay"), width: 2, type: [6, 3] },
          itemStyle: { color: ink.of("clay") },
          endLabel: endLabel(ink, "load", ink.of("ink")),
          data: points?.map((point) => [point.time_s, point.loadFactor]),
        },
      ],
    }),
    [points, least],
  );
  if (!points || !account) return <p className="p-3 text-ink2">The chart belongs to a turn back.</p>;
  return (
    <Chart
      className={className}
      label={`Margin over the stall and load along the path, failure at ${format("height", account.height_m)}`}
      option={option}
      table={
        <DataTable
          className="w-full text-[13px]"
          rows={points.filter((_, i) => i % ROW_EVERY === 0)}
          rowKey={(point) => point.time_s}
          columns={[
            { name: "s", kind: "figure", cell: (point) => point.time_s.toFixed(0) },
            { name: "height", cell: (point) => formatNumber(fromSi("height", unit, point.height_m), 0, 10) },
            { name: "part", kind: "words", cell: (point) => point.part },
            { name: "bank", cell: (point) => `${Math.round((point.bank_rad * 180) / Math.PI)}°` },
            { name: "V/V_S", cell: (point) => formatNumber(Math.min(point.stallMargin, 9), 2) },
            { name: "load", cell: (point) => formatNumber(point.loadFactor, 2) },
          ]}
        />
      }
    />
  );
}
