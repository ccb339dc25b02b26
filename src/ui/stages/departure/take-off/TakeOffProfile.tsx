"use client";
import { useCallback, useMemo } from "react";
import type { PathPoint } from "@/core/take-off/take-off-path";
import { formatNumber, fromSi, unitOf } from "@/core/quantities/units";
import { Chart } from "@/ui/kit/charts/Chart";
import { type ChartInk, apart, endLabel } from "@/ui/kit/charts/chart-ink";
import { useFormat, useUnits } from "@/ui/kit/units/units-store";
import type { TakeOffAnswer } from "@/core/take-off/take-off-answer";
import { useTakeOff } from "@/ui/answers/take-off-store";
import { DataTable } from "@/ui/kit/tables/DataTable";

/** Every so many points of the way make a row of the table. */
const ROW_EVERY = 20;
/** Heights shown at most, m: 1,500 ft. */
const TOP_M = 460;

/** Height over distance: both engines, and one after the failure that is looked at; ground and obstacles under them. */
export function TakeOffProfile({ answer }: { answer: TakeOffAnswer }) {
  const shown = useTakeOff((state) => state.shown);
  const units = useUnits((state) => state.units);
  const format = useFormat();
  const failure =
    shown < 0 ? null : (answer.phases.failures[Math.min(shown, answer.phases.failures.length - 1)] ?? null);
  const path = failure ? failure.path : answer.accelerate.path;
  const points = useMemo(() => path?.points ?? [], [path]);
  const option = useCallback(
    (ink: ChartInk) => {
      const layout = apart();
      const x = (si: number) => fromSi("distance", units.distance, si);
      const y = (si: number) => fromSi("height", units.height, si);
      const last = Math.max(
        points.at(-1)?.x_m ?? 0,
        answer.phases.both.points.at(-1)?.x_m ?? 0,
        answer.question.runway.length_m,
        ...answer.question.plan.obstacles.map((obstacle) => obstacle.distance_m),
      );
      const far_m = Math.min(last * 1.03, 14_000);
      const line = (name: string, of: readonly PathPoint[], colour: string, type: unknown, width: number) => ({
        name,
        type: "line",
        showSymbol: false,
        lineStyle: { color: ink.of(colour), width, type },
        itemStyle: { color: ink.of(colour) },
        endLabel: endLabel(ink, name, ink.of(colour)),
        labelLayout: layout,
        data: of
          .filter((point) => point.x_m <= far_m && point.height_m <= TOP_M)
          .map((point) => [x(point.x_m), y(point.height_m)]),
      });
      const mark = path?.touches ?? null;
      return {
        grid: { left: 56, right: 104, top: 26, bottom: 38 },
        tooltip: {
          ...ink.tooltip,
          valueFormatter: (value: unknown) =>
            value === null || value === undefined
              ? "–"
              : `${formatNumber(Number(value), 0, 10)} ${unitOf("height", units.height).label}`,
        },
        xAxis: {
          ...ink.axis(`from the beginning of the runway, ${unitOf("distance", units.distance).label}`),
          nameLocation: "middle",
          nameGap: 24,
          min: 0,
          max: Math.ceil(x(far_m) * 2) / 2,
        },
        yAxis: {
          ...ink.axis(`above the runway, ${unitOf("height", units.height).label}`),
          nameTextStyle: { color: ink.of("ink2"), fontSize: 13, align: "left", padding: [0, 0, 0, -46] },
          min: (extent: { min: number }) => Math.min(0, Math.floor(extent.min / 50) * 50),
          max: Math.round(y(TOP_M) / 100) * 100,
        },
        series: [
          {
            name: "ground",
            type: "line",
            showSymbol: false,
            silent: true,
            lineStyle: { color: ink.of("ink2"), width: 1 },
            areaStyle: { color: ink.of("rule"), origin: "start" },
            itemStyle: { color: ink.of("ink2") },
            data: answer.ground
              .filter((point) => point.distance_m <= far_m)
              .map((point) => [
                x(point.distance_m),
                point.height_m === null ? null : y(Math.min(point.height_m, TOP_M)),
              ]),
          },
          line("both engines", answer.phases.both.points, "ink2", [7, 5], 2),
          {
            ...line("one engine", points, "harbour", "solid", 3),
            markLine: {
              silent: true,
              symbol: "none",
              data: [
                {
                  xAxis: x(answer.question.runway.length_m),
                  lineStyle: { color: ink.of("ink"), type: "solid" },
                  label: { formatter: "runway ends", color: ink.of("ink"), position: "insideEndTop" },
                },
                ...(failure
                  ? [
                      {
                        yAxis: y(failure.height_m),
                        lineStyle: { color: ink.of("ochre"), type: "dashed" },
                        label: { formatter: "engine stops", color: ink.of("ochre"), position: "insideEndTop" },
                      },
                    ]
                  : []),
              ],
            },
          },
          {
            name: "obstacles",
            type: "scatter",
            symbol: "triangle",
            symbolSize: 12,
            itemStyle: { color: ink.of("brick") },
            label: {
              show: true,
              formatter: ({ dataIndex }: { dataIndex: number }) =>
                answer.question.plan.obstacles[dataIndex]?.name ?? "",
              position: "top",
              color: ink.of("ink"),
              fontFamily: ink.sans,
              fontSize: 13,
            },
            data: answer.question.plan.obstacles.map((obstacle) => [x(obstacle.distance_m), y(obstacle.height_m)]),
          },
          ...(mark
            ? [
                {
                  name: "touches the ground",
                  type: "scatter",
                  symbol: "diamond",
                  symbolSize: 13,
                  itemStyle: { color: ink.of("brick") },
                  label: {
                    show: true,
                    formatter: "back on the ground",
                    position: "right",
                    color: ink.of("brick"),
                    fontFamily: ink.sans,
                    fontSize: 13,
                  },
                  data: [[x(mark.x_m), y(0)]],
                },
              ]
            : []),
        ],
      };
    },
    [answer, points, path, failure, units],
  );
  return (
    <Chart
      className="border-t border-rule"
      label="Height over distance on both engines and on one"
      option={option}
      table={
        <DataTable
          className="w-full text-[13px]"
          rows={points.filter((_, i) => i % ROW_EVERY === 0)}
          rowKey={(point) => point.time_s}
          columns={[
            { name: "s", kind: "figure", cell: (point) => point.time_s.toFixed(0) },
            { name: "distance", cell: (point) => format("length", point.x_m) },
            { name: "height", cell: (point) => format("height", point.height_m) },
            { name: "speed", cell: (point) => format("speed", point.eas_mps) },
            { name: "gear", kind: "words", cell: (point) => point.gear },
            { name: "propeller", kind: "words", cell: (point) => point.propeller },
          ]}
        />
      }
    />
  );
}
