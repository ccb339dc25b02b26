"use client";
import { useCallback } from "react";
import { degrees } from "@/core/quantities/angle";
import { formatNumber, fromSi, unitOf } from "@/core/quantities/units";
import type { SeriesResult } from "@/core/series/series-result";
import type { TestCard } from "@/core/series/test-card";
import { Chart } from "@/ui/kit/charts/Chart";
import { type ChartInk, endLabel } from "@/ui/kit/charts/chart-ink";
import { useFormat, useUnits } from "@/ui/kit/units/units-store";
import { useCardLook } from "./cards-store";
import { shownDifference } from "./series-words";

interface Props {
  card: TestCard;
  result: SeriesResult;
  /** The same as a table. */
  table: React.ReactNode;
}

/** So many standard deviations are drawn. */
const DRAWN_SIGMAS = 2;
const ROUND_PX = 10;

interface DrawnRun {
  readonly id: string;
  readonly n: number;
  readonly at: readonly [number, number];
  readonly across: readonly [number, number];
  readonly up: readonly [number, number];
  readonly out: boolean;
  /** Beside one that is left out: by how much it is off. */
  readonly says: string;
}

interface Api {
  coord(at: readonly [number, number]): [number, number];
}

/** Runs beside their prediction: by bank or speed, with bounds to both sides; left-out ones in brick, and named. */
export function SeriesChart({ card, result, table }: Props) {
  const units = useUnits((state) => state.units);
  const format = useFormat();
  const looked = useCardLook((state) => state.run);
  const turning = card.kind === "half-turn";
  const kind = turning ? "height" : "verticalSpeed";
  const x = useCallback(
    (value: number) => (turning ? degrees(value) : fromSi("speed", units.speed, value)),
    [turning, units],
  );
  const y = useCallback((value: number) => fromSi(kind, units[kind], value), [kind, units]);
  const option = useCallback(
    (ink: ChartInk) => {
      const { curve, asBriefed, rows } = result;
      const k = asBriefed?.mean ?? null;
      const spread = asBriefed?.runBound ?? 0;
      const drawn: DrawnRun[] = rows.map(({ run, predicted }) => {
        const [dx, dy] = [DRAWN_SIGMAS * run.valueSigma, DRAWN_SIGMAS * run.flownSigma];
        return {
          id: run.id,
          n: run.number,
          at: [x(run.value), y(run.flown)],
          across: [x(Math.max(run.value - dx, 0)), x(run.value + dx)],
          up: [y(run.flown - dy), y(run.flown + dy)],
          out: run.leftOut !== null,
          says:
            run.leftOut === null || predicted === null
              ? ""
              : `run ${run.number}: ${shownDifference(card.kind, format, run.flown, predicted)}`,
        };
      });
      const line = (times: number) => curve.map(({ value, predicted }) => [x(value), y(predicted * times)]);
      const heights = [
        ...curve.flatMap(({ predicted }) => [y(predicted), y(predicted * (k ?? 1))]),
        ...drawn.flatMap(({ up }) => up),
      ];
      const [least, most] = [Math.min(...heights), Math.max(...heights)];
      const step = turning ? 50 : 100;
      const values = curve.map(({ value }) => x(value));
      return {
        grid: { left: 58, right: 128, top: 34, bottom: 40 },
        tooltip: { show: false },
        xAxis: {
          ...ink.axis(
            turning ? "bank, steady part of the turn, °" : `equivalent airspeed, ${unitOf("speed", units.speed).label}`,
          ),
          nameLocation: "middle",
          nameGap: 26,
          min: Math.floor(Math.min(...values)),
          max: Math.ceil(Math.max(...values)),
        },
        yAxis: {
          ...ink.axis(`${turning ? "height for 180°" : "sink"}, ${unitOf(kind, units[kind]).label}`),
          min: Math.max(Math.floor((least * 0.95) / step) * step, 0),
          max: Math.ceil((most * 1.03) / step) * step,
          nameTextStyle: {
            color: ink.of("ink2"),
            fontFamily: ink.sans,
            fontSize: 13,
            align: "left",
            padding: [0, 0, 0, -46],
          },
        },
        series: [
          ...(k === null || spread === 0
            ? []
            : [
                {
                  name: "where 19 of 20 runs lie",
                  type: "custom",
                  silent: true,
                  data: [0],
                  clip: true,
                  renderItem: (_: unknown, api: Api) => ({
                    type: "polygon",
                    shape: {
                      points: [
                        ...curve.map(({ value, predicted }) => api.coord([x(value), y(predicted * (k + spread))])),
                        ...curve
                          .toReversed()
                          .map(({ value, predicted }) => api.coord([x(value), y(predicted * (k - spread))])),
                      ],
                    },
                    style: { fill: ink.of("harbour"), opacity: 0.1 },
                  }),
                },
              ]),
          {
            name: "predicted",
            type: "line",
            silent: true,
            showSymbol: false,
            data: line(1),
            lineStyle: { color: ink.of("ink2"), width: 1.5, type: [6, 4] },
            endLabel: endLabel(ink, "predicted, book", ink.of("ink2")),
            labelLayout: { moveOverlap: "shiftY" },
            markLine: {
              silent: true,
              symbol: "none",
              lineStyle: { color: ink.of("ink2"), type: [1, 4], width: 1.2 },
              label: {
                formatter: "briefed",
                position: "end",
                color: ink.of("ink2"),
                fontFamily: ink.sans,
                fontSize: 13,
              },
              data: [{ xAxis: x(card.briefed) }],
            },
          },
          ...(k === null
            ? []
            : [
                {
                  name: "flown",
                  type: "line",
                  silent: true,
                  showSymbol: false,
                  data: line(k),
                  lineStyle: { color: ink.of("harbour"), width: 2 },
                  endLabel: endLabel(ink, `flown, ${formatNumber(k, 2)} ×`, ink.of("harbour")),
                  labelLayout: { moveOverlap: "shiftY" },
                },
              ]),
          {
            name: "runs",
            type: "custom",
            silent: true,
            data: drawn.map(({ at }) => at),
            z: 5,
            renderItem: ({ dataIndex }: { dataIndex: number }, api: Api) => {
              const run = drawn[dataIndex];
              const ofRun = run.out ? ink.of("brick") : ink.of("ink");
              const stroke = { stroke: ofRun, lineWidth: run.id === looked ? 2.4 : 1.3, fill: null };
              const [cx, cy] = api.coord(run.at);
              const [[left], [right]] = [api.coord([run.across[0], run.at[1]]), api.coord([run.across[1], run.at[1]])];
              const [[, low], [, high]] = [api.coord([run.at[0], run.up[0]]), api.coord([run.at[0], run.up[1]])];
              const bar = (x1: number, y1: number, x2: number, y2: number) => ({
                type: "line",
                shape: { x1, y1, x2, y2 },
                style: stroke,
              });
              return {
                type: "group",
                children: [
                  bar(left, cy, right, cy),
                  bar(left, cy - 4, left, cy + 4),
                  bar(right, cy - 4, right, cy + 4),
                  bar(cx, low, cx, high),
                  bar(cx - 5, low, cx + 5, low),
                  bar(cx - 5, high, cx + 5, high),
                  {
                    type: "circle",
                    shape: { cx, cy, r: ROUND_PX },
                    style: { fill: ink.of("sheet"), stroke: ofRun, lineWidth: run.id === looked ? 2.8 : 1.8 },
                  },
                  {
                    type: "text",
                    style: {
                      text: String(run.n),
                      x: cx,
                      y: cy,
                      align: "center",
                      verticalAlign: "middle",
                      fill: ofRun,
                      font: `600 11px ${ink.mono}`,
                    },
                  },
                  {
                    type: "text",
                    style: {
                      text: run.says,
                      x: cx,
                      y: high - 6,
                      align: "center",
                      verticalAlign: "bottom",
                      fill: ofRun,
                      font: `600 13px ${ink.sans}`,
                    },
                  },
                ],
              };
            },
          },
        ],
      };
    },
    [card, result, units, format, looked, turning, kind, x, y],
  );
  const pick = (px: number, py: number) => {
    const [width, height] = [card.briefed === 0 ? 1 : x(card.briefed), Math.max(y(result.briefed.predicted), 1)];
    const near = result.rows
      .map(({ run }) => ({ run, far: Math.hypot((x(run.value) - px) / width, (y(run.flown) - py) / height) }))
      .toSorted((a, b) => a.far - b.far)
      .at(0);
    if (near && near.far < 0.12) useCardLook.setState({ run: near.run.id });
  };
  return (
    <Chart
      label={turning ? "Height of half turns by bank" : "Sink of glides by speed"}
      option={option}
      table={table}
      onPick={pick}
      className="min-h-[240px]"
    />
  );
}
