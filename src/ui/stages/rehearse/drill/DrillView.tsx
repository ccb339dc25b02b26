"use client";
import type { Procedure } from "@/core/procedure/procedure";
import { CheckField } from "@/ui/kit/forms/CheckField";
import { ChoiceField } from "@/ui/kit/forms/ChoiceField";
import { DrillDebrief } from "./DrillDebrief";
import { DrillPanel } from "./DrillPanel";
import { DrillSteps } from "./DrillSteps";
import { DueStep } from "./DueStep";
import { StepList } from "./StepList";
import { useDrill } from "./drill-store";
import type { DrillByHand } from "./useDrillRun";

interface Props {
  procedure: Procedure;
  procedures: readonly Procedure[];
  drill: DrillByHand;
}

const SIDES = [
  { value: "left", label: "left" },
  { value: "right", label: "right" },
] as const;

/** A drill before, while and after it is run. */
export function DrillView({ procedure, procedures, drill }: Props) {
  const { flying, byHand, tick, from, ofTwo } = drill;
  const { failing, spoken } = useDrill();
  const { choose, fail, prefer } = useDrill.getState();
  const running = flying !== null && !flying.over;
  const step = running ? procedure.steps.at(flying.state.drill.at) : undefined;
  return (
    <div className="grid min-h-0 grid-rows-[auto_minmax(0,1fr)_auto_auto]">
      {running ? (
        <p className="border-b border-rule px-4 py-1 text-[14px]">
          <strong>{procedure.name}.</strong> <span className="text-ink2">{procedure.purpose}</span>
        </p>
      ) : (
        <div className="grid grid-cols-[20rem_auto_1fr] items-end gap-x-5 gap-y-1 border-b border-rule px-4 py-1.5">
          <div>
            <ChoiceField
              label="Drill"
              value={procedure.id}
              onChange={choose}
              choices={procedures.map(({ id, name }) => ({ value: id, label: name }))}
            />
          </div>
          {ofTwo && <ChoiceField label="Engine that fails" value={failing} onChange={fail} choices={SIDES} />}
          <div className="col-start-3 pb-1.5">
            <CheckField label="Spoken and ticked" checked={spoken} onChange={(on) => prefer({ spoken: on })} />
          </div>
          <p className="col-span-3 text-[14px] text-ink2">{procedure.purpose}</p>
        </div>
      )}
      {!flying && <StepList procedure={procedure} />}
      {running && <DrillSteps procedure={procedure} flying={flying} />}
      {flying?.over && <DrillDebrief flying={flying} onFrom={from} />}
      {step && (
        <DueStep
          key={step.id}
          step={step}
          flying={flying!}
          ofTwo={ofTwo}
          spoken={spoken}
          onAct={byHand}
          onTick={tick}
        />
      )}
      {!spoken && procedure.controls.length > 0 && !flying?.over && (
        <DrillPanel procedure={procedure} flying={flying} onAct={byHand} />
      )}
    </div>
  );
}
