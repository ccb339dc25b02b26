"use client";
import { useCallback } from "react";
import { degrees } from "@/core/quantities/angle";
import { M_PER_FT } from "@/core/quantities/constants";
import { formatNumber, fromSi, unitOf } from "@/core/quantities/units";
import type { FlyAway } from "@/core/rotor/fly-away";
import { Chart } from "@/ui/kit/charts/Chart";
import { type ChartInk, endLabel } from "@/ui/kit/charts/chart-ink";
import { ChoiceField } from "@/ui/kit/forms/ChoiceField";
import { DataTable } from "@/ui/kit/tables/DataTable";
import { useFormat, useUnits } from "@/ui/kit/units/units-store";
import { useHoverTrial } from "@/ui/answers/hover-store";
import { useFlyAway, useFlyAwayAsked } from "@/ui/answers/useHoverAnswer";
import { ratingWords } from "../../rating-words";
import { SafeHeightsColumn } from "./SafeHeightsColumn";

/** Flying away from the hover: height over distance, and which hover heights are safe, as a sketch. */
export function FlyAwayView() {
  const { value, stale } = useFlyAway();
  const asked = useFlyAwayAsked();
  const change = useHoverTrial((state) => state.try);
  return (
    <div
      className="grid min-h-0 grid-rows-[auto_minmax(0,1fr)] overflow-auto"
      aria-busy={stale}
      tabIndex={0}
      role="region"
      aria-label="Fly away"
    >
      <div className="flex items-end gap-4 px-4 py-1.5">
        <div className="w-64">
          <ChoiceField
            label="On the rating"
            value={String(asked.rating)}
            onChange={(rating) => change({ rating: Number(rating) })}
            choices={asked.aircraft.engines.ratings.map((rating, i) => ({
              value: String(i),
              label: `${rating.name}: ${ratingWords(rating)}`,
            }))}
          />
        </div>
        <p className="pb-1 text-[13px] text-ink2">
          1 s of reaction with the collective frozen, then rotor speed is held and the disc tilted; the tilt is the one
          that loses the least.
        </p>
      </div>
      {value ? (
        <div className="grid min-h-0 grid-cols-[minmax(0,1fr)_300px] border-t border-rule max-[1150px]:grid-cols-[minmax(0,1fr)_250px]">
          {value.away.ok ? (
            <FlyAwayChart away={value.away.value} />
          ) : (
            <p role="alert" className="p-4 text-brick">
              {value.away.issue.message} From this hover there is only the way down: see what reject is gentle.
            </p>
          )}
          <SafeHeightsColumn />
        </div>
      ) : (
        <p className="p-4 text-ink2">Searching the tilt …</p>
      )}
    </div>
  );
}

/** Height over the distance flown through the air. */
function FlyAwayChart({ away }: { away: FlyAway }) {
  const units = useUnits((state) => state.units);
  const format = useFormat();
  const option = useCallback(
    (ink: ChartInk) => {
      const height = (si: number) => fromSi("height", units.height, si);
      const length = (si: number) => fromSi("length", units.length, si);
      const points = away.path.map(({ along_m, height_m }) => [length(along_m), height(height_m)]);
      const fast = away.path.find(({ tas_mps }) => tas_mps >= away.vToss_mps) ?? away.path[away.path.length - 1];
      return {
        grid: { left: 56, right: 70, top: 34, bottom: 42 },
        tooltip: { ...ink.tooltip },
        xAxis: {
          ...ink.axis(`through the air, ${unitOf("length", units.length).label}`),
          nameLocation: "middle",
          nameGap: 26,
          min: 0,
        },
        yAxis: {
          ...ink.axis(`from the hover, ${unitOf("height", units.height).label}`),
          nameTextStyle: { color: ink.of("ink2"), fontSize: 13, align: "left", padding: [0, 0, 0, -42] },
        },
        series: [
          {
            name: "height",
            type: "line",
            showSymbol: false,
            lineStyle: { color: ink.of("harbour"), width: 2.6 },
            itemStyle: { color: ink.of("harbour") },
            endLabel: endLabel(ink, "climbs", ink.of("harbour")),
            data: points,
            markLine: {
              silent: true,
              symbol: "none",
              data: [
                {
                  yAxis: height(-away.loss_m),
                  lineStyle: { color: ink.of("brick"), type: "dashed" },
                  label: { formatter: "lowest", color: ink.of("brick"), position: "insideStartBottom" },
                },
                {
                  xAxis: length(fast.along_m),
                  lineStyle: { color: ink.of("ink2"), type: "dashed" },
                  label: { formatter: "V_TOSS", color: ink.of("ink"), position: "insideEndTop" },
                },
              ],
            },
          },
        ],
      };
    },
    [away, units],
  );
  const every = away.path.filter((_, i) => i % 10 === 0);
  return (
    <Chart
      label="Height lost and won in the fly-away"
      option={option}
      table={
        <DataTable
          rows={every}
          rowKey={(row) => row.time_s}
          columns={[
            { name: "time", kind: "figure", cell: (row) => `${formatNumber(row.time_s)} s` },
            { name: "height", cell: (row) => `${formatNumber(row.height_m / M_PER_FT)} ft` },
            { name: "airspeed", cell: (row) => format("speed", row.tas_mps) },
            { name: "climb", cell: (row) => format("verticalSpeed", row.climb_mps) },
            { name: "rotor", cell: (row) => `${formatNumber(row.nr * 100)} %` },
            { name: "tilt", cell: (row) => `${formatNumber(degrees(row.tilt_rad))}°` },
          ]}
        />
      }
    />
  );
}
