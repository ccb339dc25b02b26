"use client";
import { type TouchdownCase, secureList } from "@/core/landing/touchdown";
import { formatNumber } from "@/core/quantities/units";
import { useAircraft } from "@/ui/situation/useAircraft";
import { CheckField } from "@/ui/kit/forms/CheckField";
import { SliderField } from "@/ui/kit/forms/SliderField";
import { useFormat } from "@/ui/kit/units/units-store";
import { Figure } from "@/ui/kit/working/Figure";
import { shownEnd, useReach } from "@/ui/answers/reach-store";
import { useLandingPlan } from "./useLandingPlan";
import { useTouchdown } from "./useTouchdown";

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
  const { document } = useAircraft();
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
          <table className="mt-1 w-full text-right text-[14px]">
            <thead className="text-[13px] text-ink2">
              <tr>
                <th className="text-left font-normal">touchdown</th>
                <th className="px-2 font-normal">ground speed</th>
                <th className="px-2 text-left font-normal">energy</th>
                <th className="font-normal">stops in</th>
              </tr>
            </thead>
            <tbody>
              {cases.map((entry) => (
                <EnergyRow key={entry.name} entry={entry} source={source} />
              ))}
            </tbody>
          </table>
        </section>
        <section aria-label="Stopping">
          <h2 className="font-bold">Stopping from {format("speed", groundSpeed_mps)}</h2>
          <table className="mt-1 w-full text-right text-[14px]">
            <thead className="text-[13px] text-ink2">
              <tr>
                <th className="text-left font-normal">mean load</th>
                <th className="px-2 font-normal">in</th>
                <th className="px-2 font-normal">time</th>
                <th className="pl-3 text-left font-normal">about</th>
              </tr>
            </thead>
            <tbody>
              {stops.map((stop) => (
                <tr key={stop.g} className="border-t border-rule">
                  <th className="num py-0.5 text-left font-normal">{stop.g} g</th>
                  <td className="px-2 whitespace-nowrap">
                    <Figure title={`Stop at ${stop.g} g`} figure={`stop ${stop.g}`} source={source}>
                      {stop.distance_m < 20
                        ? `${formatNumber(stop.distance_m, 1)} m`
                        : format("length", stop.distance_m)}
                    </Figure>
                  </td>
                  <td className="num px-2 whitespace-nowrap">{formatNumber(stop.time_s, stop.time_s < 2 ? 1 : 0)} s</td>
                  <td className="pl-3 text-left text-[13px] text-ink2">{G_WORDS[String(stop.g)]}</td>
                </tr>
              ))}
            </tbody>
          </table>
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
        <table className="mt-1 w-full text-left text-[14px]">
          <thead className="text-[13px] text-ink2">
            <tr>
              <th className="font-normal">by</th>
              <th className="px-3 font-normal">what</th>
              <th className="font-normal">because</th>
            </tr>
          </thead>
          <tbody>
            {secureList(document).map((item) => (
              <tr key={item.what} className="border-t border-rule align-top">
                <td className="num py-0.5 whitespace-nowrap">
                  {item.by_m === null ? "at once" : format("height", item.by_m)}
                </td>
                <td className="px-3 py-0.5">{item.what}</td>
                <td className="py-0.5 text-[13px] text-ink2">{item.why}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </section>
    </div>
  );
}

function EnergyRow({
  entry,
  source,
}: {
  entry: TouchdownCase;
  source: { calculation: { name: string; input: unknown } };
}) {
  const format = useFormat();
  return (
    <tr className="border-t border-rule">
      <th className="py-0.5 text-left font-normal whitespace-nowrap">{entry.name}</th>
      <td className="num px-2 whitespace-nowrap">{format("speed", entry.groundSpeed_mps)}</td>
      <td className="w-[46%] px-2 text-left">
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
      </td>
      <td className="num whitespace-nowrap">{format("length", entry.stop_m)}</td>
    </tr>
  );
}
