"use client";
import { MPS_PER_KT } from "@/core/quantities/constants";
import { formatNumber } from "@/core/quantities/units";
import { useRotorTrial, useDown } from "@/ui/answers/useRotorLanding";
import { ChoiceField } from "@/ui/kit/forms/ChoiceField";
import { SliderField } from "@/ui/kit/forms/SliderField";
import { AsideFigures, DecisionAside } from "@/ui/kit/page/DecisionAside";
import { DownChart } from "./DownChart";
import { downDecision, keyWords } from "./down-words";
import { DataTable } from "@/ui/kit/tables/DataTable";
import { useFormat } from "@/ui/kit/units/units-store";
import { Figure } from "@/ui/kit/working/Figure";

const CAUTIONS = [
  "Estimate for planning and training. The flight manual’s autorotation charts and your instructor come first.",
  "The flare is an energy balance, a sketch: it says whether there is enough, not how it is flown.",
  "Ground effect, gusts and slopes are not in it. Land into the wind, on the level.",
];

/** What sliders reach, as long as the situation is not beyond it. */
const [HIGHEST_M, STRONGEST_MPS] = [3000, 25];

/** Down without engines: the profile and its keys. */
export function DownView() {
  const { value, stale } = useDown();
  return (
    <div className="grid min-h-0 grid-rows-[auto_minmax(0,1fr)]">
      <div className="border-b border-rule px-4 py-1.5">
        <Switches />
      </div>
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
    </div>
  );
}

function Switches() {
  const { asked } = useDown();
  const trial = useRotorTrial();
  const format = useFormat();
  return (
    <div className="grid grid-cols-4 items-end gap-x-5">
      <SliderField
        label="Above the place"
        value={asked.height_m}
        min={0}
        max={Math.max(HIGHEST_M, asked.height_m)}
        step={15}
        shown={format("height", asked.height_m)}
        onChange={(value) => trial.try({ height_m: value })}
      />
      <SliderField
        label={asked.headwind_mps >= 0 ? "Headwind" : "Tailwind"}
        value={asked.headwind_mps}
        min={-10}
        max={Math.max(STRONGEST_MPS, asked.headwind_mps)}
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
  const { value, asked } = useDown();
  const format = useFormat();
  if (!value) return null;
  return (
    <DataTable
      label="Keys of the way down"
      className="w-full text-[15px]"
      rows={value.way.keys}
      rowKey={({ name }) => name}
      columns={[
        { name: "key", cell: ({ name }) => <strong>{name}</strong> },
        { name: "height", cell: ({ height_m }) => format("height", height_m) },
        { name: "airspeed", cell: ({ tas_mps }) => format("speed", tas_mps) },
        { name: "what", kind: "words", cell: ({ name }) => keyWords(name, value.landing, asked.aircraft, format) },
      ]}
    />
  );
}

/** The decision and what it rests on. */
export function DownAside() {
  const { value, asked } = useDown();
  const format = useFormat();
  if (!value) return <DecisionAside said={null} good cautions={[]} />;
  const { landing, way } = value;
  const { school: _school, tas_mps: _tas, height_m: _height, ...question } = asked;
  return (
    <DecisionAside said={downDecision(value, format)} good={way.settled} cautions={CAUTIONS}>
      <AsideFigures>
        <dt>Sink</dt>
        <dd>
          <Figure
            title="Sink in autorotation"
            figure="autorotation"
            source={{ calculation: { name: "autorotation", input: question } }}
          >
            {format("verticalSpeed", landing.steady.sink_mps)}
          </Figure>
        </dd>
        <dt>Over the ground</dt>
        <dd className="num">{landing.groundRatio > 0 ? `${formatNumber(landing.groundRatio, 1)}:1` : "no way made"}</dd>
        <dt>Through the air</dt>
        <dd className="num">{formatNumber(landing.steady.ratio, 1)}:1</dd>
      </AsideFigures>
      <section className="border-t border-rule px-4 py-2" aria-label="Onto water">
        <h2 className="font-bold">Onto water</h2>
        <p className="text-[14px]">
          {asked.aircraft.handbook.floats ?? "The aircraft document says nothing of floats: look into the manual."}
        </p>
      </section>
    </DecisionAside>
  );
}
