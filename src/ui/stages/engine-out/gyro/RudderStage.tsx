"use client";
import { FlyThis } from "@/ui/situation/FlyThis";
import { useCallback } from "react";
import { degrees } from "@/core/quantities/angle";
import { MPS_PER_KT } from "@/core/quantities/constants";
import { formatNumber, fromSi, unitOf } from "@/core/quantities/units";
import type { RudderAtSpeed } from "@/core/rotor/rudder-authority";
import { useGyroAsked, useGyroRudder } from "@/ui/answers/useGyroAsked";
import { Chart } from "@/ui/kit/charts/Chart";
import { type ChartInk, endLabel } from "@/ui/kit/charts/chart-ink";
import { AsideFigures, DecisionAside } from "@/ui/kit/page/DecisionAside";
import { OneViewStage } from "@/ui/kit/page/OneViewStage";
import { DataTable } from "@/ui/kit/tables/DataTable";
import { useFormat, useUnits } from "@/ui/kit/units/units-store";
import { Figure } from "@/ui/kit/working/Figure";

const CAUTIONS = [
  "Estimate for planning and training. The manual and your instructor come first.",
  "Never push hard at low speed or in a bunt: a rotor that carries less than about half of the weight may slow down and not recover.",
];
/** Speed from which a turn is flown, m/s: with less the rudder does little. */
const TO_TURN_MPS = 30 * MPS_PER_KT;

/** What does the rudder do when the engine has stopped? */
export function RudderStage() {
  const { value, issue, stale } = useGyroRudder();
  return (
    <OneViewStage
      label="Engine stopped"
      question="What does the rudder do when the engine has stopped?"
      view="Rudder by speed"
      actions={<FlyThis />}
      issue={issue}
      aside={<RudderAside />}
    >
      {value && (
        <div className="grid min-h-0 grid-rows-[minmax(0,1fr)_auto]" aria-busy={stale}>
          <AuthorityChart speeds={value} />
          <HeldTable speeds={value} />
        </div>
      )}
    </OneViewStage>
  );
}

function AuthorityChart({ speeds }: { speeds: readonly RudderAtSpeed[] }) {
  const units = useUnits((state) => state.units);
  const format = useFormat();
  const option = useCallback(
    (ink: ChartInk) => {
      const speed = (si: number) => fromSi("speed", units.speed, si);
      const line = (name: string, colour: string, of: (at: RudderAtSpeed) => number) => ({
        name,
        type: "line",
        showSymbol: false,
        lineStyle: { color: ink.of(colour), width: 2.6 },
        itemStyle: { color: ink.of(colour) },
        endLabel: endLabel(ink, name, ink.of(colour)),
        data: speeds.map((at) => [speed(at.tas_mps), Math.round(of(at) * 1000) / 10]),
      });
      return {
        grid: { left: 56, right: 110, top: 34, bottom: 42 },
        tooltip: { ...ink.tooltip, valueFormatter: (value: unknown) => `${formatNumber(Number(value))} %` },
        xAxis: {
          ...ink.axis(`airspeed, ${unitOf("speed", units.speed).label}`),
          nameLocation: "middle",
          nameGap: 26,
          min: 0,
          max: speed(65 * MPS_PER_KT),
        },
        yAxis: {
          ...ink.axis("full rudder, % of what it does at 55 kt with the engine stopped"),
          nameTextStyle: { color: ink.of("ink2"), fontSize: 13, align: "left", padding: [0, 0, 0, -42] },
          min: 0,
        },
        series: [
          line("full power", "harbour", ({ fullPower }) => fullPower),
          {
            ...line("stopped", "brick", ({ stopped }) => stopped),
            markLine: {
              silent: true,
              symbol: "none",
              data: [
                {
                  xAxis: speed(TO_TURN_MPS),
                  lineStyle: { color: ink.of("ink2"), type: "dashed" },
                  label: { formatter: "enough to turn", color: ink.of("ink"), position: "insideEndTop" },
                },
              ],
            },
          },
        ],
      };
    },
    [speeds, units],
  );
  return (
    <Chart
      label="What full rudder does by airspeed, with full power and with the engine stopped"
      option={option}
      table={
        <DataTable
          rows={speeds}
          rowKey={(row) => row.tas_mps}
          columns={[
            { name: "airspeed", kind: "figure", cell: (row) => format("speed", row.tas_mps) },
            { name: "stopped", cell: (row) => `${formatNumber(row.stopped * 100)} %` },
            { name: "full power", cell: (row) => `${formatNumber(row.fullPower * 100)} %` },
          ]}
        />
      }
    />
  );
}

/** Which pedal changes when the engine stops, by speed. */
function HeldTable({ speeds }: { speeds: readonly RudderAtSpeed[] }) {
  const format = useFormat();
  const shown = speeds.filter(({ tas_mps }, i) => i % 2 === 0 && tas_mps > 0);
  return (
    <div className="border-t border-rule px-4 py-2">
      <DataTable
        caption="Level flight against engine stopped: the rudder that is held against the swirl, and too much of it when the engine stops"
        className="w-full text-[14px]"
        rows={shown}
        rowKey={(row) => row.tas_mps}
        columns={[
          { name: "airspeed", kind: "figure", cell: (row) => format("speed", row.tas_mps) },
          { name: "level with", cell: (row) => (row.power_W === null ? "not level" : format("power", row.power_W)) },
          {
            name: "rudder held",
            cell: (row) => (row.held_rad === null ? "–" : `${formatNumber(degrees(row.held_rad), 1)}°`),
          },
          {
            name: "when it stops",
            cell: (row) => (row.held_rad === null ? "–" : `${formatNumber(degrees(row.held_rad), 1)}° the other way`),
          },
          { name: "full rudder then", cell: (row) => `${formatNumber(row.stopped * 100)} %` },
        ]}
      />
    </div>
  );
}

function RudderAside() {
  const { value } = useGyroRudder();
  const question = useGyroAsked();
  if (!value) return <DecisionAside said={null} good cautions={[]} />;
  const source = { calculation: { name: "rudder-authority", input: question } };
  const at = (kt: number) => value.find(({ tas_mps }) => tas_mps >= (kt - 0.5) * MPS_PER_KT);
  const share = (kt: number) => `${formatNumber((at(kt)?.stopped ?? 0) * 100)} %`;
  const cruise = at(55)?.held_rad;
  const said = {
    lead: "Get 30 to 40 kt first, then turn.",
    rest: `Without the slipstream the rudder has the airspeed alone: at 20 kt it does ${share(20)} of what it does at 55 kt.`,
  };
  return (
    <DecisionAside said={said} good cautions={CAUTIONS}>
      <AsideFigures>
        {[10, 20, 30, 40].map((kt) => (
          <div key={kt} className="contents [&>dd]:text-right [&>dt]:text-ink2">
            <dt>Stopped, {kt} kt</dt>
            <dd>
              <Figure title="Rudder, engine stopped" figure="rudder" source={source}>
                {share(kt)}
              </Figure>
            </dd>
          </div>
        ))}
        <dt>Full power, standing still</dt>
        <dd className="num">{formatNumber((value[0]?.fullPower ?? 0) * 100)} %</dd>
      </AsideFigures>
      <section className="border-t border-rule px-4 py-2" aria-label="Pedal">
        <h2 className="font-bold">Pedal the other way</h2>
        <p className="text-[14px]">
          {cruise === null || cruise === undefined
            ? "It does not fly level at 55 kt: what is held against the swirl is not known."
            : `In level flight at 55 kt about ${formatNumber(degrees(cruise), 1)}° of rudder is held against the swirl. When the engine stops it is too much by all of it: the foot that was pressed comes off, and the other one may be needed.`}
        </p>
      </section>
    </DecisionAside>
  );
}
