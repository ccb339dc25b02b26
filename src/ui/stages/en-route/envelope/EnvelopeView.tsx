"use client";
import { useCallback } from "react";
import { fromSi, unitOf } from "@/core/quantities/units";
import type { OneEngineEnvelope } from "@/core/rotor/one-engine-envelope";
import { useEnvelope, useEnvelopeRating } from "@/ui/answers/useEnvelope";
import { Chart } from "@/ui/kit/charts/Chart";
import { type ChartInk } from "@/ui/kit/charts/chart-ink";
import { ChoiceField } from "@/ui/kit/forms/ChoiceField";
import { AsideFigures, DecisionAside } from "@/ui/kit/page/DecisionAside";
import { DataTable } from "@/ui/kit/tables/DataTable";
import { useFormat, useUnits } from "@/ui/kit/units/units-store";
import { useSituation } from "@/ui/situation/situation-store";
import { ratingWords } from "../../rating-words";
import { envelopeDecision } from "./envelope-words";

const CAUTIONS = [
  "Estimate for planning and training. The flight manual’s charts on one engine come first.",
  "Still air and level ground: downdraughts behind ridges take more than a climb of this size.",
];

/** How high and how fast it flies on one engine, by rating. */
export function EnvelopeView() {
  const { value, issue, stale, asked } = useEnvelope();
  const choose = useEnvelopeRating((state) => state.choose);
  return (
    <div className="grid min-h-0 grid-rows-[auto_minmax(0,1fr)]">
      <div className="w-72 px-4 py-1.5">
        <ChoiceField
          label="On the rating"
          value={String(asked.rating)}
          onChange={(rating) => choose(Number(rating))}
          choices={asked.aircraft.engines.ratings.map((rating, i) => ({
            value: String(i),
            label: `${rating.name}: ${ratingWords(rating)}`,
          }))}
        />
      </div>
      {value ? (
        <div className="grid min-h-0 grid-rows-[minmax(0,1fr)_auto] border-t border-rule bg-sheet" aria-busy={stale}>
          <EnvelopeChart envelope={value} />
          <Altitudes envelope={value} />
        </div>
      ) : (
        <p className={`p-4 ${issue ? "text-brick" : "text-ink2"}`}>{issue?.message ?? "Computing …"}</p>
      )}
    </div>
  );
}

/** Slowest and fastest level speed over altitude, with the ceilings and the situation's altitude. */
function EnvelopeChart({ envelope }: { envelope: OneEngineEnvelope }) {
  const units = useUnits((state) => state.units);
  const here_m = useSituation((state) => state.current.altitude_m);
  const option = useCallback(
    (ink: ChartInk) => {
      const speed = (si: number) => fromSi("speed", units.speed, si);
      const height = (si: number) => fromSi("height", units.height, si);
      const level = envelope.altitudes.flatMap(({ altitude_m, level: speeds }) =>
        speeds ? [{ altitude_m, ...speeds }] : [],
      );
      const line = (name: string, of: (row: (typeof level)[number]) => number) => ({
        name,
        type: "line",
        showSymbol: false,
        lineStyle: { color: ink.of("harbour"), width: 2.6 },
        itemStyle: { color: ink.of("harbour") },
        data: level.map((row) => [speed(of(row)), height(row.altitude_m)]),
      });
      const mark = (altitude_m: number | null, name: string, colour: string) =>
        altitude_m === null || altitude_m >= envelope.top_m
          ? []
          : [
              {
                yAxis: height(altitude_m),
                lineStyle: { color: ink.of(colour), type: "dashed" },
                label: {
                  formatter: name,
                  color: ink.of(colour === "ink2" ? "ink" : colour),
                  position: colour === "pine" ? "insideEndBottom" : "insideEndTop",
                },
              },
            ];
      return {
        grid: { left: 62, right: 30, top: 34, bottom: 42 },
        tooltip: { show: false },
        xAxis: {
          ...ink.axis(`level airspeed, ${unitOf("speed", units.speed).label}`),
          nameLocation: "middle",
          nameGap: 26,
          min: 0,
        },
        yAxis: {
          ...ink.axis(`altitude, ${unitOf("height", units.height).label}`),
          nameTextStyle: { color: ink.of("ink2"), fontSize: 13, align: "left", padding: [0, 0, 0, -48] },
          min: 0,
          max: height(envelope.top_m),
        },
        series: [
          line("slowest", ({ slowest_mps }) => slowest_mps),
          {
            ...line("fastest", ({ fastest_mps }) => fastest_mps),
            markLine: {
              silent: true,
              symbol: "none",
              data: [
                ...mark(envelope.service_m, "climbs 50 ft/min", "pine"),
                ...mark(envelope.absolute_m, "level and no more", "brick"),
                ...mark(here_m, "here", "ink2"),
              ],
            },
          },
        ],
      };
    },
    [envelope, units, here_m],
  );
  return (
    <Chart
      label="Level airspeeds on one engine over altitude"
      option={option}
      table={<AltitudeTable envelope={envelope} />}
    />
  );
}

function AltitudeTable({ envelope }: { envelope: OneEngineEnvelope }) {
  const format = useFormat();
  return (
    <DataTable
      label="One engine over altitude"
      className="w-full text-[14px]"
      rows={envelope.altitudes}
      rowKey={({ altitude_m }) => altitude_m}
      columns={[
        { name: "altitude", kind: "figure", cell: ({ altitude_m }) => format("height", altitude_m) },
        {
          name: "level from",
          cell: ({ level }) =>
            level === null ? "never" : level.slowest_mps === 0 ? "hover" : format("speed", level.slowest_mps, "up"),
        },
        { name: "to", cell: ({ level }) => (level === null ? "–" : format("speed", level.fastest_mps, "down")) },
        {
          name: "best climb",
          tone: ({ climb_mps }) => (climb_mps < 0 ? "text-brick" : ""),
          cell: ({ climb_mps }) => format("verticalSpeed", climb_mps),
        },
        { name: "at", cell: ({ climbSpeed_mps }) => format("speed", climbSpeed_mps) },
      ]}
    />
  );
}

/** The rows about the situation's altitude. */
function Altitudes({ envelope }: { envelope: OneEngineEnvelope }) {
  return (
    <div
      className="max-h-56 overflow-auto border-t border-rule px-4 py-2"
      tabIndex={0}
      role="region"
      aria-label="By altitude"
    >
      <AltitudeTable envelope={envelope} />
    </div>
  );
}

/** The decision on one engine, and its ceilings. */
export function EnvelopeAside() {
  const { value } = useEnvelope();
  const altitude_m = useSituation((state) => state.current.altitude_m);
  const format = useFormat();
  if (!value) return <DecisionAside said={null} good cautions={[]} />;
  const said = envelopeDecision(value, altitude_m, format);
  const ceiling = (at_m: number | null) =>
    at_m === null
      ? "none"
      : at_m >= value.top_m
        ? `above ${format("height", value.top_m)}`
        : format("height", at_m, "down");
  return (
    <DecisionAside said={said} good={said.holds} cautions={CAUTIONS}>
      <AsideFigures>
        <dt>Service ceiling, {value.rating.name}</dt>
        <dd className="num">{ceiling(value.service_m)}</dd>
        <dt>Absolute ceiling</dt>
        <dd className="num">{ceiling(value.absolute_m)}</dd>
      </AsideFigures>
    </DecisionAside>
  );
}
