"use client";
import { phaseOf, phaseRows } from "./phase-rows";
import type { GoFailure } from "@/core/take-off/phases";
import { SliderField } from "@/ui/kit/forms/SliderField";
import { useFormat } from "@/ui/kit/units/units-store";
import { Figure } from "@/ui/kit/working/Figure";
import type { TakeOffAnswer } from "@/core/take-off/take-off-answer";
import { useTakeOff } from "@/ui/answers/take-off-store";
import { DataTable } from "@/ui/kit/tables/DataTable";

/** What a failure at a height comes to. */
const FAILS: Record<GoFailure | "none", string> = {
  none: " and climbs away",
  climb: " and does not climb away",
  sinks: " and sinks back to the ground",
  obstacle: " and is not clear of what stands ahead",
  control: ", below V_MCA: nose down at once",
  stall: ", below the stall: nose down at once",
};

/** What to do by phase, with the boundaries computed; and the failure that the profile shows. */
export function PhaseTable({ answer }: { answer: TakeOffAnswer }) {
  const shown = useTakeOff((state) => state.shown);
  const set = useTakeOff((state) => state.set);
  const format = useFormat();
  const { accelerate, phases, jet, question } = answer;
  const source = { calculation: { name: "accelerate", input: question } };
  const failure = shown < 0 ? null : phases.failures[shown];
  const here = failure ? phaseOf(failure, phases.advisedFrom_m, jet) : "stop";
  const rows = phaseRows(answer, format);
  return (
    <section className="border-t border-rule px-4 py-2" aria-label="By phase">
      <DataTable
        label="What to do when an engine stops, by phase"
        headClassName="sr-only"
        rows={rows.filter((row) => row.shown)}
        rowKey={(row) => row.key}
        rowProps={(row) => ({ className: `first:border-t-0 ${row.key === here ? "bg-mark" : ""}` })}
        columns={[
          {
            name: "phase",
            className: "w-[40%] border-l-4 pl-2",
            tone: (row) => `!font-semibold ${row.key === here ? "border-l-harbour" : "border-l-transparent"}`,
            cell: (row) => (
              <>
                {row.phase}
                {row.key === here && <span className="sr-only"> (the failure that is looked at)</span>}
              </>
            ),
          },
          {
            name: "what to do",
            kind: "words",
            className: "py-1",
            tone: (row) => (row.bad ? "text-brick" : ""),
            cell: (row) => (
              <Figure title={row.phase} figure={row.figure} source={source} className="text-left font-sans">
                {row.act}
              </Figure>
            ),
          },
        ]}
      />
      <div className="mt-1 grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)] items-center gap-5">
        <SliderField
          label="Engine stops"
          value={shown}
          min={-1}
          max={phases.failures.length - 1}
          step={1}
          shown={
            failure
              ? `at ${format("height", failure.height_m)}, ${format("speed", failure.at.eas_mps)}`
              : `on the runway, ${format("speed", accelerate.failure_mps)}`
          }
          onChange={(value) => set({ shown: value })}
        />
        <p className="text-[13px] text-ink2">
          {failure
            ? `${failure.landSpare_m >= 0 ? `Landing straight on leaves ${format("length", failure.landSpare_m)}` : `Landing straight on is ${format("length", -failure.landSpare_m)} too long`}; going on it is slowest at ${format("speed", failure.slowest_mps)}${FAILS[failure.fails ?? "none"]}.`
            : accelerate.goX_m === null
              ? `Going on from there it does not come to ${jet ? "35" : "50"} ft.`
              : `Going on from there it passes ${jet ? "35" : "50"} ft after ${format("length", accelerate.goX_m)}.`}
        </p>
      </div>
    </section>
  );
}
