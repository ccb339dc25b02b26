"use client";
import { isRunOver } from "@/core/procedure/drill-run";
import { runResult } from "@/core/procedure/run-document";
import { sidesOf } from "@/core/procedure/drill";
import { DrillPanel } from "../drill/DrillPanel";
import { DueStep } from "../drill/DueStep";
import type { HandEvent } from "../drill/drill-store";
import { useCrew } from "../crew/crew-store";
import { useOthers } from "./others/others";
import { rolesHere } from "./others/roles-here";
import { resultWords } from "../results/result-words";
import { actInDrill } from "./flight-lane";
import { useFly } from "./fly-store";

/** The drill beside the flight: what is due, and the panel for what the levers below do not show. */
export function FlyDrill() {
  const { drill, running, under } = useFly();
  const asked = useOthers((state) => state.code !== null);
  const monitored = useCrew((state) => rolesHere(state.log).includes("monitoring"));
  if (!under?.procedure) return null;
  const { procedure } = under;
  if (!drill)
    return (
      <p className="border-t border-rule px-4 py-2 text-[14px] text-ink2">
        “{procedure.name}” begins with the failure.
      </p>
    );
  const { run, state } = drill;
  const over = isRunOver(run, state);
  const flying = { run, state, over, paused: !running };
  const step = over ? undefined : procedure.steps.at(state.drill.at);
  // With another beside one does one's own half.
  const mine = asked && monitored && procedure.crew === "two" ? "flying" : null;
  const act = (event: HandEvent) => void actInDrill(event, mine);
  const tick = () => {
    if (step?.kind === "say") act({ type: "say" });
    if (step?.kind === "set")
      for (const side of sidesOf(step.engine, run.dead))
        act({ type: "set", control: step.control, side, position: step.position });
  };
  return (
    <section aria-label="Drill">
      {step ? (
        <DueStep
          step={step}
          flying={flying}
          ofTwo={run.dead !== null}
          spoken={false}
          role={mine}
          onAct={act}
          onTick={tick}
        />
      ) : (
        <p className="border-y-2 border-ink px-4 py-2">
          <strong className="block text-[18px]">The drill is done.</strong>{" "}
          {resultWords(runResult(run, state.drill.flown.time_s))}
        </p>
      )}
      {!over && <DrillPanel procedure={procedure} flying={flying} onAct={act} />}
    </section>
  );
}
