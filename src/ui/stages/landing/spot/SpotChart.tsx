"use client";
import { useCallback } from "react";
import { fromSi, unitOf } from "@/core/quantities/units";
import { SLOW_FLOOR_M, type SpotPosition, type SpotWay } from "@/core/rotor/gyro-spot";
import { Chart } from "@/ui/kit/charts/Chart";
import type { ChartInk } from "@/ui/kit/charts/chart-ink";
import { DataTable } from "@/ui/kit/tables/DataTable";
import { useFormat, useUnits } from "@/ui/kit/units/units-store";
import { spotLedger, verdictWords, wayName } from "./spot-words";

/** Heights over the ground along the landing direction: where the wind carries a slow descent is seen. */
export function SpotChart({
  ways,
  position,
  chosen,
}: {
  ways: readonly SpotWay[];
  position: SpotPosition;
  chosen: number;
}) {
  const units = useUnits((state) => state.units);
  const format = useFormat();
  const option = useCallback(
    (ink: ChartInk) => {
      const length = (si: number) => fromSi("length", units.length, si);
      const height = (si: number) => fromSi("height", units.height, si);
      const lineOf = (way: SpotWay) => {
        let [x, y] = [-position.ahead_m, position.height_m];
        return [
          [length(x), height(y)],
          ...way.items.map((item) => {
            x += item.ground_m;
            y -= item.height_m;
            return [length(x), height(Math.max(y, 0))];
          }),
        ];
      };
      const shown = ways.map((way, i) => ({ way, i })).filter(({ i }) => i !== chosen);
      return {
        grid: { left: 58, right: 30, top: 34, bottom: 42 },
        tooltip: { show: false },
        xAxis: {
          ...ink.axis(`from the spot, landing to the right, ${unitOf("length", units.length).label}`),
          nameLocation: "middle",
          nameGap: 26,
          scale: true,
        },
        yAxis: {
          ...ink.axis(`above the spot, ${unitOf("height", units.height).label}`),
          nameTextStyle: { color: ink.of("ink2"), fontSize: 13, align: "left", padding: [0, 0, 0, -44] },
          min: 0,
          axisLine: { show: true, onZero: false, lineStyle: { color: ink.of("ink2") } },
        },
        series: [
          ...shown.map(({ way }) => ({
            name: wayName(way, format),
            type: "line",
            showSymbol: false,
            silent: true,
            lineStyle: { color: ink.of("ink2"), width: 1.2, type: [4, 4] },
            itemStyle: { color: ink.of("ink2") },
            data: lineOf(way),
          })),
          ...ways.slice(chosen, chosen + 1).map((way) => ({
            name: wayName(way, format),
            type: "line",
            symbol: "circle",
            symbolSize: 7,
            lineStyle: { color: ink.of(way.verdict === "works" ? "harbour" : "brick"), width: 2.8 },
            itemStyle: { color: ink.of(way.verdict === "works" ? "harbour" : "brick") },
            data: lineOf(way),
          })),
          {
            name: "spot",
            type: "scatter",
            symbol: "triangle",
            symbolSize: 16,
            itemStyle: { color: ink.of("ink") },
            label: { show: true, formatter: "spot", position: "top", color: ink.of("ink"), fontWeight: 600 },
            data: [[0, 0]],
            markLine: {
              silent: true,
              symbol: "none",
              data: [
                {
                  yAxis: height(SLOW_FLOOR_M),
                  lineStyle: { color: ink.of("ochre"), type: "dashed" },
                  label: { formatter: "35 to 40 kt below", color: ink.of("ink"), position: "insideEndTop" },
                },
              ],
            },
          },
        ],
      };
    },
    [ways, position, chosen, units, format],
  );
  return (
    <Chart
      label="Height over the ground along the landing direction, for each way to the spot"
      option={option}
      table={
        <DataTable
          rows={ways}
          rowKey={(way) => `${way.kind} ${way.slow_mps}`}
          columns={[
            { name: "way", cell: (way) => wayName(way, format) },
            { name: "comes out", kind: "words", cell: (way) => verdictWords(way, format) },
            {
              name: "spends",
              kind: "words",
              cell: (way) =>
                spotLedger(way)
                  .map(({ name, height_m }) => `${name} ${format("height", height_m)}`)
                  .join(", "),
            },
          ]}
        />
      }
    />
  );
}
