"use client";
import { useState } from "react";
import { degrees } from "@/core/quantities/angle";
import { formatNumber } from "@/core/quantities/units";
import { LEAST_LOAD } from "@/core/rotor/gyro-recovery";
import type { SpotWay } from "@/core/rotor/gyro-spot";
import { useRotorTrial, useSpot } from "@/ui/answers/useRotorLanding";
import { useRotorLooked } from "@/ui/answers/useRotorReach";
import { SliderField } from "@/ui/kit/forms/SliderField";
import { HeightLedger } from "@/ui/kit/ledger/HeightLedger";
import { useHeight } from "@/ui/kit/ledger/useHeight";
import { DecisionAside } from "@/ui/kit/page/DecisionAside";
import { DataTable } from "@/ui/kit/tables/DataTable";
import { useFormat } from "@/ui/kit/units/units-store";
import { Figure } from "@/ui/kit/working/Figure";
import { SpotChart } from "./SpotChart";
import { spotDecision, spotLedger, verdictWords, wayName } from "./spot-words";

const CAUTIONS = [
  "Estimate for planning and training. The manual and your instructor come first.",
  "A push unloads the rotor. It is bounded here so that the rotor carries at least half of the weight; never push harder to save height.",
  "Over flat ground and in a steady wind: gusts, trees and the wind’s shadow are not in it.",
];
const ERROR_WORDS = {
  wind: "5 kt more or less wind",
  sink: "10 % more or less sink",
  late: "half a second late on the last turn",
};

/** The way that is looked at: the one picked, otherwise the first. */
function useChosen(): number {
  const { value } = useSpot();
  const pinned = useRotorLooked((state) => state.pinnedWay);
  const format = useFormat();
  return Math.max(value?.ways.findIndex((way) => wayName(way, format) === pinned) ?? 0, 0);
}

/** To a spot with speed for the flare: ways, and what speed costs. */
export function SpotView() {
  const { value, stale, asked } = useSpot();
  const pin = useRotorLooked((state) => state.pinWay);
  const chosen = useChosen();
  const format = useFormat();
  const ways = value?.ways ?? [];
  const keyOf = (i: number) => (ways[i] ? wayName(ways[i], format) : "");
  return (
    <div className="grid min-h-0 grid-rows-[auto_minmax(0,1fr)]">
      <div className="border-b border-rule px-4 py-1.5">
        <SpotSwitches />
      </div>
      {value ? (
        <div className="grid min-h-0 grid-rows-[minmax(0,1fr)_auto]" aria-busy={stale}>
          <SpotChart ways={ways} position={asked.position} chosen={chosen} />
          <div className="grid grid-cols-[minmax(0,1.25fr)_minmax(0,1fr)] gap-6 border-t border-rule px-4 py-2">
            <DataTable
              label="Ways to the spot"
              className="w-full self-start text-[14px]"
              rows={ways}
              rowKey={(_, i) => keyOf(i)}
              columns={[
                {
                  name: "way",
                  cell: (_, i) => (
                    <button
                      type="button"
                      className={`text-left underline-offset-2 hover:underline ${i === chosen ? "font-semibold" : ""}`}
                      aria-pressed={i === chosen}
                      onClick={() => pin(keyOf(i ?? 0))}
                    >
                      {keyOf(i ?? 0)}
                    </button>
                  ),
                },
                {
                  name: "comes out",
                  kind: "words",
                  tone: ({ verdict }) =>
                    verdict === "works" ? "text-pine" : verdict === "under-floor" ? "text-ochre" : "text-brick",
                  cell: (way) => verdictWords(way, format),
                },
                {
                  name: "push at",
                  cell: ({ pushAt_m }) => (pushAt_m === null ? "–" : format("height", pushAt_m, "up")),
                },
              ]}
            />
            <DataTable
              caption={`Height to get to ${format("speed", value.flare_mps)} for the flare, and how light the rotor gets`}
              className="w-full self-start text-[14px]"
              rows={value.recoveries}
              rowKey={({ from_mps }) => from_mps}
              columns={[
                { name: "from", kind: "figure", cell: ({ from_mps }) => format("speed", from_mps) },
                {
                  name: "takes",
                  cell: ({ from_mps, height_m }) => (
                    <Figure
                      title="Height to get speed back"
                      figure="recovery"
                      source={{ calculation: { name: "gyro-recovery", input: { ...asked.question, from_mps } } }}
                    >
                      {format("height", height_m, "up")}
                    </Figure>
                  ),
                },
                {
                  name: "rotor carries",
                  tone: ({ leastLoad }) => (leastLoad < LEAST_LOAD + 0.02 ? "text-ochre" : ""),
                  cell: ({ leastLoad }) => `${formatNumber(leastLoad * 100)} %`,
                },
              ]}
            />
          </div>
        </div>
      ) : (
        <p className="p-4 text-ink2">Computing …</p>
      )}
    </div>
  );
}

function SpotSwitches() {
  const { asked } = useSpot();
  const trial = useRotorTrial();
  const format = useFormat();
  const { height_m, ahead_m, headwind_mps } = asked.position;
  return (
    <div className="grid grid-cols-3 items-end gap-x-6">
      <SliderField
        label="Above the spot"
        value={height_m}
        min={0}
        max={Math.max(1500, height_m)}
        step={15}
        shown={format("height", height_m)}
        onChange={(value) => trial.try({ height_m: value })}
      />
      <SliderField
        label={ahead_m >= 0 ? "Spot ahead" : "Spot behind"}
        value={ahead_m}
        min={-900}
        max={3000}
        step={25}
        shown={format("length", Math.abs(ahead_m))}
        onChange={(value) => trial.try({ ahead_m: value })}
      />
      <SliderField
        label={headwind_mps >= 0 ? "Headwind" : "Tailwind"}
        value={headwind_mps}
        min={-5}
        max={Math.max(23, headwind_mps)}
        step={0.5}
        shown={format("speed", Math.abs(headwind_mps))}
        onChange={(value) => trial.try({ headwind_mps: value })}
      />
    </div>
  );
}

/** The decision, what the way spends, what moves the spot. */
export function SpotAside() {
  const { value } = useSpot();
  const chosen = useChosen();
  const format = useFormat();
  if (!value) return <DecisionAside said={null} good cautions={[]} />;
  const said = spotDecision(value.ways, format);
  const way = value.ways[chosen];
  return (
    <DecisionAside said={said} good={said.works} cautions={CAUTIONS}>
      {way && <SpotLedger way={way} />}
      <section className="border-t border-rule px-4 py-2" aria-label="What moves the spot">
        <h2 className="font-bold">What moves the spot</h2>
        <dl className="grid grid-cols-[1fr_auto] text-[14px] [&>dd]:text-right [&>dt]:text-ink2">
          {value.errors.map(({ name, ground_m }) => (
            <div key={name} className="contents [&>dd]:text-right [&>dt]:text-ink2">
              <dt>{ERROR_WORDS[name]}</dt>
              <dd className="num">±{format("length", ground_m)}</dd>
            </div>
          ))}
          <dt className="font-semibold !text-ink">Together</dt>
          <dd className="num font-semibold">±{format("length", value.together_m, "up")}</dd>
        </dl>
        <p className="text-[13px] text-ink2">
          Best glide in this wind: {format("speed", value.best.tas_mps)}, rotor{" "}
          {formatNumber((degrees(value.best.rotor_radps) * 60) / 360)} rpm.
        </p>
      </section>
    </DecisionAside>
  );
}

/** What the way spends; the column is as high as there is room. */
function SpotLedger({ way }: { way: SpotWay }) {
  const { asked } = useSpot();
  const format = useFormat();
  const [pointed, point] = useState<number | null>(null);
  const [box, height] = useHeight();
  const { height_m, headwind_mps } = asked.position;
  return (
    <div ref={box} className="min-h-[230px] flex-1 border-t border-rule px-2 py-1">
      <HeightLedger
        name={wayName(way, format)}
        have_m={height_m}
        over="the spot"
        ledger={spotLedger(way)}
        margin_m={way.margin_m}
        ground="spot"
        source={{ calculation: { name: "gyro-glide", input: { ...asked.question, headwind_mps } } }}
        pointed={pointed}
        onPoint={point}
        height={Math.max(height, 220)}
      />
    </div>
  );
}
