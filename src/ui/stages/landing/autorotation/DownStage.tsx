"use client";
import { MPS_PER_KT } from "@/core/quantities/constants";
import { formatNumber } from "@/core/quantities/units";
import { useRotorTrial, useDown } from "@/ui/answers/useRotorLanding";
import { ChoiceField } from "@/ui/kit/forms/ChoiceField";
import { SliderField } from "@/ui/kit/forms/SliderField";
import { Cautions } from "@/ui/kit/page/Cautions";
import { StageFrame } from "@/ui/kit/page/StageFrame";
import { StageView } from "@/ui/kit/page/StageTabs";
import { DownChart } from "./DownChart";
import { DataTable } from "@/ui/kit/tables/DataTable";
import { useFormat } from "@/ui/kit/units/units-store";
import { Figure } from "@/ui/kit/working/Figure";

const CAUTIONS = [
  "Estimate for planning and training. The flight manual’s autorotation charts and your instructor come first.",
  "The flare is an energy balance, a sketch: it says whether there is enough, not how it is flown.",
  "Ground effect, gusts and slopes are not in it. Land into the wind, on the level.",
];

/** Steady for less than this, s, it is not settled before the flare. Common practice. */
const LEAST_STEADY_S = 5;

/** A key of the way down. */
interface Key {
  readonly name: string;
  readonly height: string;
  readonly speed: string;
  readonly what: string;
}

/** Where does it come down without engines, and how is it flown? */
export function DownStage() {
  const { value, issue, stale } = useDown();
  return (
    <StageFrame
      label="Landing"
      question="Where do I come down without engines, and how?"
      view="down"
      onView={() => undefined}
      views={{ down: "Autorotation" }}
      viewsLabel="Views of the landing"
      refusal={issue && { title: "There is no way to compute.", text: issue.message }}
      aside={<DownAside />}
      narrow="middle"
      className="grid-rows-[auto_auto_minmax(0,1fr)] bg-sheet"
    >
      <Switches />
      <StageView value="down">
        {value ? (
          <div className="grid min-h-0 grid-rows-[minmax(0,1fr)_auto]" aria-busy={stale}>
            <DownChart />
            <div className="border-t border-rule px-4 py-2">
              <Keys />
            </div>
          </div>
        ) : (
          <p className="p-4 text-ink2">Computing …</p>
        )}
      </StageView>
    </StageFrame>
  );
}

function Switches() {
  const { asked, height_m } = useDown();
  const trial = useRotorTrial();
  const format = useFormat();
  return (
    <div className="grid grid-cols-4 items-end gap-x-5 border-b border-rule px-4 py-1.5">
      <SliderField
        label="Above the place"
        value={height_m}
        min={30}
        max={3000}
        step={30}
        shown={format("height", height_m)}
        onChange={(value) => trial.try({ height_m: value })}
      />
      <SliderField
        label={asked.headwind_mps >= 0 ? "Headwind" : "Tailwind"}
        value={asked.headwind_mps}
        min={-10}
        max={25}
        step={0.5}
        shown={format("speed", Math.abs(asked.headwind_mps))}
        onChange={(value) => trial.try({ headwind_mps: value })}
      />
      <SliderField
        label="They stop at"
        value={asked.tas_mps}
        min={30 * MPS_PER_KT}
        max={140 * MPS_PER_KT}
        step={1}
        shown={format("speed", asked.tas_mps)}
        onChange={(value) => trial.try({ tas_mps: value })}
      />
      <ChoiceField
        label="Steady at"
        value={asked.school}
        onChange={(school) => trial.try({ school })}
        choices={[
          { value: "best-range", label: "best range" },
          { value: "least-sink", label: "least sink" },
        ]}
      />
    </div>
  );
}

/** Entry, steady, flare and touchdown, with heights and speeds. */
function Keys() {
  const { value, height_m, asked } = useDown();
  const format = useFormat();
  if (!value) return null;
  const { steady } = value;
  const keys: Key[] = [
    {
      name: "Engines stop",
      height: format("height", height_m),
      speed: format("speed", value.entry_mps),
      what: `Collective down at once: after ${formatNumber(value.mayWait_s, 1)} s the rotor is at ${formatNumber(asked.aircraft.rotor.nrMinFlight * 100)} %, after 1 s at ${formatNumber(value.leastNr * 100)} %.`,
    },
    {
      name: "Steady",
      height: format("height", height_m - value.entry_m),
      speed: format("speed", steady.tas_mps),
      what: `Sinks ${format("verticalSpeed", steady.sink_mps)}; entry cost ${format("height", value.entry_m, "up")} and ${formatNumber(value.entry_s, 1)} s.`,
    },
    {
      name: "Flare",
      height: value.flare_m === null ? "above 150 ft" : format("height", value.flare_m, "up"),
      speed: format("speed", steady.tas_mps),
      what:
        value.flare_m === null
          ? "Speed and rotor hold too little for this mass: more speed before the flare."
          : "Sketch: speed, sink and rotor give what slowing down takes from here.",
    },
    {
      name: "Touchdown",
      height: format("height", 0),
      speed: format("speed", value.touchdown_mps),
      what: `Level, with ${format("verticalSpeed", value.gentle_mps)} or less, the rotor not below ${formatNumber(asked.aircraft.rotor.nrMinTouchdown * 100)} %.`,
    },
  ];
  return (
    <DataTable
      label="Keys of the way down"
      className="w-full text-[15px]"
      rows={keys}
      rowKey={({ name }) => name}
      columns={[
        { name: "key", cell: ({ name }) => <strong>{name}</strong> },
        { name: "height", cell: ({ height }) => height },
        { name: "airspeed", cell: ({ speed }) => speed },
        { name: "what", kind: "words", cell: ({ what }) => what },
      ]}
    />
  );
}

function DownAside() {
  const { value, asked, height_m } = useDown();
  const format = useFormat();
  if (!value) return <aside className="border-l border-rule" aria-label="Decision" />;
  const reach_m = Math.max(
    (height_m - value.entry_m - (value.flare_m ?? 0)) * value.groundRatio + value.entryGround_m,
    0,
  );
  const time_s = Math.max(height_m - value.entry_m, 0) / value.steady.sink_mps;
  const { school, tas_mps: _tas, ...question } = asked;
  const low = height_m < value.entry_m + (value.flare_m ?? 46) + LEAST_STEADY_S * value.steady.sink_mps;
  return (
    <aside className="flex min-h-0 flex-col overflow-auto border-l border-rule" aria-label="Decision">
      <section className="px-4 py-3" aria-label="Decision">
        <p className={low ? "text-brick" : ""}>
          <strong className="block text-[20px] leading-6">
            {low
              ? "Too low for a steady autorotation."
              : `Collective down, ${format("speed", value.steady.tas_mps)}, into the wind.`}
          </strong>{" "}
          {low
            ? "Between entry and flare nothing is left to settle in: use what speed there is to cushion the touchdown."
            : `About ${formatNumber(time_s)} s and ${format("distance", reach_m)} of ground ${school === "least-sink" ? "at least sink" : "at best range"} until the flare.`}
        </p>
      </section>
      <dl className="grid grid-cols-[1fr_auto] gap-y-1 border-t border-rule px-4 py-3 text-[15px] [&>dd]:text-right [&>dt]:text-ink2">
        <dt>Sink</dt>
        <dd>
          <Figure
            title="Sink in autorotation"
            figure="autorotation"
            source={{ calculation: { name: "autorotation", input: question } }}
          >
            {format("verticalSpeed", value.steady.sink_mps)}
          </Figure>
        </dd>
        <dt>Over the ground</dt>
        <dd className="num">{value.groundRatio > 0 ? `${formatNumber(value.groundRatio, 1)}:1` : "no way made"}</dd>
        <dt>Through the air</dt>
        <dd className="num">{formatNumber(value.steady.ratio, 1)}:1</dd>
      </dl>
      <section className="border-t border-rule px-4 py-2" aria-label="Onto water">
        <h2 className="font-bold">Onto water</h2>
        <p className="text-[14px]">
          {asked.aircraft.handbook.floats ?? "The aircraft document says nothing of floats: look into the manual."}
        </p>
      </section>
      <div className="mt-auto">
        <Cautions texts={CAUTIONS} />
      </div>
    </aside>
  );
}
