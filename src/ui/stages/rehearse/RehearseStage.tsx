"use client";
import { Pause, Play, RotateCcw, Undo2 } from "lucide-react";
import { useEffect, useMemo } from "react";
import { useHotkeys } from "react-hotkeys-hook";
import { type DrillEvent, afterEvent, beginDrill, isOver } from "@/core/procedure/drill";
import type { OneEngineSituation } from "@/core/asymmetric/one-engine-question";
import type { DrillRate } from "@/core/procedure/drill-rate";
import { proceduresFor } from "@/core/procedure/library/procedures";
import type { Actor, Procedure } from "@/core/procedure/procedure";
import type { AircraftDocument } from "@/core/aircraft/aircraft-document";
import type { Side } from "@/core/procedure/drill";
import { useGroundOrNearest_m } from "@/ui/situation/ground-at";
import { useAircraft } from "@/ui/situation/useAircraft";
import { useSituation } from "@/ui/situation/situation-store";
import { ChoiceField } from "@/ui/kit/forms/ChoiceField";
import { useKeysHeld } from "@/ui/kit/keys-held";
import type { Ask } from "@/ui/kit/lanes/asking";
import { useAnswer } from "@/ui/kit/lanes/useAnswer";
import { StageFrame } from "@/ui/kit/page/StageFrame";
import { StageView } from "@/ui/kit/page/StageTabs";
import { DrillAside } from "./DrillAside";
import { DrillPanel } from "./DrillPanel";
import { DrillSteps } from "./DrillSteps";
import { type HandEvent, useDrill } from "./drill-store";

interface RateAsked {
  readonly aircraft: AircraftDocument;
  readonly situation: OneEngineSituation;
  readonly dead: Side;
}

const askRate: Ask<RateAsked, DrillRate> = (core, { aircraft, situation, dead }) =>
  core.drillRate(aircraft, situation, dead);

/** Time is told to the drill so often, s. */
const TICK_S = 0.25;
/** Height that a drill begins with at least, m: lower there is nothing to rehearse in. */
const LEAST_M = 300;

/** Drills alone: order, words, confirmation and time. */
export function RehearseStage() {
  const { document } = useAircraft();
  const procedures = useMemo(() => proceduresFor(document.category), [document.category]);
  const chosenId = useDrill((state) => state.chosenId);
  const procedure = procedures.find(({ id }) => id === chosenId) ?? procedures[0];
  return <DrillOf key={procedure.id} procedure={procedure} procedures={procedures} aircraft={document} />;
}

function DrillOf({
  procedure,
  procedures,
  aircraft,
}: {
  procedure: Procedure;
  procedures: readonly Procedure[];
  aircraft: AircraftDocument;
}) {
  const run = useDrill((state) => (state.run?.procedureId === procedure.id ? state.run : null));
  const { choose, fail, put, lead, pause } = useDrill.getState();
  const failing = useDrill((state) => state.failing);
  const situation = useSituation((state) => state.current);
  const ground_m = useGroundOrNearest_m();
  const ofTwo = procedure.controls.some(({ perEngine }) => perEngine);
  const dead: Side = ofTwo ? failing : null;
  const asked = useMemo(() => {
    const { mass_kg, configuration, altitude_m, air, centreOfGravity } = situation;
    return { aircraft, situation: { mass_kg, configuration, altitude_m, air, centreOfGravity }, dead };
  }, [aircraft, situation, dead]);
  const { value: rate, issue } = useAnswer(asked, askRate, "pointed");
  const begin = () => {
    if (!rate) return;
    const height_m = Math.max(situation.altitude_m - ground_m, LEAST_M);
    const flown = { time_s: 0, height_m, speed_mps: rate.eas_mps };
    const drill = beginDrill(procedure, { dead, flown, propeller: situation.configuration.propeller });
    const { climb_mps } = rate;
    const lampGoes = Math.random() < 0.5;
    put({ procedureId: procedure.id, dead, drill, began_m: height_m, climb_mps, lampGoes, over: false, paused: false });
  };
  const act = (event: DrillEvent) =>
    lead((now) => {
      const drill = afterEvent(procedure, now.drill, event, now.dead);
      return { ...now, drill, over: isOver(procedure, drill) };
    });
  // Alone one does what is everybody's; the confirmation is the other's.
  const byHand = (event: HandEvent) => {
    const step = run && procedure.steps.at(run.drill.at);
    if (!step) return;
    if (event.type === "back") act(event);
    else if (event.type === "name") act({ ...event, actor: confirming(step) });
    else act({ ...event, actor: step.actor });
  };
  const running = run !== null && !run.over;
  const ticking = running && !run.paused;
  useEffect(() => {
    useKeysHeld.setState({ held: running });
    return () => useKeysHeld.setState({ held: false });
  }, [running]);
  useEffect(() => {
    if (!ticking) return;
    const timer = setInterval(
      () =>
        useDrill.getState().lead((now) => {
          const { time_s, height_m, speed_mps } = now.drill.flown;
          const flown = {
            time_s: time_s + TICK_S,
            height_m: Math.max(height_m + now.climb_mps * TICK_S, 0),
            speed_mps,
          };
          const waited = procedure.steps.at(now.drill.at)?.kind === "wait";
          let drill = afterEvent(procedure, now.drill, { type: "passes", flown }, now.dead);
          if (waited && drill.at !== now.drill.at && now.lampGoes)
            for (const name of procedure.warnings)
              drill = afterEvent(procedure, drill, { type: "warning", name, on: false }, now.dead);
          return { ...now, drill, over: isOver(procedure, drill) || flown.height_m <= 0 };
        }),
      TICK_S * 1000,
    );
    return () => clearInterval(timer);
  }, [ticking, procedure]);
  useHotkeys("escape", () => run && pause(!run.paused), { enabled: running });
  useHotkeys("backspace", () => byHand({ type: "back" }), { enabled: ticking });
  return (
    <StageFrame
      label="Rehearse"
      question="Can I do it without thinking?"
      actions={
        running ? (
          <>
            <button type="button" className="btn btn-quiet" onClick={() => byHand({ type: "back" })}>
              <Undo2 size={15} aria-hidden="true" /> Step back
            </button>
            <button type="button" className="btn" onClick={() => pause(!run.paused)}>
              {run.paused ? <Play size={15} aria-hidden="true" /> : <Pause size={15} aria-hidden="true" />}
              {run.paused ? "Go on" : "Pause"}
            </button>
          </>
        ) : (
          <button type="button" className="btn" disabled={!rate} onClick={begin}>
            {run ? <RotateCcw size={15} aria-hidden="true" /> : <Play size={15} aria-hidden="true" />}
            {run ? "Begin anew" : "Begin"}
          </button>
        )
      }
      view="drill"
      onView={() => undefined}
      views={{ drill: "Drill" }}
      viewsLabel="Views of the rehearsal"
      aside={<DrillAside procedure={procedure} run={run} rate={rate} issue={issue} />}
      narrow="middle"
      className="grid-rows-[auto_minmax(0,1fr)] bg-sheet"
    >
      <StageView value="drill">
        <div className="grid min-h-0 grid-rows-[auto_minmax(0,1fr)_auto]">
          <div className="flex items-end gap-6 border-b border-rule px-4 py-1.5 [&>:first-child]:w-80">
            {running ? (
              <p className="font-bold">{procedure.name}</p>
            ) : (
              <ChoiceField
                label="Drill"
                value={procedure.id}
                onChange={choose}
                choices={procedures.map(({ id, name }) => ({ value: id, label: name }))}
              />
            )}
            {ofTwo && !running && (
              <ChoiceField
                label="Engine that fails"
                value={failing}
                onChange={fail}
                choices={[
                  { value: "left", label: "left" },
                  { value: "right", label: "right" },
                ]}
              />
            )}
            <p className="min-w-0 flex-1 text-[14px] text-ink2">{procedure.purpose}</p>
          </div>
          <DrillSteps procedure={procedure} run={run} onAct={byHand} />
          <DrillPanel procedure={procedure} run={run} onAct={byHand} />
        </div>
      </StageView>
    </StageFrame>
  );
}

const confirming = ({ actor, ...step }: Procedure["steps"][number]): Actor =>
  step.kind === "set" && step.confirm === "other" ? (actor === "flying" ? "monitoring" : "flying") : actor;
