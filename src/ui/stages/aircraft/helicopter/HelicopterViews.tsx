"use client";
import { parseAsStringLiteral, useQueryState } from "nuqs";
import { useMemo } from "react";
import { clamp } from "@/core/numeric/clamp";
import { formatNumber } from "@/core/quantities/units";
import type { HelicopterQuestion } from "@/core/rotor/helicopter-question";
import { StageFrame } from "@/ui/kit/page/StageFrame";
import { StageView } from "@/ui/kit/page/StageTabs";
import type { Ask } from "@/ui/kit/lanes/asking";
import { useAnswer } from "@/ui/kit/lanes/useAnswer";
import { useFormat } from "@/ui/kit/units/units-store";
import { Figure } from "@/ui/kit/working/Figure";
import { useSituation } from "@/ui/situation/situation-store";
import type { Autorotations, PowerBySpeed } from "@/core/rotor/autorotation-answer";
import { Fleet } from "../Fleet";
import { RotorMassView } from "../RotorMassView";
import { SpeedCurves } from "../SpeedCurves";
import { useEditedHelicopter } from "../useEdited";
import { HelicopterForm } from "./HelicopterForm";

const VIEWS = ["power", "autorotation", "mass", "handbook"] as const;
const VIEW_NAMES: Record<(typeof VIEWS)[number], string> = {
  power: "Power and speed",
  autorotation: "Autorotation",
  mass: "By mass",
  handbook: "Handbook and fit",
};

/** The numbers of a helicopter. */
export function HelicopterViews() {
  const [view, setView] = useQueryState("view", parseAsStringLiteral(VIEWS).withDefault("power"));
  const edited = useEditedHelicopter();
  return (
    <StageFrame
      label="Numbers"
      question="Do I know its numbers?"
      subject={edited.document.name}
      view={view}
      onView={(value) => void setView(value as (typeof VIEWS)[number])}
      views={VIEW_NAMES}
      viewsLabel="Views of the aircraft"
      aside={<Fleet missing={[]} />}
      narrow="slim"
    >
      <StageView value="power" className="bg-sheet">
        <PowerView />
      </StageView>
      <StageView value="autorotation" className="bg-sheet">
        <AutorotationView />
      </StageView>
      <StageView value="mass" className="bg-sheet">
        <RotorMassView edited={edited} />
      </StageView>
      <StageView value="handbook" className="bg-sheet">
        <HelicopterForm />
      </StageView>
    </StageFrame>
  );
}

/** The edited helicopter in the situation's air; null while it cannot be computed with. */
function useEditedQuestion(): HelicopterQuestion | null {
  const { document, faults } = useEditedHelicopter();
  const { mass_kg, altitude_m, air } = useSituation((state) => state.current);
  const valid = faults.length === 0;
  return useMemo(
    () =>
      valid
        ? {
            aircraft: document,
            mass_kg: clamp(mass_kg, document.mass.minimum_kg, document.mass.maximum_kg),
            altitude_m,
            air,
          }
        : null,
    [document, valid, mass_kg, altitude_m, air],
  );
}

const askPower: Ask<HelicopterQuestion, PowerBySpeed> = (core, question) => core.powerBySpeed(question);
const askAutorotations: Ask<HelicopterQuestion, Autorotations> = (core, question) => core.autorotations(question);

function PowerView() {
  const question = useEditedQuestion();
  const { value, issue } = useAnswer(question, askPower, "pointed");
  const format = useFormat();
  if (!value) return <p className="p-4 text-ink2">{issue?.message ?? "Computing …"}</p>;
  const last = value.curve[value.curve.length - 1].tas_mps;
  return (
    <div className="grid min-h-0 grid-rows-[auto_minmax(0,1fr)]">
      <p className="px-4 pt-3 text-[14px]">
        Least power at <strong className="num">{format("speed", value.leastPower_mps)}</strong>, best range at{" "}
        <strong className="num">{format("speed", value.bestRange_mps)}</strong>, through the air, in the situation’s air
        {question && ` at ${format("mass", question.mass_kg)}`}.{" "}
        {value.ratings.length > 0 && "What one engine fewer gives is drawn beside it, by rating."}
      </p>
      <SpeedCurves
        label="Power of level flight over airspeed, and what one engine fewer gives"
        axis="at the shaft"
        kind="power"
        curves={[
          {
            name: "required",
            colour: "harbour",
            points: value.curve.map(({ tas_mps, shaft_W }) => ({ tas_mps, value: shaft_W })),
          },
          ...value.ratings.map(({ name, power_W }, i) => ({
            name,
            colour: i === value.ratings.length - 1 ? "pine" : i === 0 ? "brick" : "ochre",
            dashed: true,
            points: [
              { tas_mps: 0, value: power_W },
              { tas_mps: last, value: power_W },
            ],
          })),
        ]}
        marks={[
          { name: "least power", tas_mps: value.leastPower_mps },
          { name: "best range", tas_mps: value.bestRange_mps },
        ]}
      />
    </div>
  );
}

function AutorotationView() {
  const question = useEditedQuestion();
  const { value, issue } = useAnswer(question, askAutorotations, "pointed");
  const format = useFormat();
  if (!value || !question) return <p className="p-4 text-ink2">{issue?.message ?? "Computing …"}</p>;
  const source = { calculation: { name: "autorotation", input: question } };
  return (
    <div className="grid min-h-0 grid-rows-[auto_minmax(0,1fr)]">
      <p className="px-4 pt-3 text-[14px]">
        Least sink{" "}
        <Figure title="Least sink in autorotation" figure="autorotation" source={source} className="font-bold">
          {format("verticalSpeed", value.least.sink_mps)} at {format("speed", value.least.tas_mps)}
        </Figure>
        , best range{" "}
        <Figure title="Best range in autorotation" figure="autorotation" source={source} className="font-bold">
          {formatNumber(value.best.ratio, 1)}:1 at {format("speed", value.best.tas_mps)}
        </Figure>
        , through the air. Below about 20 kt it descends into its own wake: there the figures rest on a fit alone.
      </p>
      <SpeedCurves
        label="Sink in autorotation over airspeed, by rotor speed"
        axis="sink"
        kind="verticalSpeed"
        inverse
        curves={value.curves.map(({ nr, curve }, i) => ({
          name: `rotor ${Math.round(nr * 100)} %`,
          colour: i === 0 ? "harbour" : "ink2",
          dashed: i > 0,
          points: curve.map(({ tas_mps, sink_mps }) => ({ tas_mps, value: sink_mps })),
        }))}
        marks={[
          { name: "least sink", tas_mps: value.least.tas_mps },
          { name: "best range", tas_mps: value.best.tas_mps },
        ]}
      />
    </div>
  );
}
