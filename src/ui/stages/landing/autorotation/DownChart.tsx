"use client";
import { useCallback } from "react";
import { fromSi, unitOf } from "@/core/quantities/units";
import type { DownKey } from "@/core/rotor/way-down";
import { useDown } from "@/ui/answers/useRotorLanding";
import { Chart } from "@/ui/kit/charts/Chart";
import type { ChartInk } from "@/ui/kit/charts/chart-ink";
import { DataTable } from "@/ui/kit/tables/DataTable";
import { useFormat, useUnits } from "@/ui/kit/units/units-store";

const NONE: readonly DownKey[] = [];

/** Height over the ground on the way down, with the keys marked. */
export function DownChart() {
  const { value } = useDown();
  const units = useUnits((state) => state.units);
  const format = useFormat();
  const keys = value?.way.keys ?? NONE;
  const option = useCallback(
    (ink: ChartInk) => {
      return {
        grid: { left: 58, right: 84, top: 34, bottom: 42 },
        tooltip: { show: false },
        xAxis: {
          ...ink.axis(`over the ground, ${unitOf("length", units.length).label}`),
          nameLocation: "middle",
          nameGap: 26,
          scale: true,
        },
        yAxis: {
          ...ink.axis(`above the place, ${unitOf("height", units.height).label}`),
          nameTextStyle: { color: ink.of("ink2"), fontSize: 13, align: "left", padding: [0, 0, 0, -44] },
          min: 0,
        },
        series: [
          {
            name: "way down",
            type: "line",
            symbol: "circle",
            symbolSize: 8,
            lineStyle: { color: ink.of("harbour"), width: 2.6 },
            itemStyle: { color: ink.of("harbour") },
            data: keys.map(({ name, ground_m, height_m: above_m }, i) => ({
              value: [fromSi("length", units.length, ground_m), fromSi("height", units.height, above_m)],
              label: {
                show: true,
                formatter: name,
                position: i === 0 ? "top" : i === 2 ? "left" : "right",
                color: ink.of("ink"),
                fontWeight: 600,
              },
            })),
          },
        ],
      };
    },
    [keys, units],
  );
  return (
    <Chart
      label="Height over the ground on the way down"
      option={option}
      table={
        <DataTable
          rows={keys}
          rowKey={({ name }) => name}
          columns={[
            { name: "key", cell: ({ name }) => name },
            { name: "over the ground", cell: (row) => format("length", row.ground_m) },
            { name: "height", cell: (row) => format("height", row.height_m) },
          ]}
        />
      }
    />
  );
}
