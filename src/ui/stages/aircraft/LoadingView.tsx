"use client";
import { useCallback } from "react";
import { usualLoad } from "@/core/aircraft/loading";
import { formatNumber, fromSi, unitOf } from "@/core/quantities/units";
import { Chart } from "@/ui/kit/charts/Chart";
import type { ChartInk } from "@/ui/kit/charts/chart-ink";
import { DataTable } from "@/ui/kit/tables/DataTable";
import { useFormat, useUnits } from "@/ui/kit/units/units-store";
import { Figure } from "@/ui/kit/working/Figure";
import { LoadFields } from "@/ui/situation/LoadFields";
import { MOMENT_WORDS, loadChange, loadState } from "@/ui/situation/load";
import { useSituation } from "@/ui/situation/situation-store";
import { useAeroplane } from "@/ui/situation/useAircraftOfKind";

const MOMENTS = ["now", "failure", "landing"] as const;

/** Three points that may lie close have their names on three sides. */
const LABEL_SIDES = { now: "top", failure: "left", landing: "bottom" } as const;

/** What is on board, and where that lies in the limits at take-off, at the failure and at the landing. */
export function LoadingView() {
  const { document } = useAeroplane();
  const load = useSituation((state) => state.current.load);
  const change = useSituation((state) => state.change);
  const format = useFormat();
  const units = useUnits((state) => state.units);
  const { loading: plan } = document;
  const state = loadState(document, load);
  const moments = state?.moments.ok ? state.moments.value : null;
  const option = useCallback(
    (ink: ChartInk) => {
      const arm = (value: number) => fromSi("dimension", units.dimension, value);
      const mass = (value: number) => fromSi("mass", units.mass, value);
      const corners = plan?.limits ?? [];
      const points = moments
        ? MOMENTS.map((moment) => ({ moment, at: [arm(moments[moment].arm_m), mass(moments[moment].mass_kg)] }))
        : [];
      return {
        grid: { left: 70, right: 40, top: 20, bottom: 46 },
        tooltip: { show: false },
        xAxis: {
          ...ink.axis(
            `centre of gravity from the datum (${plan?.datum}), ${unitOf("dimension", units.dimension).label}`,
          ),
          nameLocation: "middle",
          nameGap: 28,
          scale: true,
          axisLabel: {
            ...(ink.axis("").axisLabel as object),
            formatter: (value: number) => formatNumber(value, units.dimension === "in" ? 0 : 2),
          },
        },
        yAxis: {
          ...ink.axis(`mass, ${unitOf("mass", units.mass).label}`),
          nameLocation: "middle",
          nameGap: 52,
          scale: true,
        },
        series: [
          {
            name: "limits",
            type: "line",
            symbol: "none",
            silent: true,
            lineStyle: { color: ink.of("ink"), width: 2 },
            areaStyle: { color: ink.of("mark"), opacity: 0.5, origin: "start" },
            data: [...corners, ...corners.slice(0, 1)].map((corner) => [arm(corner.arm_m), mass(corner.mass_kg)]),
          },
          {
            name: "this flight",
            type: "line",
            silent: true,
            symbol: "circle",
            symbolSize: 11,
            lineStyle: { color: ink.of("harbour"), width: 2 },
            itemStyle: { color: ink.of("harbour") },
            data: points.map(({ moment, at }) => ({
              value: at,
              label: {
                show: moment === "now" || (moments?.[moment].mass_kg ?? 0) < (moments?.now.mass_kg ?? 0) - 1,
                formatter: MOMENT_WORDS[moment],
                position: LABEL_SIDES[moment],
                color: ink.of("ink"),
                textBorderColor: ink.of("sheet"),
                textBorderWidth: 3,
                fontFamily: ink.sans,
                fontSize: 13,
              },
              itemStyle: { color: ink.of(moments?.[moment].fault ? "brick" : "harbour") },
            })),
          },
        ],
      };
    },
    [plan, moments, units],
  );
  if (!plan)
    return (
      <p className="p-4">
        {document.name} has no seats and tanks yet: give them under Handbook and fit. Its mass is typed.
      </p>
    );
  if (!load || !state)
    return (
      <div className="p-4">
        <p>The mass is typed, {format("mass", useSituation.getState().current.mass_kg)}.</p>
        <button
          type="button"
          className="btn btn-primary mt-3"
          onClick={() => change(loadChange(document, usualLoad(plan)))}
        >
          From seats and fuel
        </button>
      </div>
    );
  const table = moments && (
    <DataTable
      className="w-full max-w-3xl text-[14px]"
      label="Mass and centre of gravity"
      rows={MOMENTS.map((moment) => ({ moment, ...moments[moment] }))}
      rowKey={({ moment }) => moment}
      rowProps={({ moment }) => ({ className: moment === load.moment ? "bg-mark" : "" })}
      columns={[
        { name: "when", cell: ({ moment }) => <span className="whitespace-nowrap">{MOMENT_WORDS[moment]}</span> },
        { name: "mass", cell: ({ mass_kg }) => format("mass", mass_kg) },
        {
          name: "centre of gravity",
          cell: ({ moment, arm_m }) => (
            <Figure
              title={`Centre of gravity ${MOMENT_WORDS[moment]}`}
              figure="centre of gravity"
              source={{ calculation: { name: "loading", input: { plan, load: { ...load, moment } } } }}
            >
              {format("dimension", arm_m)}
            </Figure>
          ),
        },
        {
          name: "limits there",
          cell: ({ limits }) =>
            limits ? `${format("dimension", limits.forward_m)} to ${format("dimension", limits.aft_m)}` : "none",
        },
        {
          name: "lies",
          cell: ({ fault, centreOfGravity }) =>
            fault ? "outside" : `${Math.round((centreOfGravity ?? 0) * 100)} % aft`,
          tone: ({ fault }) => (fault ? "text-brick font-semibold" : ""),
        },
      ]}
    />
  );
  return (
    <div className="grid min-h-0 min-w-0 grid-cols-[215px_minmax(0,1fr)]">
      <section
        className="flex min-h-0 flex-col gap-3 overflow-auto border-r border-rule px-4 py-3"
        tabIndex={0}
        aria-label="On board"
      >
        <h2 className="text-[17px] font-bold">On board</h2>
        <LoadFields plan={plan} load={load} columns="grid-cols-1" />
      </section>
      <div className="grid min-h-0 min-w-0 grid-cols-[minmax(0,1fr)] grid-rows-[minmax(0,1fr)_auto]">
        <Chart label="Mass and centre of gravity in their limits" option={option} table={table} />
        <div className="border-t border-rule px-4 py-2">
          {table}
          <p className="mt-1 text-[13px] text-ink2">
            Fuel burns from all tanks alike. The limits are the aircraft document’s: the weighing report and the flight
            manual of this very aeroplane come first.
          </p>
        </div>
      </div>
    </div>
  );
}
