"use client";
import { useCallback } from "react";
import type { HoverAnswer } from "@/core/rotor/hover-answer";
import { fromSi, unitOf } from "@/core/quantities/units";
import { Chart } from "@/ui/kit/charts/Chart";
import { type ChartInk, ledLabels } from "@/ui/kit/charts/chart-ink";
import { DataTable } from "@/ui/kit/tables/DataTable";
import { useFormat, useUnits } from "@/ui/kit/units/units-store";

/** Colours of the ratings' bands, the shortest rating first. */
const BAND = ["brick", "ochre", "wheat", "pine"] as const;

/** The colour of a rating's band: the last is always the one without a limit. */
export function bandColour(index: number, count: number): (typeof BAND)[number] {
  if (index === count - 1) return "pine";
  return BAND[Math.min(index, 2)];
}

/** Power required over airspeed, as a line through the ratings' bands; the hover that is looked at is marked. */
export function PowerChart({ answer, wind_mps }: { answer: HoverAnswer; wind_mps: number }) {
  const units = useUnits((state) => state.units);
  const format = useFormat();
  const option = useCallback(
    (ink: ChartInk) => {
      const speed = (si: number) => fromSi("speed", units.speed, si);
      const power = (si: number) => fromSi("power", units.power, si);
      const { ratings, required } = answer.hover;
      const last = speed(answer.curve[answer.curve.length - 1].tas_mps);
      const most = Math.max(
        ...answer.curve.map(({ shaft_W }) => shaft_W),
        ...ratings.map(({ available }) => available.power_W),
      );
      const least = Math.min(...answer.curve.map(({ shaft_W }) => shaft_W));
      return {
        grid: { left: 52, right: 118, top: 30, bottom: 42 },
        tooltip: { ...ink.tooltip },
        xAxis: {
          ...ink.axis(`airspeed, ${unitOf("speed", units.speed).label}`),
          nameLocation: "middle",
          nameGap: 26,
          min: 0,
          max: last,
        },
        yAxis: {
          ...ink.axis(`at the shaft, ${unitOf("power", units.power).label}`),
          nameTextStyle: { color: ink.of("ink2"), fontSize: 13, align: "left", padding: [0, 0, 0, -40] },
          min: Math.floor(power(least) / 50) * 50 - 50,
          max: Math.ceil(power(most) / 50) * 50 + 50,
        },
        series: [
          ...ratings.map(({ rating, available }, i) => ({
            name: rating.name,
            type: "line",
            showSymbol: false,
            silent: true,
            lineStyle: {
              color: ink.of(bandColour(i, ratings.length)),
              width: 2,
              type: i === ratings.length - 1 ? "solid" : [8, 4],
            },
            itemStyle: { color: ink.of(bandColour(i, ratings.length)) },
            data: [
              [0, power(available.power_W)],
              [last, power(available.power_W)],
            ],
          })),
          {
            name: "required",
            type: "line",
            showSymbol: false,
            smooth: true,
            lineStyle: { color: ink.of("harbour"), width: 2.6 },
            itemStyle: { color: ink.of("harbour") },
            data: answer.curve.map(({ tas_mps, shaft_W }) => [speed(tas_mps), power(shaft_W)]),
          },
          {
            name: "this hover",
            type: "scatter",
            symbol: "diamond",
            symbolSize: 14,
            itemStyle: { color: ink.of("ink") },
            label: { show: true, formatter: "here", position: "right", color: ink.of("ink"), fontWeight: 600 },
            data: [[speed(wind_mps), power(required.shaft_W)]],
          },
          ledLabels(
            ink,
            ratings.map(({ rating, available }, i) => ({
              name: rating.name,
              colour: bandColour(i, ratings.length),
              at: [last, power(available.power_W)] as const,
            })),
          ),
        ],
      };
    },
    [answer, wind_mps, units],
  );
  return (
    <Chart
      label="Power required over airspeed against the ratings of one engine"
      option={option}
      table={
        <DataTable
          rows={answer.curve}
          rowKey={(row) => row.tas_mps}
          columns={[
            { name: "airspeed", kind: "figure", cell: (row) => format("speed", row.tas_mps) },
            { name: "required", cell: (row) => format("power", row.shaft_W) },
            ...answer.hover.ratings.map(({ rating, available }) => ({
              name: rating.name,
              cell: (row: { shaft_W: number }) =>
                `${row.shaft_W <= available.power_W ? "+" : "−"}${format("power", Math.abs(available.power_W - row.shaft_W))}`,
            })),
          ]}
        />
      }
    />
  );
}
