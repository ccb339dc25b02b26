"use client";
import { useCallback } from "react";
import { stallCrossing_m } from "@/core/asymmetric/vmca-curve";
import { formatNumber, fromSi, unitOf } from "@/core/quantities/units";
import { Chart } from "@/ui/charts/Chart";
import { type ChartInk, apart, endLabel } from "@/ui/charts/chart-ink";
import { useSituation } from "@/ui/situation/situation-store";
import { useFormat, useUnits } from "@/ui/units/units-store";
import { useEngineOut } from "./engine-out-store";

const CONTROL_NAMES = { rudder: "Rudder", aileron: "Aileron", fin: "Fin stall", pedal: "150 lbf pedal" } as const;

/** Minimum control speed and stall over altitude, the controls used now, what each thing changes. */
export function ControlView() {
  const now = useEngineOut((state) => state.now);
  const tables = useEngineOut((state) => state.tables);
  const altitude_m = useSituation((state) => state.current.altitude_m);
  const units = useUnits((state) => state.units);
  const format = useFormat();
  const curve = tables?.curve;
  const crossing_m = curve ? stallCrossing_m(curve) : null;
  const option = useCallback(
    (ink: ChartInk) => {
      const height = (value: number) => fromSi("height", units.height, value);
      const speed = (value: number) => fromSi("speed", units.speed, value);
      const layout = apart();
      return {
        grid: { left: 60, right: 72, top: 20, bottom: 44 },
        tooltip: { ...ink.tooltip, valueFormatter: (value: unknown) => (value === null || value === undefined ? "–" : `${formatNumber(Number(value))} ${unitOf("speed", units.speed).label}`) },
        xAxis: { ...ink.axis(`altitude, ${unitOf("height", units.height).label}`), nameLocation: "middle", nameGap: 28, min: 0, max: height(6000) },
        yAxis: { ...ink.axis(`equivalent airspeed, ${unitOf("speed", units.speed).label}`), nameLocation: "middle", nameGap: 42, scale: true },
        series: [
          { name: "V_MCA", type: "line", showSymbol: false, lineStyle: { color: ink.of("brick"), width: 2.6 }, itemStyle: { color: ink.of("brick") }, endLabel: endLabel(ink, "V_MCA", ink.of("brick")), labelLayout: layout, data: curve?.map((at) => [height(at.altitude_m), at.vmca_mps === null ? null : speed(at.vmca_mps)]), markLine: { silent: true, symbol: "none", data: [{ xAxis: height(altitude_m), lineStyle: { color: ink.of("ink"), type: "solid" }, label: { formatter: "here", color: ink.of("ink"), position: "insideEndTop" } }, ...(crossing_m === null ? [] : [{ xAxis: height(crossing_m), lineStyle: { color: ink.of("ochre"), type: "dashed" }, label: { formatter: "stall first above", color: ink.of("ochre"), position: "insideEndTop" } }])] } },
          { name: "V_S", type: "line", showSymbol: false, lineStyle: { color: ink.of("ink2"), width: 2, type: [6, 4] }, itemStyle: { color: ink.of("ink2") }, endLabel: endLabel(ink, "V_S", ink.of("ink")), labelLayout: layout, data: curve?.map((at) => [height(at.altitude_m), speed(at.stall_mps)]) },
        ],
      };
    },
    [curve, crossing_m, altitude_m, units],
  );
  if (!now) return <p className="p-4 text-ink2">Computing …</p>;
  return (
    <div className="grid min-h-0 grid-cols-[minmax(0,1fr)_300px] max-[1150px]:grid-cols-[minmax(0,1fr)_240px]">
      <div className="grid min-h-0 grid-rows-[minmax(0,1fr)_auto]">
        <Chart
          label="Minimum control speed and stall over altitude"
          option={option}
          table={
            <table className="w-full text-right text-[13px]">
              <thead className="text-ink2">
                <tr>
                  <th className="font-normal">altitude</th>
                  <th className="font-normal">V_MCA</th>
                  <th className="font-normal">V_S</th>
                </tr>
              </thead>
              <tbody className="num">
                {curve?.map((at) => (
                  <tr key={at.altitude_m} className="border-t border-rule">
                    <th className="font-normal">{format("height", at.altitude_m)}</th>
                    <td>{at.vmca_mps === null ? "no limit met" : format("speed", at.vmca_mps)}</td>
                    <td>{format("speed", at.stall_mps)}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          }
        />
        <dl className="grid grid-cols-2 gap-x-6 gap-y-1 border-t border-rule px-4 py-2 text-[14px]">
          {(Object.keys(CONTROL_NAMES) as (keyof typeof CONTROL_NAMES)[]).map((control) => {
            const share = now.used[control];
            return (
              <div key={control} className="grid grid-cols-[1fr_80px_52px] whitespace-nowrap items-center gap-2">
                <dt>{CONTROL_NAMES[control]}</dt>
                <dd aria-hidden="true" className="h-2.5 border border-ink2 bg-paper">
                  <div className={`h-full ${share > 1 ? "bg-brick" : "bg-harbour"}`} style={{ width: `${Math.min(share, 1) * 100}%` }} />
                </dd>
                <dd className={`num text-right ${share > 1 ? "text-brick" : ""}`}>{Math.round(share * 100)} %</dd>
              </div>
            );
          })}
        </dl>
      </div>
      <div className="min-h-0 overflow-auto border-l border-rule px-3 py-2" tabIndex={0} role="region" aria-label="What changes it">
        <h2 className="mb-1 font-bold">What changes V_MCA today</h2>
        <table className="w-full text-[14px]">
          <tbody>
            {tables?.factors.map((factor) => (
              <tr key={factor.name} className="border-t border-rule">
                <th className="py-0.5 text-left font-normal">{factor.name}</th>
                <td className="num text-right whitespace-nowrap">{factor.change_mps === null ? "no limit met" : `${factor.change_mps >= 0 ? "+" : "−"}${formatNumber(Math.abs(fromSi("speed", units.speed, factor.change_mps)), 1)} ${unitOf("speed", units.speed).label}`}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </div>
  );
}
