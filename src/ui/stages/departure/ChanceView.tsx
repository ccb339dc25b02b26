"use client";
import { clamp } from "@/core/numeric/clamp";
import { workingOfTurnback } from "@/ui/answers/workings";
import { useCallback } from "react";
import { pilotScatter } from "@/core/situation/scatter";
import { formatNumber, fromSi, toSi, unitOf } from "@/core/quantities/units";
import { Chart } from "@/ui/kit/charts/Chart";
import { type ChartInk, apart, endLabel } from "@/ui/kit/charts/chart-ink";
import { type Format, useFormat, useUnits } from "@/ui/kit/units/units-store";
import { Figure } from "@/ui/kit/working/Figure";
import { useDeparture } from "@/ui/answers/departure-store";
import { SCATTER_NAMES, scatterSize } from "./scatter-words";
import { DataTable } from "@/ui/kit/tables/DataTable";

const percent = (share: number) => `${Math.round(share * 100)} %`;

/** How likely the turn back works by height, and the gates that follow. */
export function ChanceView() {
  const chance = useDeparture((state) => state.chance);
  const scan = useDeparture((state) => state.scan);
  const progress = useDeparture((state) => state.progress);
  const stopped = useDeparture((state) => state.stopped);
  const set = useDeparture((state) => state.set);
  const unit = useUnits((state) => state.units.height);
  const format = useFormat();
  const stale = chance !== null && chance.question !== scan?.question;
  const curve = chance?.curve;
  const required = scan?.question.plan.requiredChance ?? 0.9;
  const gate_m = stale ? null : (chance?.gates.computed_m ?? null);
  const option = useCallback(
    (ink: ChartInk) => {
      const shown = (value_m: number) => fromSi("height", unit, value_m);
      const { label } = unitOf("height", unit);
      const layout = apart();
      const x = (curve ?? []).map((point) => shown(point.height_m));
      return {
        grid: { left: 56, right: 178, top: 34, bottom: 42 },
        tooltip: { ...ink.tooltip, valueFormatter: (value: unknown) => `${Math.round(Number(value))} %` },
        xAxis: {
          ...ink.axis(`engine stops at, ${label}`),
          nameLocation: "middle",
          nameGap: 26,
          min: Math.floor((x[0] ?? 0) / 200) * 200,
          max: Math.ceil((x[x.length - 1] ?? 1000) / 200) * 200,
        },
        yAxis: {
          ...ink.axis("turns that succeed, %"),
          min: 0,
          max: 100,
          nameTextStyle: { color: ink.of("ink2"), fontSize: 13, align: "left", padding: [0, 0, 0, -40] },
        },
        series: [
          {
            name: "low",
            type: "line",
            stack: "band",
            showSymbol: false,
            silent: true,
            lineStyle: { opacity: 0 },
            tooltip: { show: false },
            data: (curve ?? []).map((point, i) => [x[i], point.low * 100]),
          },
          {
            name: "95 % confidence",
            type: "line",
            stack: "band",
            showSymbol: false,
            silent: true,
            lineStyle: { opacity: 0 },
            areaStyle: { color: ink.of("harbour"), opacity: 0.18 },
            tooltip: { show: false },
            data: (curve ?? []).map((point, i) => [x[i], (point.high - point.low) * 100]),
          },
          {
            name: "as planned",
            type: "line",
            symbolSize: 6,
            lineStyle: { color: ink.of("harbour"), width: 2.4 },
            itemStyle: { color: ink.of("harbour") },
            endLabel: endLabel(ink, "one preset technique", ink.of("harbour")),
            labelLayout: layout,
            data: (curve ?? []).map((point, i) => [x[i], point.chance * 100]),
            markLine: {
              silent: true,
              symbol: "none",
              data: [
                {
                  yAxis: required * 100,
                  lineStyle: { color: ink.of("ink2"), type: "dashed" },
                  label: {
                    formatter: `asked for: ${percent(required)}`,
                    position: "insideStartTop",
                    color: ink.of("ink2"),
                  },
                },
                ...(gate_m === null
                  ? []
                  : [
                      {
                        xAxis: shown(gate_m),
                        lineStyle: { color: ink.of("pine"), width: 2, type: "solid" },
                        label: {
                          formatter: `computed ${format("height", gate_m, "up")}`,
                          color: ink.of("pine"),
                          fontWeight: 700,
                          position: "end",
                        },
                      },
                    ]),
              ],
            },
          },
          {
            name: "best in hindsight",
            type: "line",
            showSymbol: false,
            lineStyle: { color: ink.of("ink2"), width: 1.8, type: [6, 4] },
            itemStyle: { color: ink.of("ink2") },
            endLabel: endLabel(ink, "best in hindsight (bound)", ink.of("ink2")),
            labelLayout: layout,
            data: (curve ?? []).flatMap(({ hindsight }, i) => (hindsight === null ? [] : [[x[i], hindsight * 100]])),
          },
        ],
      };
    },
    [curve, required, gate_m, unit, format],
  );
  return (
    <div className="grid min-h-0 grid-rows-[auto_minmax(0,1fr)_auto]">
      <div className="flex min-h-9 items-center gap-3 px-4 pt-2 text-[14px]" role="status">
        {progress !== null ? (
          <>
            <span className="whitespace-nowrap">Flying 11 000 turns with scatter …</span>
            <progress
              className="h-2 w-48 appearance-none [&::-moz-progress-bar]:bg-harbour [&::-webkit-progress-bar]:bg-rule [&::-webkit-progress-value]:bg-harbour"
              value={progress}
              max={1}
              aria-label="Share flown"
            />
            <span className="num w-12">{percent(progress)}</span>
            <button type="button" className="btn btn-quiet px-2 py-0.5" onClick={() => set({ stopped: true })}>
              Stop
            </button>
          </>
        ) : stopped ? (
          <>
            <span>
              {stale || !curve
                ? "Stopped; there is no chance for the present situation."
                : curve.every(({ hindsight }) => hindsight !== null)
                  ? "Stopped."
                  : "Stopped; the gate is known, the rest of the turns was not flown."}
            </span>
            <button type="button" className="btn px-2 py-0.5" onClick={() => set({ stopped: false })}>
              Compute the chance
            </button>
          </>
        ) : (
          chance && (
            <span className="text-ink2">
              1 000 turns at each of 11 heights, seeded, {(chance.took_ms / 1000).toFixed(1)} s.{" "}
              {stale ? "The situation has changed since." : ""}
            </span>
          )
        )}
      </div>
      {curve ? (
        <Chart
          label="Chance that turning back works over failure height"
          option={option}
          onPick={(x) => set({ height_m: clamp(toSi("height", unit, x), 6.1, 762) })}
          className={stale ? "opacity-50" : ""}
          table={
            <DataTable
              className="w-full text-[13px]"
              rows={curve}
              rowKey={(point) => point.height_m}
              columns={[
                { name: "engine stops at", kind: "figure", cell: (point) => format("height", point.height_m) },
                { name: "as planned", cell: (point) => percent(point.chance) },
                { name: "95 % confidence", cell: (point) => `${percent(point.low)} to ${percent(point.high)}` },
                {
                  name: "best in hindsight",
                  cell: ({ hindsight }) => (hindsight === null ? "…" : percent(hindsight)),
                },
                { name: "stalled in the reaction", cell: (point) => percent(point.stalled) },
              ]}
            />
          }
        />
      ) : (
        <p className="p-4 text-ink2">{scan ? "The chance follows." : "Computing …"}</p>
      )}
      {chance && !stale && (
        <div className="grid grid-cols-2 gap-6 border-t border-rule px-4 py-2 text-[13px]">
          <section aria-label="Schools">
            <h2 className="mb-0.5 font-bold">Two schools</h2>
            <dl className="grid grid-cols-[1fr_auto] gap-x-3">
              <dt>Fixed heights: consider from</dt>
              <dd className="num text-right">{format("height", chance.gates.fixed_m)}</dd>
              <dt>Computed gate</dt>
              <dd className="text-right">
                {chance.gates.computed_m === null ? (
                  <span className="num">none</span>
                ) : (
                  <Figure
                    title="Computed gate"
                    figure="margin"
                    source={workingOfTurnback(Math.min(chance.gates.computed_m, 762), null)}
                  >
                    {format("height", chance.gates.computed_m, "up")}
                  </Figure>
                )}
              </dd>
            </dl>
            <p className="mt-1 text-ink2">
              {schoolWords(chance.gates.fixed_m, chance.gates.computed_m, required, format)}
            </p>
          </section>
          {chance.sensitivity && (
            <section aria-label="What matters most">
              <h2 className="mb-0.5 font-bold">
                What matters most at {format("height", chance.sensitivity.height_m)}: if it were exact
              </h2>
              <ol>
                {chance.sensitivity.exact.slice(0, 4).map(({ kind, chance: without }) => (
                  <li key={kind} className="flex justify-between gap-3">
                    <span>
                      {SCATTER_NAMES[kind]}{" "}
                      <span className="text-ink2">
                        {scatterSize(pilotScatter(chance.question.pilot), kind, format)}
                      </span>
                    </span>
                    <span className="num whitespace-nowrap">
                      {percent(chance.sensitivity?.chance ?? 0)} → {percent(without)}
                    </span>
                  </li>
                ))}
              </ol>
            </section>
          )}
        </div>
      )}
    </div>
  );
}

/** Why the two schools differ today. */
function schoolWords(fixed_m: number, computed_m: number | null, required: number, format: Format): string {
  if (computed_m === null)
    return `The fixed height knows nothing of this runway, mass and wind: today ${formatNumber(required * 100)} in 100 is not reached up to the heights looked at.`;
  const difference = fixed_m - computed_m;
  if (difference > 15)
    return `The fixed height is ${format("height", difference, "down")} higher: it has to do for every aeroplane, wind and pilot; this one climbs well enough against today’s wind.`;
  if (difference < -15)
    return `The fixed height is ${format("height", -difference, "up")} too low today: it knows nothing of this mass, runway and wind.`;
  return "Today both schools say the same.";
}
