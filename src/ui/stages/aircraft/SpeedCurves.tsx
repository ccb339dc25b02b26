"use client";
import { useCallback } from "react";
import { type UnitChoice, fromSi, unitOf } from "@/core/quantities/units";
import { Chart } from "@/ui/kit/charts/Chart";
import { type ChartInk, ledLabels } from "@/ui/kit/charts/chart-ink";
import { DataTable } from "@/ui/kit/tables/DataTable";
import { useFormat, useUnits } from "@/ui/kit/units/units-store";

/** A line over airspeed. */
export interface SpeedCurve {
  readonly name: string;
  readonly colour: string;
  readonly dashed?: boolean;
  readonly points: readonly { readonly tas_mps: number; readonly value: number }[];
}

interface Props {
  label: string;
  /** What the lines show, before the unit. */
  axis: string;
  kind: "verticalSpeed" | "power";
  curves: readonly SpeedCurve[];
  /** Speeds that are marked. */
  marks: readonly { readonly name: string; readonly tas_mps: number }[];
  /** From the top down: a sink. */
  inverse?: boolean;
}

/** Lines over airspeed with marked speeds, and the same as a table. */
export function SpeedCurves({ label, axis, kind, curves, marks, inverse = false }: Props) {
  const units = useUnits((state) => state.units);
  const format = useFormat();
  const option = useCallback(
    (ink: ChartInk) => speedOption(ink, { axis, kind, curves, marks, inverse, units }),
    [axis, kind, curves, marks, inverse, units],
  );
  const [first] = curves;
  return (
    <Chart
      label={label}
      option={option}
      table={
        <DataTable
          rows={first.points}
          rowKey={(row) => row.tas_mps}
          columns={[
            { name: "airspeed", kind: "figure", cell: (row) => format("speed", row.tas_mps) },
            ...curves.map(({ name, points }) => ({
              name,
              cell: (row: { tas_mps: number }) => {
                const at = points.find(({ tas_mps }) => tas_mps === row.tas_mps);
                return at ? format(kind, at.value) : "–";
              },
            })),
          ]}
        />
      }
    />
  );
}

function speedOption(
  ink: ChartInk,
  {
    axis,
    kind,
    curves,
    marks,
    inverse,
    units,
  }: Pick<Props, "axis" | "kind" | "curves" | "marks"> & { inverse: boolean; units: UnitChoice },
) {
  const speed = (si: number) => fromSi("speed", units.speed, si);
  const value = (si: number) => fromSi(kind, units[kind], si);
  const last = Math.max(...curves.flatMap(({ points }) => points.map(({ tas_mps }) => speed(tas_mps))));
  return {
    grid: { left: 58, right: 124, top: 34, bottom: 42 },
    tooltip: { ...ink.tooltip },
    xAxis: {
      ...ink.axis(`airspeed, ${unitOf("speed", units.speed).label}`),
      nameLocation: "middle",
      nameGap: 26,
      min: 0,
      max: Math.ceil(last / 10) * 10,
    },
    yAxis: {
      ...ink.axis(`${axis}, ${unitOf(kind, units[kind]).label}`),
      nameTextStyle: { color: ink.of("ink2"), fontSize: 13, align: "left", padding: [0, 0, 0, -44] },
      nameLocation: inverse ? "start" : "end",
      inverse,
      scale: true,
    },
    series: [
      ...curves.map(({ name, colour, dashed, points }, i) => ({
        name,
        type: "line",
        smooth: true,
        showSymbol: false,
        lineStyle: { color: ink.of(colour), width: dashed ? 2 : 2.6, type: dashed ? [7, 4] : "solid" },
        itemStyle: { color: ink.of(colour) },
        data: points.map(({ tas_mps, value: si }) => [speed(tas_mps), value(si)]),
        ...(i === 0 && {
          markLine: {
            silent: true,
            symbol: "none",
            data: marks.map((mark, place) => ({
              xAxis: speed(mark.tas_mps),
              lineStyle: { color: ink.of("ink2"), type: "dashed" },
              label: {
                formatter: mark.name,
                color: ink.of("ink"),
                position: place % 2 === 0 ? "insideEndTop" : "insideStartTop",
              },
            })),
          },
        }),
      })),
      ledLabels(
        ink,
        curves.map(({ name, colour, points }) => {
          const end = points[points.length - 1];
          return { name, colour, at: [speed(end.tas_mps), value(end.value)] as const };
        }),
      ),
    ],
  };
}
