"use client";
import { useCallback, useMemo } from "react";
import { type LossPlan } from "@/core/landing/lose-height";
import { LoseQuestion } from "@/core/landing/lose-question";
import { fromSi, unitOf } from "@/core/quantities/units";
import { LandingPlan, type LossAction } from "@/core/situation/landing-plan";
import { Chart } from "@/ui/kit/charts/Chart";
import type { ChartInk } from "@/ui/kit/charts/chart-ink";
import { CheckField } from "@/ui/kit/forms/CheckField";
import { QuantityField } from "@/ui/kit/forms/QuantityField";
import { checkBy } from "@/ui/kit/forms/fault";
import { useFormat, useUnits } from "@/ui/kit/units/units-store";
import { Figure } from "@/ui/kit/working/Figure";
import { useCircuit } from "./circuit-store";
import { useLandingPlan } from "./useLandingPlan";
import type { LoseAsked } from "./useLoseAsked";
import { DataTable } from "@/ui/kit/tables/DataTable";
import type { LossStep } from "@/core/landing/lose-height";
import type { Format } from "@/ui/kit/units/units-store";

const heightCheck = checkBy(LoseQuestion.shape.height_m);
const loseCheck = checkBy(LoseQuestion.shape.lose_m);
const floorCheck = checkBy(LandingPlan.shape.turnFloor_m);
const certainCheck = checkBy(LandingPlan.shape.certain_m);

/** Every way to lose height with its feet and seconds, which of them may be used, and the plan. */
export function LoseView({ question, plan: answer }: LoseAsked) {
  const { set } = useCircuit();
  const [plan, change] = useLandingPlan();
  const format = useFormat();
  const toggle = (action: LossAction) =>
    change({
      allowed: plan.allowed.includes(action)
        ? plan.allowed.filter((other) => other !== action)
        : [...plan.allowed, action],
    });
  const source = { calculation: { name: "lose-height", input: question } };
  return (
    <div className="min-h-0 overflow-auto bg-sheet px-4 py-3" tabIndex={0} role="region" aria-label="Height to lose">
      <div className="mb-3 grid grid-cols-4 items-end gap-3 max-[1150px]:grid-cols-2">
        <QuantityField
          label="Height over the aim point"
          kind="height"
          value={question.height_m}
          step={50}
          check={heightCheck}
          onChange={(height_m) => set({ lose: { height_m, lose_m: Math.min(question.lose_m, height_m - 1) } })}
        />
        <QuantityField
          label="Too much by"
          kind="height"
          value={question.lose_m}
          step={50}
          check={loseCheck}
          onChange={(lose_m) => set({ lose: { height_m: question.height_m, lose_m } })}
        />
        <QuantityField
          label="Full turns end above"
          kind="height"
          value={plan.turnFloor_m}
          step={100}
          check={floorCheck}
          onChange={(turnFloor_m) => change({ turnFloor_m })}
        />
        <QuantityField
          label="Certain below"
          kind="height"
          value={plan.certain_m}
          step={50}
          check={certainCheck}
          onChange={(certain_m) => change({ certain_m })}
        />
      </div>
      {!answer.ok ? (
        <p role="alert" className="text-brick">
          {answer.issue.message}
        </p>
      ) : (
        <>
          <DataTable
            label="What can be used and what each loses alone"
            rows={answer.value.options}
            rowKey={(option) => option.name}
            columns={[
              {
                name: "use",
                cell: (option) => (
                  <CheckField
                    label={option.name}
                    checked={plan.allowed.includes(option.action)}
                    onChange={() => toggle(option.action)}
                  />
                ),
              },
              {
                name: "alone loses",
                cell: (option) => (
                  <Figure title={`${option.name} alone`} figure={option.name} source={source}>
                    {format("height", option.height_m)}
                  </Figure>
                ),
              },
              { name: "in", cell: (option) => `${Math.round(option.time_s)} s` },
              {
                name: "not faster than",
                cell: ({ limit_mps }) => (limit_mps === null ? "–" : format("speed", limit_mps)),
              },
              {
                name: "in the plan",
                kind: "words",
                className: "pl-4",
                cell: ({ name, refused }) => refused ?? inThePlan(answer.value.steps, name, format),
                tone: ({ name, refused }) =>
                  `text-[13px] ${refused ? "text-brick" : answer.value.steps.some((step) => step.name === name) ? "text-pine" : "text-ink2"}`,
              },
            ]}
          />
          <PlanChart plan={answer.value} question={question} />
          <ol className="mt-1 list-decimal pl-5 text-[14px]" aria-label="The plan in order">
            {answer.value.steps.map((step, i) => (
              <li key={i}>
                <strong>{step.name}</strong>{" "}
                {step.to_m > 0
                  ? `from ${format("height", step.from_m)} down to ${format("height", step.to_m)}, ${Math.round(step.time_s)} s`
                  : `from ${format("height", step.from_m)}, ${format("distance", step.ground_m)} before the aim point, and left so`}
                : loses {format("height", step.loses_m)}.
              </li>
            ))}
            {answer.value.steps.length === 0 && (
              <li className="list-none text-ink2">
                {question.lose_m > 0 ? "Nothing that is allowed loses height here." : "There is nothing to lose."}
              </li>
            )}
          </ol>
        </>
      )}
    </div>
  );
}

/** Height over the ground left: the glide as flown, and the plan. */
function PlanChart({ plan, question }: { plan: LossPlan; question: LoseQuestion }) {
  const units = useUnits((state) => state.units);
  const format = useFormat();
  const line = useMemo(() => planLine(plan, question.height_m), [plan, question.height_m]);
  const option = useCallback(
    (ink: ChartInk) => {
      const point = (point: { x_m: number; h_m: number }) => [
        fromSi("distance", units.distance, point.x_m),
        fromSi("height", units.height, point.h_m),
      ];
      return {
        grid: { left: 60, right: 16, top: 26, bottom: 40 },
        tooltip: { ...ink.tooltip, trigger: "axis" },
        xAxis: {
          ...ink.axis(`ground before the aim point, ${unitOf("distance", units.distance).label}`),
          nameLocation: "middle",
          nameGap: 26,
          inverse: true,
          min: 0,
        },
        yAxis: {
          ...ink.axis(unitOf("height", units.height).label),
          position: "left",
          axisLine: { onZero: false },
          min: 0,
        },
        series: [
          {
            name: "glide as flown, from where it just arrives",
            type: "line",
            showSymbol: false,
            lineStyle: { color: ink.of("ink2"), type: [5, 4], width: 1.4 },
            itemStyle: { color: ink.of("ink2") },
            data: [
              point({ x_m: plan.distance_m, h_m: question.height_m - question.lose_m }),
              point({ x_m: 0, h_m: 0 }),
            ],
          },
          {
            name: "the plan",
            type: "line",
            showSymbol: true,
            symbolSize: 6,
            lineStyle: { color: ink.of("harbour"), width: 2.6 },
            itemStyle: { color: ink.of("harbour") },
            data: line.map(point),
          },
        ],
      };
    },
    [plan, question.height_m, question.lose_m, line, units],
  );
  return (
    <Chart
      label="Height on the way in"
      className="mt-2 h-[210px]"
      option={option}
      table={
        <table className="w-full text-right text-[13px]">
          <thead className="text-ink2">
            <tr>
              <th className="font-normal">ground left</th>
              <th className="font-normal">height</th>
            </tr>
          </thead>
          <tbody className="num">
            {line.map((point, i) => (
              <tr key={i}>
                <td>{format("distance", point.x_m)}</td>
                <td>{format("height", point.h_m)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      }
    />
  );
}

/** Corners of the plan's way down, from the beginning to the aim point. */
function planLine(plan: LossPlan, height_m: number): { x_m: number; h_m: number }[] {
  const points = [{ x_m: plan.distance_m, h_m: height_m }];
  let x_m = plan.distance_m;
  for (const step of plan.steps.filter((candidate) => candidate.to_m > 0)) {
    x_m -= step.ground_m;
    points.push({ x_m: Math.max(x_m, 0), h_m: step.to_m });
  }
  const stacked = plan.steps.filter((step) => step.to_m <= 0).sort((a, b) => b.ground_m - a.ground_m);
  for (const step of stacked)
    if (step.ground_m < x_m - 1) points.push({ x_m: step.ground_m, h_m: step.from_m + plan.left_m });
  points.push({ x_m: 0, h_m: plan.left_m });
  return points;
}

/** What of the plan is done by one means. */
function inThePlan(steps: readonly LossStep[], name: string, format: Format): string {
  const own = steps.filter((step) => step.name === name);
  if (own.length === 0) return "not needed";
  const loses_m = own.reduce((sum, step) => sum + step.loses_m, 0);
  return `${own.length > 1 ? `${own.length} times, ` : ""}${format("height", loses_m)}`;
}
