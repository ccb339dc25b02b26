"use client";
import { isAeroplane } from "@/core/aircraft/aircraft-kind";
import { clamp } from "@/core/numeric/clamp";
import { useCallback, useMemo, useState } from "react";
import { polarOf, stallSpeed_mps } from "@/core/aircraft/polar";
import { bestGlide, leastSink } from "@/core/glide/straight-glide";
import { speedToFly } from "@/core/glide/speed-to-fly";
import { formatNumber, fromSi, unitOf } from "@/core/quantities/units";
import { Chart } from "@/ui/kit/charts/Chart";
import { type ChartInk, apart, endLabel } from "@/ui/kit/charts/chart-ink";
import { ChoiceField } from "@/ui/kit/forms/ChoiceField";
import { SliderField } from "@/ui/kit/forms/SliderField";
import { useLibraryAircraft } from "@/ui/library/library-aircraft";
import { useSituation } from "@/ui/situation/situation-store";
import { useFormat, useUnits } from "@/ui/kit/units/units-store";
import { Figure } from "@/ui/kit/working/Figure";
import { polarCurve } from "./curves";
import { fittingConfiguration } from "./fitting-configuration";
import { useEdited } from "./useEdited";
import { DataTable } from "@/ui/kit/tables/DataTable";

/** Winds that the tangent is tried with, m/s, and rising or sinking air. */
const WIND_MPS = 20;
const VERTICAL_MPS = 4;
const NONE = "none";

/** Sink against speed at a mass, the tangent from the wind, another model beside it. */
export function PolarView() {
  const { document } = useEdited();
  const situationMass = useSituation((state) => state.current.mass_kg);
  const configuration = useSituation((state) => state.current.configuration);
  const pilot = useSituation((state) => state.current.pilot);
  const aircraft = useLibraryAircraft();
  const units = useUnits((state) => state.units);
  const format = useFormat();
  const [mass, setMass] = useState<number | null>(null);
  const [headwind_mps, setHeadwind] = useState(0);
  const [vertical_mps, setVertical] = useState(0);
  const [otherId, setOther] = useState(NONE);
  const { minimum_kg, maximum_kg } = document.mass;
  const mass_kg = clamp(mass ?? situationMass, minimum_kg, maximum_kg);
  const configured = useMemo(
    () => polarOf(document, mass_kg, fittingConfiguration(document, configuration)),
    [document, mass_kg, configuration],
  );
  const chosen = aircraft.find((candidate) => candidate.id === otherId)?.document;
  const other = chosen && isAeroplane(chosen) ? chosen : null;

  const drawn = useMemo(() => {
    if (!configured.ok) return null;
    const { polar } = configured.value;
    const best = bestGlide(polar);
    const fastest = best.eas_mps * 1.6;
    const heavy = polarOf(document, maximum_kg, fittingConfiguration(document, configuration));
    // A gear that cannot be retracted says nothing about where the other's is.
    const beside = other
      ? polarOf(
          other,
          clamp(mass_kg, other.mass.minimum_kg, other.mass.maximum_kg),
          fittingConfiguration(other, {
            ...configuration,
            gearDown: configuration.gearDown && (document.polar?.gear.retractable ?? false),
          }),
        )
      : null;
    return {
      polar,
      best,
      fastest,
      least: leastSink(polar),
      stall_mps: stallSpeed_mps(polar),
      fly: speedToFly(polar, { along_mps: -headwind_mps, across_mps: 0, vertical_mps }, 1),
      curve: polarCurve(polar, fastest),
      heavy: heavy.ok && maximum_kg - mass_kg > 1 ? polarCurve(heavy.value.polar, fastest) : [],
      beside: beside?.ok
        ? {
            name: other?.name ?? "",
            curve: polarCurve(beside.value.polar, fastest),
            best: bestGlide(beside.value.polar),
          }
        : null,
    };
  }, [configured, document, configuration, mass_kg, maximum_kg, other, headwind_mps, vertical_mps]);

  const points = document.handbook.glidePoints;
  const option = useCallback(
    (ink: ChartInk) => {
      if (!drawn) return {};
      const speed = (value: number) => fromSi("speed", units.speed, value);
      const sink = (value: number) => fromSi("verticalSpeed", units.verticalSpeed, value);
      const layout = apart();
      const line = (
        name: string,
        curve: readonly { eas_mps: number; sink_mps: number }[],
        colour: string,
        dash: string | number[],
        width: number,
      ) => ({
        name,
        type: "line",
        showSymbol: false,
        lineStyle: { color: ink.of(colour), type: dash, width },
        itemStyle: { color: ink.of(colour) },
        endLabel: endLabel(ink, name, ink.of("ink")),
        labelLayout: layout,
        data: curve.map((point) => [speed(point.eas_mps), sink(point.sink_mps)]),
      });
      const mark = (
        name: string,
        eas_mps: number,
        sink_mps: number,
        position: string,
        colour = "ink",
        offset = [0, 0],
      ) => ({
        name,
        value: [speed(eas_mps), sink(sink_mps)],
        itemStyle: { color: ink.of(colour) },
        label: {
          show: true,
          formatter: `${name} ${formatNumber(speed(eas_mps))}`,
          position,
          offset,
          color: ink.of(colour),
          fontFamily: ink.sans,
          fontSize: 13,
          fontWeight: 600,
          textBorderColor: ink.of("sheet"),
          textBorderWidth: 3,
        },
      });
      const fly = drawn.fly.ok ? drawn.fly.value : null;
      // The tangent leaves from the wind: headwind along, rising air down the axis.
      const from = [speed(headwind_mps), sink(vertical_mps)];
      const windy = headwind_mps !== 0 || vertical_mps !== 0;
      return {
        grid: { left: 62, right: 120, top: 18, bottom: 44 },
        tooltip: {
          ...ink.tooltip,
          valueFormatter: (value: unknown) =>
            `${formatNumber(Number(value), units.verticalSpeed === "mps" ? 1 : 0)} ${unitOf("verticalSpeed", units.verticalSpeed).label}`,
        },
        xAxis: {
          ...ink.axis(`equivalent airspeed, ${unitOf("speed", units.speed).label}`),
          nameLocation: "middle",
          nameGap: 28,
          min: Math.min(0, Math.floor(from[0] / 10) * 10),
          max: Math.ceil(speed(drawn.fastest) / 10) * 10,
        },
        yAxis: {
          ...ink.axis(`sink, ${unitOf("verticalSpeed", units.verticalSpeed).label}`),
          inverse: true,
          nameLocation: "middle",
          nameGap: 46,
          min: Math.min(0, from[1]),
        },
        series: [
          ...(drawn.heavy.length > 0 ? [line(format("mass", maximum_kg), drawn.heavy, "ink2", [2, 4], 1.4)] : []),
          ...(drawn.beside ? [line(drawn.beside.name, drawn.beside.curve, "clay", [8, 4], 2)] : []),
          line(format("mass", mass_kg), drawn.curve, "harbour", "solid", 2.6),
          ...(fly
            ? [
                {
                  name: "tangent",
                  type: "line",
                  showSymbol: false,
                  silent: true,
                  tooltip: { show: false },
                  lineStyle: { color: ink.of(windy ? "pine" : "ink2"), width: 1.4, type: [6, 3] },
                  data: [from, [speed(fly.eas_mps), sink(fly.sinkEas_mps)]],
                },
              ]
            : []),
          {
            type: "scatter",
            symbolSize: 8,
            tooltip: { show: false },
            data: [
              mark("stall", drawn.stall_mps, drawn.curve[0]?.sink_mps ?? 0, "left", "brick"),
              mark("least sink", drawn.least.eas_mps, drawn.least.sinkEas_mps, "bottom", "ink", [-44, 4]),
              mark("best glide", drawn.best.eas_mps, drawn.best.sinkEas_mps, "right"),
              ...(windy && fly ? [mark("speed to fly", fly.eas_mps, fly.sinkEas_mps, "right", "pine")] : []),
            ],
          },
          ...(points.length > 0
            ? [
                {
                  name: "points",
                  type: "scatter",
                  symbol: "diamond",
                  symbolSize: 9,
                  tooltip: { show: false },
                  itemStyle: { color: ink.of("ochre") },
                  data: points.map((point) => [speed(point.eas_mps), sink(point.sink_mps)]),
                },
              ]
            : []),
        ],
      };
    },
    [drawn, units, headwind_mps, vertical_mps, mass_kg, maximum_kg, points, format],
  );

  if (!configured.ok || !drawn)
    return (
      <p className="p-4">
        {configured.ok ? "" : configured.issue.message}{" "}
        {document.polar ? "" : "Fill in the handbook and take over its fit."}
      </p>
    );
  const { fly } = drawn;
  const polarSource = {
    calculation: {
      name: "polar",
      input: { aircraft: document, mass_kg, configuration: fittingConfiguration(document, configuration) },
    },
  };
  // The same question by name, at 10 m in standard air along a track to the north.
  const flySource = {
    calculation: {
      name: "glide",
      input: {
        aircraft: document,
        mass_kg,
        configuration: fittingConfiguration(document, configuration),
        air: { qnh_Pa: 101_325, deviation_K: 0 },
        wind: { surface: { from_rad: headwind_mps < 0 ? Math.PI : 0, speed_mps: Math.abs(headwind_mps) }, layers: [] },
        altitude_m: 10,
        trackTrue_rad: 0,
        verticalAir_mps: vertical_mps,
        bank_rad: pilot.bank_rad,
        stallMargin: pilot.stallMargin,
      },
    },
  };
  return (
    <div className="grid min-h-0 grid-rows-[minmax(0,1fr)_auto_auto]">
      <Chart
        label="Sink against speed"
        option={option}
        table={
          <DataTable
            className="w-full text-[13px]"
            rows={drawn.curve.filter((_point, i) => i % 4 === 0)}
            rowKey={(point) => point.eas_mps}
            columns={[
              { name: "airspeed", kind: "figure", cell: (point) => format("speed", point.eas_mps) },
              { name: "sink", cell: (point) => format("verticalSpeed", point.sink_mps) },
              {
                name: "ratio",
                cell: (point) => formatNumber(Math.sqrt((point.eas_mps / point.sink_mps) ** 2 - 1), 1),
              },
            ]}
          />
        }
      />
      <div className="grid grid-cols-[1fr_1fr_1fr_150px] items-end gap-4 border-t border-rule px-4 py-2">
        <SliderField
          label="Mass"
          value={mass_kg}
          min={minimum_kg}
          max={maximum_kg}
          step={5}
          shown={format("mass", mass_kg)}
          onChange={setMass}
        />
        <SliderField
          label={headwind_mps < 0 ? "Tailwind" : "Headwind"}
          value={headwind_mps}
          min={-WIND_MPS}
          max={WIND_MPS}
          step={0.5}
          shown={format("speed", Math.abs(headwind_mps))}
          onChange={setHeadwind}
        />
        <SliderField
          label={vertical_mps < 0 ? "Sinking air" : "Rising air"}
          value={vertical_mps}
          min={-VERTICAL_MPS}
          max={VERTICAL_MPS}
          step={0.25}
          shown={format("verticalSpeed", Math.abs(vertical_mps))}
          onChange={setVertical}
        />
        <ChoiceField
          label="Compare with"
          value={otherId}
          onChange={setOther}
          choices={[
            { value: NONE, label: "nothing" },
            ...aircraft
              .filter(({ document: its }) => isAeroplane(its) && its.polar)
              .map((candidate) => ({ value: candidate.id, label: candidate.document.name })),
          ]}
        />
      </div>
      <dl className="flex flex-wrap gap-x-8 border-t border-rule px-4 py-2 text-[14px] whitespace-nowrap [&_dt]:text-[13px] [&_dt]:text-ink2">
        <div>
          <dt>Best glide</dt>
          <dd>
            <Figure title="Best glide" figure="bestGlide" source={polarSource}>
              {format("speed", drawn.best.eas_mps)} · {formatNumber(drawn.best.ratio, 1)}:1
            </Figure>
          </dd>
        </div>
        <div>
          <dt>Least sink</dt>
          <dd>
            <Figure title="Least sink" figure="bestGlide" source={polarSource}>
              {format("speed", drawn.least.eas_mps)} · {format("verticalSpeed", drawn.least.sinkEas_mps)}
            </Figure>
          </dd>
        </div>
        <div>
          <dt>Speed to fly</dt>
          <dd>
            {fly.ok ? (
              <Figure title="Speed to fly" figure="speedToFly" source={flySource}>
                {format("speed", fly.value.eas_mps)} · {formatNumber(fly.value.groundRatio, 1)}:1 over ground
              </Figure>
            ) : (
              <span className="text-brick">{fly.issue.message}</span>
            )}
          </dd>
        </div>
        <div>
          <dt>{drawn.beside ? drawn.beside.name : "Stall"}</dt>
          <dd className="num">
            {drawn.beside
              ? `${format("speed", drawn.beside.best.eas_mps)} · ${formatNumber(drawn.beside.best.ratio, 1)}:1`
              : format("speed", drawn.stall_mps)}
          </dd>
        </div>
      </dl>
    </div>
  );
}
