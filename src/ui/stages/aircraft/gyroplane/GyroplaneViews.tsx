"use client";
import { parseAsStringLiteral, useQueryState } from "nuqs";
import { useMemo } from "react";
import { clamp } from "@/core/numeric/clamp";
import { M_PER_FT } from "@/core/quantities/constants";
import { formatNumber } from "@/core/quantities/units";
import type { GyroGlides } from "@/core/rotor/gyro-answer";
import type { GyroQuestion } from "@/core/rotor/gyro-question";
import { StageFrame } from "@/ui/kit/page/StageFrame";
import { StageView } from "@/ui/kit/page/StageTabs";
import type { Ask } from "@/ui/kit/lanes/asking";
import { useAnswer } from "@/ui/kit/lanes/useAnswer";
import { useFormat } from "@/ui/kit/units/units-store";
import { Figure } from "@/ui/kit/working/Figure";
import { useSituation } from "@/ui/situation/situation-store";
import { Fleet } from "../Fleet";
import { RotorMassView } from "../RotorMassView";
import { SpeedCurves } from "../SpeedCurves";
import { useEditedGyroplane } from "../useEdited";
import { GyroplaneForm } from "./GyroplaneForm";
import { TrimView } from "./TrimView";

const VIEWS = ["glide", "mass", "trim", "handbook"] as const;
const VIEW_NAMES: Record<(typeof VIEWS)[number], string> = {
  glide: "Stopped against idling",
  mass: "By mass",
  trim: "Trim check",
  handbook: "Handbook and fit",
};

/** The numbers of a gyroplane. */
export function GyroplaneViews() {
  const [view, setView] = useQueryState("view", parseAsStringLiteral(VIEWS).withDefault("glide"));
  const edited = useEditedGyroplane();
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
      <StageView value="glide" className="bg-sheet">
        <GlideView />
      </StageView>
      <StageView value="mass" className="bg-sheet">
        <RotorMassView edited={edited} />
      </StageView>
      <StageView value="trim" className="bg-sheet">
        <TrimView />
      </StageView>
      <StageView value="handbook" className="bg-sheet">
        <GyroplaneForm />
      </StageView>
    </StageFrame>
  );
}

const askGlides: Ask<GyroQuestion, GyroGlides> = (core, question) => core.gyroGlides(question);

/** Sink with the propeller stopped against one with the engine idling: what practice flatters. */
function GlideView() {
  const { document, faults } = useEditedGyroplane();
  const { mass_kg, altitude_m, air } = useSituation((state) => state.current);
  const format = useFormat();
  const valid = faults.length === 0;
  const question = useMemo(
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
  const { value, issue } = useAnswer(question, askGlides, "pointed");
  if (!value || !question) return <p className="p-4 text-ink2">{issue?.message ?? "Computing …"}</p>;
  const { stopped, idling, vertical } = value;
  const source = { calculation: { name: "gyro-glide", input: question } };
  const flattery_m = 1000 * M_PER_FT * (idling.best.ratio - stopped.best.ratio);
  return (
    <div className="grid min-h-0 grid-rows-[auto_minmax(0,1fr)]">
      <p className="px-4 pt-3 text-[14px]">
        Best glide{" "}
        <Figure title="Best glide, engine stopped" figure="gyroGlide" source={source} className="font-bold">
          {formatNumber(stopped.best.ratio, 1)}:1 at {format("speed", stopped.best.tas_mps)}
        </Figure>
        , least sink{" "}
        <Figure title="Least sink, engine stopped" figure="gyroGlide" source={source} className="font-bold">
          {format("verticalSpeed", stopped.least.sink_mps)} at {format("speed", stopped.least.tas_mps)}
        </Figure>
        , straight down{" "}
        <Figure title="Vertical descent, engine stopped" figure="gyroGlide" source={source} className="font-bold">
          {format("verticalSpeed", vertical.sink_mps)}
        </Figure>
        . Practice with the engine idling flatters: from {format("height", 1000 * M_PER_FT)} it reaches{" "}
        {format("length", flattery_m)} farther than with the engine stopped.
      </p>
      <SpeedCurves
        label="Sink over airspeed with the propeller stopped and with the engine idling"
        axis="sink"
        kind="verticalSpeed"
        inverse
        curves={[
          {
            name: "stopped",
            colour: "harbour",
            points: stopped.curve.map(({ tas_mps, sink_mps }) => ({ tas_mps, value: sink_mps })),
          },
          {
            name: "idling",
            colour: "ochre",
            dashed: true,
            points: idling.curve.map(({ tas_mps, sink_mps }) => ({ tas_mps, value: sink_mps })),
          },
        ]}
        marks={[
          { name: "least sink", tas_mps: stopped.least.tas_mps },
          { name: "best glide", tas_mps: stopped.best.tas_mps },
        ]}
      />
    </div>
  );
}
