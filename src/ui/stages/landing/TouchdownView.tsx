"use client";
import { type TouchdownOption, secureList } from "@/core/landing/touchdown";
import { formatNumber } from "@/core/quantities/units";
import { useAeroplane } from "@/ui/situation/useAircraftOfKind";
import { CheckField } from "@/ui/kit/forms/CheckField";
import { SliderField } from "@/ui/kit/forms/SliderField";
import { useFormat } from "@/ui/kit/units/units-store";
import { Figure } from "@/ui/kit/working/Figure";
import type { WorkingSource } from "@/ui/kit/working/working-store";
import { shownEnd, useReach } from "@/ui/answers/reach-store";
import { useLandingPlan } from "./useLandingPlan";
import { useTouchdown } from "./useTouchdown";
import { DataTable } from "@/ui/kit/tables/DataTable";

/** Widest bar of the energy drawing stands for this ratio. */
const WIDEST = 2.4;
const G_WORDS: Record<string, string> = {
  "0.1": "coasting on grass",
  "0.25": "braked on a hard runway",
  "0.5": "braked hard, or soft ground",
  "1": "crops, a soft field",
  "3": "hedge, small trees: wings take it",
  "9": "what restraints are made for",
};
const GEAR_WORDS = { down: "Gear down", up: "Gear up", fixed: "Fixed gear" } as const;

/** Energy against speed and wind, the length it stops in, gear up or down, and what is made safe by which height. */
export function TouchdownView() {
  const { question, answer } = useTouchdown();
  const [plan, set] = useLandingPlan();
  const { document } = useAeroplane();
  const end = useReach(shownEnd);
  const format = useFormat();
  if (!answer.ok)
    return (
      <p role="alert" className="bg-sheet p-4 text-brick">
        {answer.issue.message}
      </p>
    );
  const { groundSpeed_mps, touchdownEas_mps, energy_J, cases, stops, needed_g, slide, gear } = answer.value;
  const source = { calculation: { name: "touchdown", input: question } };
  return (
    <div className="min-h-0 overflow-auto bg-sheet px-4 py-3" tabIndex={0} role="region" aria-label="Touchdown">
      <div className="grid grid-cols-[minmax(0,1fr)_240px] items-end gap-6">
        <p>
          <strong className="text-[22px] leading-7">
            <Figure title="Touchdown over the ground" figure="speed" source={source}>
              {format("speed", groundSpeed_mps)}
            </Figure>{" "}
            over the ground
          </strong>
          , {format("speed", touchdownEas_mps)} through the air{end ? ` at ${end.name}` : ""};{" "}
          <Figure title="Energy" figure="energy" source={source}>
            {formatNumber(energy_J / 1000)} kJ
          </Figure>
          .{" "}
          {needed_g !== null && (
            <>
              The length after the aim point asks for{" "}
              <Figure title="Load that the length asks for" figure="needed" source={source}>
                {formatNumber(needed_g, 2)} g
              </Figure>{" "}
              on average.
            </>
          )}
        </p>
        <SliderField
          label="Mean deceleration"
          value={plan.stopping}
          min={0.05}
          max={1}
          step={0.05}
          shown={`${formatNumber(plan.stopping, 2)} g`}
          onChange={(stopping) => set({ stopping })}
        />
      </div>
      <div className="mt-3 grid grid-cols-2 gap-6 max-[1150px]:grid-cols-1">
        <section aria-label="Energy compared">
          <h2 className="font-bold">Energy against the plan</h2>
          <DataTable
            className="mt-1 w-full text-[14px]"
            rows={cases}
            rowKey={(entry) => entry.name}
            columns={[
              { name: "touchdown", className: "whitespace-nowrap", cell: (entry) => entry.name },
              { name: "ground speed", cell: (entry) => format("speed", entry.groundSpeed_mps) },
              {
                name: "energy",
                kind: "words",
                className: "w-[46%]",
                cell: (entry) => <Energy entry={entry} source={source} />,
              },
              { name: "stops in", cell: (entry) => format("length", entry.stop_m) },
            ]}
          />
        </section>
        <section aria-label="Stopping">
          <h2 className="font-bold">Stopping from {format("speed", groundSpeed_mps)}</h2>
          <DataTable
            className="mt-1 w-full text-[14px]"
            rows={stops}
            rowKey={(stop) => stop.g}
            columns={[
              { name: "mean load", cell: (stop) => <span className="num">{stop.g} g</span> },
              {
                name: "in",
                cell: ({ g, distance_m }) => (
                  <Figure title={`Stop at ${g} g`} figure={`stop ${g}`} source={source}>
                    {distance_m < 20 ? `${formatNumber(distance_m, 1)} m` : format("length", distance_m)}
                  </Figure>
                ),
              },
              { name: "time", cell: ({ time_s }) => `${formatNumber(time_s, time_s < 2 ? 1 : 0)} s` },
              {
                name: "about",
                kind: "words",
                cell: (stop) => G_WORDS[String(stop.g)],
                tone: () => "text-[13px] text-ink2",
              },
            ]}
          />
        </section>
      </div>
      {gear.flown !== "fixed" && (
        <CheckField
          label="Wheels up on touching down"
          checked={plan.wheelsUp}
          onChange={(wheelsUp) => set({ wheelsUp })}
        />
      )}
      <p className="mt-1">
        <strong className={gear.flown === gear.gear ? "" : "text-ochre"}>
          {gear.flown === gear.gear
            ? `${GEAR_WORDS[gear.gear]}.`
            : `${GEAR_WORDS[gear.flown]} as chosen; ${GEAR_WORDS[gear.gear].toLowerCase()} is advised here.`}
        </strong>{" "}
        {gear.why}
        {slide && (
          <>
            {" "}
            On its belly it slides about{" "}
            <Figure title="Slide on the belly" figure="slide" source={source}>
              {format("length", slide.distance_m)}
            </Figure>{" "}
            in {formatNumber(slide.time_s)} s.
          </>
        )}{" "}
        <span className="text-ink2">The flight manual’s own rule comes first.</span>
      </p>
      <section className="mt-3" aria-label="Secure before touchdown">
        <h2 className="font-bold">Made safe by height over the ground</h2>
        <DataTable
          className="mt-1 w-full text-[14px]"
          rows={secureList(document)}
          rowKey={(item) => item.what}
          rowProps={() => ({ className: "align-top" })}
          columns={[
            {
              name: "by",
              tone: () => "num whitespace-nowrap",
              cell: ({ by_m }) => (by_m === null ? "at once" : format("height", by_m)),
            },
            { name: "what", kind: "words", cell: (item) => item.what },
            { name: "because", kind: "words", cell: (item) => item.why, tone: () => "text-[13px] text-ink2" },
          ]}
        />
      </section>
    </div>
  );
}

/** Energy as a bar over that of the slowest touchdown. */
function Energy({ entry, source }: { entry: TouchdownOption; source: WorkingSource }) {
  return (
    <span className="flex items-center gap-2">
      <span
        aria-hidden="true"
        className="h-3 border border-ink2"
        style={{
          width: `${(60 * Math.min(entry.ratio, WIDEST)) / WIDEST}%`,
          background: entry.ratio > 1.02 ? "var(--clay)" : "var(--sage)",
        }}
      />
      <Figure title={`Energy, ${entry.name}`} figure={entry.name} source={source}>
        ×{formatNumber(entry.ratio, 2)}
      </Figure>
    </span>
  );
}
