"use client";
import { clamp } from "@/core/numeric/clamp";
import { useCallback, useMemo } from "react";
import { cleanGlide } from "@/core/aircraft/configuration";
import { levelTurnLoadFactor, polarOf, stallSpeed_mps } from "@/core/aircraft/polar";
import { degrees, radians } from "@/core/quantities/angle";
import { formatNumber, fromSi, unitOf } from "@/core/quantities/units";
import { Chart } from "@/ui/kit/charts/Chart";
import { type ChartInk, apart, endLabel } from "@/ui/kit/charts/chart-ink";
import { useSituation } from "@/ui/situation/situation-store";
import { useFormat, useUnits } from "@/ui/kit/units/units-store";
import { fittingConfiguration } from "./fitting-configuration";
import { useEdited } from "./useEdited";
import type { Column } from "@/ui/kit/tables/column";
import { DataTable } from "@/ui/kit/tables/DataTable";

/** Banks drawn and listed. */
const BANKS_RAD = Array.from({ length: 76 }, (_, angle) => radians(angle));
const LISTED_DEG = [0, 15, 20, 30, 45, 60, 75];

/** Stall against bank and load for every flap, the present one drawn strong. */
export function StallView() {
  const { document } = useEdited();
  const situation = useSituation((state) => state.current);
  const units = useUnits((state) => state.units);
  const format = useFormat();
  const { bank_rad } = situation.pilot;
  const { loadFactor, loadFactorFlap } = document.limits;
  const { flap } = fittingConfiguration(document, situation.configuration);
  const mass_kg = clamp(situation.mass_kg, document.mass.minimum_kg, document.mass.maximum_kg);
  const lines = useMemo(
    () =>
      (document.polar?.flaps ?? []).flatMap((setting, i) => {
        const configured = polarOf(document, mass_kg, { ...cleanGlide(document), flap: i });
        return configured.ok
          ? [
              {
                name: `flap ${setting.name}`,
                index: i,
                polar: configured.value.polar,
                limit: i === 0 ? loadFactor : loadFactorFlap,
              },
            ]
          : [];
      }),
    [document, mass_kg, loadFactor, loadFactorFlap],
  );
  const option = useCallback(
    (ink: ChartInk) => {
      const layout = apart();
      const speed = (value: number) => fromSi("speed", units.speed, value);
      return {
        grid: { left: 60, right: 120, top: 46, bottom: 44 },
        tooltip: {
          ...ink.tooltip,
          valueFormatter: (value: unknown) => `${formatNumber(Number(value))} ${unitOf("speed", units.speed).label}`,
        },
        xAxis: [
          { ...ink.axis("bank, °"), nameLocation: "middle", nameGap: 26, min: 0, max: 75, interval: 15 },
          {
            ...ink.axis("load factor in a level turn"),
            position: "top",
            nameLocation: "middle",
            nameGap: 26,
            min: 0,
            max: 75,
            interval: 15,
            splitLine: { show: false },
            axisLabel: {
              ...(ink.axis("").axisLabel as object),
              formatter: (angle: number) => formatNumber(levelTurnLoadFactor(radians(angle)), 2),
            },
          },
        ],
        yAxis: {
          ...ink.axis(`stall, ${unitOf("speed", units.speed).label}`),
          nameLocation: "middle",
          nameGap: 42,
          scale: true,
        },
        series: lines.map((line, i) => ({
          name: line.name,
          type: "line",
          showSymbol: false,
          lineStyle: {
            color: ink.of(line.index === flap ? "harbour" : "ink2"),
            width: line.index === flap ? 2.8 : 1.5,
            type: line.index === flap ? "solid" : [6, 4],
          },
          itemStyle: { color: ink.of(line.index === flap ? "harbour" : "ink2") },
          endLabel: endLabel(ink, line.name, ink.of("ink")),
          labelLayout: layout,
          data: BANKS_RAD.map((bank) => [
            degrees(bank),
            levelTurnLoadFactor(bank) <= line.limit
              ? speed(stallSpeed_mps(line.polar, levelTurnLoadFactor(bank)))
              : null,
          ]),
          markLine:
            i === 0
              ? {
                  silent: true,
                  symbol: "none",
                  data: [
                    {
                      xAxis: degrees(bank_rad),
                      lineStyle: { color: ink.of("ink"), type: "solid" },
                      label: {
                        formatter: `your turns, ${Math.round(degrees(bank_rad))}°`,
                        color: ink.of("ink"),
                        position: "insideEndBottom",
                      },
                    },
                  ],
                }
              : undefined,
        })),
      };
    },
    [lines, units, flap, bank_rad],
  );
  if (lines.length === 0)
    return <p className="p-4">{document.polar ? "" : "Fill in the handbook and take over its fit."}</p>;
  return (
    <div className="grid min-h-0 grid-rows-[minmax(0,1fr)_auto]">
      <Chart label="Stall speed against bank" option={option} table={<StallTable lines={lines} />} />
      <div className="border-t border-rule px-4 py-2">
        <StallTable lines={lines} />
        <p className="mt-1 text-[13px] text-ink2">
          At {format("mass", mass_kg)}, equivalent airspeed, level turn: V_S·√n. Lines end at the load limit,{" "}
          {formatNumber(loadFactor, 1)} g, with flap {formatNumber(loadFactorFlap, 1)} g. A gliding turn carries a
          little less load.
        </p>
      </div>
    </div>
  );
}

function StallTable({
  lines,
}: {
  lines: readonly { name: string; polar: Parameters<typeof stallSpeed_mps>[0]; limit: number }[];
}) {
  const format = useFormat();
  const rows = [
    { name: "load", at: (n: number) => formatNumber(n, 2) },
    ...lines.map(({ name, polar, limit }) => ({
      name,
      at: (n: number) => (n <= limit ? format("speed", stallSpeed_mps(polar, n)) : "over limit"),
    })),
  ];
  return (
    <DataTable
      rows={rows}
      rowKey={(row) => row.name}
      columns={[
        { name: "bank", cell: (row) => row.name },
        ...LISTED_DEG.map((angle): Column<(typeof rows)[number]> => ({
          name: `${angle}°`,
          cell: (row) => row.at(levelTurnLoadFactor(radians(angle))),
        })),
      ]}
    />
  );
}
