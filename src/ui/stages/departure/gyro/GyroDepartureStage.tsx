"use client";
import { FlyThis } from "@/ui/situation/FlyThis";
import { useCallback } from "react";
import { degrees } from "@/core/quantities/angle";
import { formatNumber, fromSi, unitOf } from "@/core/quantities/units";
import type { GyroDeparture } from "@/core/rotor/gyro-departure";
import { useClimbOutTrial, useGyroDeparture } from "@/ui/answers/useGyroDeparture";
import { Chart } from "@/ui/kit/charts/Chart";
import type { ChartInk } from "@/ui/kit/charts/chart-ink";
import { SliderField } from "@/ui/kit/forms/SliderField";
import { AsideFigures, DecisionAside } from "@/ui/kit/page/DecisionAside";
import { OneViewStage } from "@/ui/kit/page/OneViewStage";
import { DataTable } from "@/ui/kit/tables/DataTable";
import { useFormat, useUnits } from "@/ui/kit/units/units-store";
import { climbOutDecision, failureWords, riseWords } from "./climb-out-words";

const CAUTIONS = [
  "A sketch for planning and training: the height is taken to stay in the reaction, the ground to be level. The manual and your instructor come first.",
  "Never push hard to save height: the rotor has to carry at least half of the weight.",
];

/** A take-off that is flown by hand has its failure at this height, m. */
const FAILS_M = 91.44;

/** What works when the engine stops on the climb-out? */
export function GyroDepartureStage() {
  const { value, issue, stale } = useGyroDeparture();
  return (
    <OneViewStage
      label="Departure"
      question="If the engine stops on the climb-out: ahead, or back?"
      view="By height"
      actions={<FlyThis height_m={FAILS_M} />}
      issue={issue}
      controls={<Switches />}
      aside={<ClimbOutAside />}
    >
      {value && (
        <div className="grid min-h-0 grid-rows-[minmax(0,1fr)_auto]" aria-busy={stale}>
          <HeightsChart departure={value} />
          <Heights departure={value} />
        </div>
      )}
    </OneViewStage>
  );
}

function Switches() {
  const { asked } = useGyroDeparture();
  const trial = useClimbOutTrial();
  const format = useFormat();
  const { clear_m, runway_m, headwind_mps } = asked.climbOut;
  return (
    <div className="grid grid-cols-3 items-end gap-x-6">
      <SliderField
        label="Clear ahead"
        value={clear_m}
        min={200}
        max={5000}
        step={50}
        shown={format("length", clear_m)}
        onChange={(value) => trial.try({ clear_m: value })}
      />
      <SliderField
        label="Runway"
        value={runway_m}
        min={150}
        max={3000}
        step={50}
        shown={format("length", runway_m)}
        onChange={(value) => trial.try({ runway_m: value })}
      />
      <SliderField
        label={headwind_mps >= 0 ? "Headwind" : "Tailwind"}
        value={headwind_mps}
        min={-5}
        max={Math.max(15, headwind_mps)}
        step={0.5}
        shown={format("speed", Math.abs(headwind_mps))}
        onChange={(value) => trial.try({ headwind_mps: value })}
      />
    </div>
  );
}

/** For each failure height the ground from where the engine stops to where it stands. */
function HeightsChart({ departure }: { departure: GyroDeparture }) {
  const { asked } = useGyroDeparture();
  const units = useUnits((state) => state.units);
  const { clear_m } = asked.climbOut;
  const option = useCallback(
    (ink: ChartInk) => {
      const length = (si: number) => fromSi("length", units.length, si);
      const height = (si: number) => fromSi("height", units.height, si);
      return {
        grid: { left: 60, right: 40, top: 34, bottom: 42 },
        tooltip: { show: false },
        xAxis: {
          ...ink.axis(`from the beginning of the run, ${unitOf("length", units.length).label}`),
          nameLocation: "middle",
          nameGap: 26,
          min: 0,
        },
        yAxis: {
          ...ink.axis(`engine stops at, ${unitOf("height", units.height).label}`),
          nameTextStyle: { color: ink.of("ink2"), fontSize: 13, align: "left", padding: [0, 0, 0, -46] },
          min: 0,
        },
        series: [
          ...departure.failures.map(({ height_m, gone_m, aheadEnds_m, aheadLeft_m, slow }, i) => {
            const colour = aheadLeft_m < 0 ? "brick" : slow ? "ochre" : "pine";
            return {
              name: `${i}`,
              type: "line",
              symbol: ["none", "arrow"],
              showSymbol: false,
              silent: true,
              lineStyle: { color: ink.of(colour), width: 3, type: aheadLeft_m < 0 ? [6, 4] : "solid" },
              itemStyle: { color: ink.of(colour) },
              data: [
                [length(gone_m), height(height_m)],
                [length(aheadEnds_m), height(height_m)],
              ],
            };
          }),
          {
            name: "climb-out",
            type: "line",
            showSymbol: false,
            silent: true,
            lineStyle: { color: ink.of("harbour"), width: 2 },
            itemStyle: { color: ink.of("harbour") },
            data: departure.failures.map(({ gone_m, height_m }) => [length(gone_m), height(height_m)]),
            markLine: {
              silent: true,
              symbol: "none",
              data: [
                {
                  xAxis: length(clear_m),
                  lineStyle: { color: ink.of("brick"), type: "dashed" },
                  label: { formatter: "ground ends", color: ink.of("brick"), position: "insideEndTop" },
                },
              ],
            },
          },
        ],
      };
    },
    [departure, clear_m, units],
  );
  return (
    <Chart
      label="Ground to touchdown ahead, by the height at which the engine stops"
      option={option}
      table={<HeightsTable departure={departure} />}
    />
  );
}

function HeightsTable({ departure }: { departure: GyroDeparture }) {
  const format = useFormat();
  return (
    <DataTable
      label="What works, by height"
      className="w-full text-[14px]"
      rows={departure.failures}
      rowKey={({ height_m }) => height_m}
      columns={[
        { name: "stops at", kind: "figure", cell: ({ height_m }) => format("height", height_m) },
        {
          name: "works",
          kind: "words",
          tone: ({ works, slow }) => (works === "neither" ? (slow ? "text-ochre" : "text-brick") : "text-pine"),
          cell: (failure) => failureWords(failure),
        },
        {
          name: "ground left ahead",
          tone: ({ aheadLeft_m }) => (aheadLeft_m < 0 ? "text-brick" : ""),
          cell: ({ aheadLeft_m }) =>
            aheadLeft_m < 0 ? `over by ${format("length", -aheadLeft_m, "up")}` : format("length", aheadLeft_m, "down"),
        },
        {
          name: "height left back",
          tone: ({ backMargin_m }) => (backMargin_m === null || backMargin_m < 0 ? "text-brick" : ""),
          cell: ({ backMargin_m }) =>
            backMargin_m === null
              ? "too much wind behind"
              : backMargin_m < 0
                ? `short by ${format("height", -backMargin_m, "up")}`
                : format("height", backMargin_m, "down"),
        },
      ]}
    />
  );
}

function Heights({ departure }: { departure: GyroDeparture }) {
  return (
    <div
      className="max-h-64 overflow-auto border-t border-rule px-4 py-2"
      tabIndex={0}
      role="region"
      aria-label="By height"
    >
      <HeightsTable departure={departure} />
    </div>
  );
}

function ClimbOutAside() {
  const { value, asked } = useGyroDeparture();
  const format = useFormat();
  if (!value) return <DecisionAside said={null} good cautions={[]} />;
  const said = climbOutDecision(value, format);
  const [first] = value.failures;
  return (
    <DecisionAside said={said} good={said.safe} cautions={CAUTIONS}>
      <AsideFigures>
        <dt>Climbs</dt>
        <dd className="num">
          {format("verticalSpeed", value.climb_mps)} at {format("speed", value.climbSpeed_mps)}
        </dd>
        <dt>Slowed to, after {formatNumber(asked.climbOut.reaction_s)} s</dt>
        <dd className="num">{format("speed", first.slowed_mps)}</dd>
        <dt>Height to the flare’s speed</dt>
        <dd className="num">{first.speed_m === null ? "none" : format("height", first.speed_m, "up")}</dd>
        <dt>The turn back, {formatNumber(degrees(asked.climbOut.bank_rad))}°</dt>
        <dd className="num">{format("height", value.turn_m, "up")}</dd>
        <dt>Its radius</dt>
        <dd className="num">{format("length", value.radius_m)}</dd>
        <dt>Rotor in the turn</dt>
        <dd className="num">{riseWords(value.rotorRise)}</dd>
      </AsideFigures>
    </DecisionAside>
  );
}
