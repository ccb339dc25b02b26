"use client";
import { useCallback, useMemo } from "react";
import { pressureAltitudeOnQnh_m } from "@/core/air/altimetry";
import { type RelightPlan, relightPlans } from "@/core/restart/relight";
import type { RestartQuestion } from "@/core/restart/restart-budget";
import { formatNumber, fromSi, unitOf } from "@/core/quantities/units";
import { Chart } from "@/ui/kit/charts/Chart";
import { type ChartInk } from "@/ui/kit/charts/chart-ink";
import { SliderField } from "@/ui/kit/forms/SliderField";
import { useSituation } from "@/ui/situation/situation-store";
import { useFormat, useUnits } from "@/ui/kit/units/units-store";
import { Figure } from "@/ui/kit/working/Figure";
import { DataTable } from "@/ui/kit/tables/DataTable";

const tries = (count: number) => (count === 1 ? "one attempt" : `${count} attempts`);

/**
 * Of a question about every engine stopped: the relight envelope with today's way down, and the attempts of both kinds.
 */
export function RelightView({ question, stopped }: { question: RestartQuestion; stopped: RestartQuestion["stopped"] }) {
  const { chance, assistedChance } = useSituation((state) => state.current.restart);
  const change = useSituation((state) => state.change);
  const units = useUnits((state) => state.units);
  const format = useFormat();
  const asked = useMemo(() => {
    const { flow: _flow, reaction_s: _reaction, ...rest } = question;
    return { ...rest, chance, assistedChance };
  }, [question, chance, assistedChance]);
  const outcome = useMemo(() => relightPlans(asked), [asked]);
  const { relight, engines } = question.aircraft;
  /** What turns the engine when the air alone does not. */
  const helper = engines.kind === "jet" ? "auxiliary power" : "the starter";
  const plans = outcome.ok ? outcome.value : null;
  const qnh_Pa = question.air.qnh_Pa;
  const commit_m = pressureAltitudeOnQnh_m(question.commit_m, qnh_Pa);
  const option = useCallback(
    (ink: ChartInk) => {
      const speed = (si: number) => fromSi("speed", units.speed, si);
      const height = (si: number) => fromSi("height", units.height, si);
      const outline = (name: string, kind: "windmill" | "assisted", colour: string, dash: unknown) => {
        const corners = relight?.[kind] ?? [];
        const points = [...corners, ...corners.slice(0, 1)].map((corner) => [
          speed(corner.speedCalibrated_mps),
          height(corner.altitudePressure_m),
        ]);
        const top = points.reduce(
          (best, at) => (at[1] > best[1] || (at[1] === best[1] && at[0] > best[0]) ? at : best),
          points[0] ?? [0, 0],
        );
        return [
          {
            name,
            type: "line",
            showSymbol: false,
            lineStyle: { color: ink.of(colour), width: 2, type: dash },
            itemStyle: { color: ink.of(colour) },
            data: points,
          },
          {
            name: `${name} name`,
            type: "scatter",
            symbolSize: 0.1,
            silent: true,
            tooltip: { show: false },
            label: {
              show: true,
              formatter: name,
              position: "top",
              color: ink.of(colour),
              fontFamily: ink.sans,
              fontSize: 13,
              fontWeight: 600,
            },
            data: [top],
          },
        ];
      };
      const way = (plan: RelightPlan, colour: string) => [
        {
          name: `way down, ${plan.kind}`,
          type: "line",
          showSymbol: false,
          lineStyle: { color: ink.of(colour), width: 1.4, type: [3, 3] },
          itemStyle: { color: ink.of(colour) },
          data: plan.path.map((point) => [
            speed(point.cas_mps),
            height(pressureAltitudeOnQnh_m(point.altitude_m, qnh_Pa)),
          ]),
        },
        ...plan.attempts.map((attempt, i) => ({
          name: `attempt ${i + 1}, ${plan.kind}`,
          type: "line",
          showSymbol: false,
          lineStyle: { color: ink.of(colour), width: 5 },
          itemStyle: { color: ink.of(colour) },
          data: [attempt.from, attempt.to].map((point) => [
            speed(point.cas_mps),
            height(pressureAltitudeOnQnh_m(point.altitude_m, qnh_Pa)),
          ]),
        })),
      ];
      return {
        grid: { left: 66, right: 110, top: 44, bottom: 42 },
        tooltip: {
          ...ink.tooltip,
          trigger: "item",
          formatter: ({ seriesName, value }: { seriesName: string; value: [number, number] }) =>
            `${seriesName}: ${formatNumber(value[0])} ${unitOf("speed", units.speed).label}, ${formatNumber(value[1], 0, 100)} ${unitOf("height", units.height).label}`,
        },
        xAxis: {
          ...ink.axis(`calibrated airspeed, ${unitOf("speed", units.speed).label}`),
          nameLocation: "middle",
          nameGap: 26,
          scale: true,
        },
        yAxis: {
          ...ink.axis(`pressure altitude, ${unitOf("height", units.height).label}`),
          nameTextStyle: { color: ink.of("ink2"), fontSize: 13, align: "left", padding: [0, 0, 0, -54] },
          min: 0,
        },
        series: [
          ...outline("windmilling", "windmill", "brick", "solid"),
          ...outline(`with ${helper}`, "assisted", "pine", [8, 4]),
          ...(plans ? [...way(plans.windmill, "clay"), ...way(plans.assisted, "harbour")] : []),
          {
            name: "commit",
            type: "line",
            data: [],
            markLine: {
              silent: true,
              symbol: "none",
              data: [
                {
                  yAxis: height(commit_m),
                  lineStyle: { color: ink.of("ochre"), type: "dashed" },
                  label: { formatter: "commit", color: ink.of("ochre"), position: "insideEndTop" },
                },
              ],
            },
          },
        ],
      };
    },
    [relight, helper, plans, qnh_Pa, commit_m, units],
  );
  if (!relight) return <p className="p-4">This aircraft has no relight envelope.</p>;
  if (!outcome.ok) return <p className="p-4 text-brick">{outcome.issue.message}</p>;
  const { windmill, assisted, better } = outcome.value;
  const source = { calculation: { name: "relight", input: asked } };
  return (
    <div
      className="grid min-h-0 grid-rows-[minmax(220px,1fr)_auto] overflow-auto"
      tabIndex={0}
      role="region"
      aria-label="Relight"
    >
      <Chart
        label="Relight envelope with the way down"
        option={option}
        table={
          <DataTable
            className="w-full text-[13px]"
            rows={[windmill, assisted].flatMap(({ kind, attempts }) =>
              attempts.map((attempt, i) => ({ ...attempt, name: `${kind} ${i + 1}` })),
            )}
            rowKey={({ name }) => name}
            columns={[
              { name: "attempt", cell: ({ name }) => name },
              { name: "from", cell: ({ from }) => `${Math.round(from.time_s)} s` },
              { name: "to", cell: ({ to }) => `${Math.round(to.time_s)} s` },
              { name: "begins at", cell: ({ from }) => format("height", from.altitude_m) },
              { name: "ends at", cell: ({ to }) => format("height", to.altitude_m) },
            ]}
          />
        }
      />
      <section className="border-t border-rule px-4 py-2" aria-label="Attempts">
        <div className="grid grid-cols-[minmax(0,1fr)_190px_190px] items-end gap-5">
          <p>
            <strong className={better === null ? "text-[20px] text-brick" : ""}>
              {better === null
                ? "No attempt fits: land."
                : better === "windmill"
                  ? "Windmilling gives the better chance."
                  : `With ${helper} is the better plan.`}
            </strong>{" "}
            {better !== null &&
              `After ${tries((better === "windmill" ? windmill : assisted).attempts.length)}, at ${format("height", (better === "windmill" ? windmill : assisted).attempts.at(-1)?.to.altitude_m ?? 0)}, stop trying.`}
          </p>
          <SliderField
            label="One windmilling"
            value={chance}
            min={0.05}
            max={0.95}
            step={0.05}
            shown={`${Math.round(chance * 100)} %`}
            onChange={(value) => change((current) => ({ restart: { ...current.restart, chance: value } }))}
          />
          <SliderField
            label={`One with ${helper}`}
            value={assistedChance}
            min={0.05}
            max={0.95}
            step={0.05}
            shown={`${Math.round(assistedChance * 100)} %`}
            onChange={(value) => change((current) => ({ restart: { ...current.restart, assistedChance: value } }))}
          />
        </div>
        <DataTable
          className="mt-1 w-full text-[14px]"
          rows={[windmill, assisted]}
          rowKey={(plan) => plan.kind}
          rowProps={(plan) => ({ className: plan.kind === better ? "font-semibold" : "" })}
          columns={[
            {
              name: "kind",
              head: <span className="sr-only">kind</span>,
              className: "[font-weight:inherit]",
              cell: (plan) => (plan.kind === "windmill" ? "windmilling" : `with ${helper}`),
            },
            { name: "speed", cell: (plan) => format("speed", plan.cas_mps) },
            {
              name: "attempts",
              cell: ({ kind, attempts }) => (
                <Figure
                  title="Attempts that fit"
                  figure={kind}
                  source={source}
                  className={attempts.length === 0 ? "text-brick" : ""}
                >
                  {attempts.length}
                </Figure>
              ),
            },
            {
              name: "first begins",
              cell: ({ attempts: [first] }) =>
                first ? `${Math.round(first.from.time_s)} s, ${format("height", first.from.altitude_m)}` : "–",
            },
            { name: "dive costs", cell: (plan) => format("height", plan.dive_m) },
            { name: "slowing is worth", cell: (plan) => format("height", plan.back_m) },
            { name: "chance", cell: (plan) => `${Math.round(plan.chance * 100)} %` },
            { name: "left over commit", cell: (plan) => format("height", plan.left_m) },
          ]}
        />
        {engines.count > 1 && stopped !== "both" && (
          <p className="text-[13px] text-ochre">
            One engine runs: the decision beside says what height it holds. The attempts here are counted as if both had
            stopped.
          </p>
        )}
        {[windmill, assisted].map(
          (plan) =>
            plan.why && (
              <p
                key={plan.kind}
                className="text-[13px] text-ink2"
              >{`${plan.kind === "windmill" ? "Windmilling" : `With ${helper}`}: ${plan.why}`}</p>
            ),
        )}
      </section>
    </div>
  );
}
