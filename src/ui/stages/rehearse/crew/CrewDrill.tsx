"use client";
import { useEffect } from "react";
import type { CrewRole } from "@/core/procedure/crew-run";
import { DecisionAside } from "@/ui/kit/page/DecisionAside";
import { useFormat } from "@/ui/kit/units/units-store";
import { DrillDebrief } from "../drill/DrillDebrief";
import { DrillFigures } from "../drill/DrillFigures";
import { DrillPanel } from "../drill/DrillPanel";
import { DrillSteps } from "../drill/DrillSteps";
import { DueStep } from "../drill/DueStep";
import { StepList } from "../drill/StepList";
import { soundWarning } from "../drill/drill-sound";
import type { HandEvent } from "../drill/drill-store";
import { drillSummary, soFarWords } from "../drill/drill-words";
import { CrewCode } from "./CrewCode";
import { CrewHeader } from "./CrewHeader";
import { CrewNotes } from "./CrewNotes";
import { InstructorPanel } from "./InstructorPanel";
import { useCrew } from "./crew-store";
import { keepCrewRun } from "./keep-crew-run";
import { type CrewNow, useCrewNow } from "./useCrewNow";

const CAUTIONS = [
  "A generic drill for learning order and words. The flight manual’s drill comes first.",
  "The panel is drawn for learning order: no flight deck’s.",
];

/** A drill that is run together: each does his own part, all see the same. */
export function CrewDrill({ code }: { code: string }) {
  const { crew, link } = useCrew();
  const now = useCrewNow();
  useEffect(() => {
    if (now?.flying.over && crew) keepCrewRun(crew, now.flying);
  }, [now, crew]);
  if (!crew || !now)
    return (
      <main className="p-8 text-ink2">
        {link === "lost" ? "The server cannot be reached: trying again." : "Opening the crew …"}
      </main>
    );
  return <Opened role={crew.role} aircraft={crew.aircraft} code={code} now={now} />;
}

interface OpenedProps {
  role: CrewRole;
  aircraft: string;
  code: string;
  now: CrewNow;
}

function Opened({ role, aircraft, code, now: { crew, flying } }: OpenedProps) {
  const { act } = useCrew.getState();
  const { run, state, over, paused } = flying;
  const { procedure } = run;
  const byHand = (event: HandEvent) => {
    if (role === "instructor") return;
    void act({ kind: "hand", event: event.type === "back" ? event : { ...event, actor: role } });
  };
  useEffect(() => {
    // All hear the bell. One who comes later hears it too: it burns.
    if (crew.begun) for (const name of procedure.warnings) soundWarning(name);
  }, [crew.begun, procedure.warnings]);
  const step = crew.begun && !over ? procedure.steps.at(state.drill.at) : undefined;
  return (
    <div className="grid h-full grid-cols-[minmax(0,1fr)_324px] max-[1150px]:grid-cols-[minmax(0,1fr)_276px]">
      <main className="grid min-h-0 min-w-0 grid-cols-[minmax(0,1fr)] grid-rows-[auto_minmax(0,1fr)_auto_auto] bg-sheet">
        <CrewHeader
          title={procedure.name}
          what={`${aircraft}. `}
          role={role}
          here={crew.roles}
          running={over ? null : !paused}
          begin={crew.begun ? undefined : "Begin"}
        />
        {crew.begun ? (
          over ? (
            <DrillDebrief flying={flying} onFrom={null} />
          ) : (
            <DrillSteps procedure={procedure} flying={flying} />
          )
        ) : (
          <StepList procedure={procedure} />
        )}
        {step ? (
          <DueStep
            key={`${step.id} ${state.drill.due_s}`}
            step={step}
            flying={flying}
            ofTwo={procedure.controls.some(({ perEngine }) => perEngine)}
            spoken={false}
            role={role}
            onAct={byHand}
            onTick={() => step.kind === "say" && byHand({ type: "say" })}
          />
        ) : (
          <span />
        )}
        {role === "instructor" ? (
          <InstructorPanel flying={flying} />
        ) : (
          !over && <DrillPanel procedure={procedure} flying={flying} onAct={byHand} />
        )}
      </main>
      <CrewAside code={code} now={{ crew, flying }} />
    </div>
  );
}

function CrewAside({ code, now: { crew, flying } }: Pick<OpenedProps, "code" | "now">) {
  const format = useFormat();
  const { run, state, over } = flying;
  const said = over
    ? drillSummary(state, run, format)
    : crew.begun
      ? soFarWords(flying, format)
      : { lead: "Waiting for the crew.", rest: "Anybody may begin; anybody may stop.", clean: true };
  return (
    <DecisionAside said={said} good={said.clean} cautions={CAUTIONS}>
      {crew.begun ? <DrillFigures flying={flying} /> : code !== "" && <CrewCode code={code} />}
      <CrewNotes log={crew.notes} />
    </DecisionAside>
  );
}
