"use client";
import { DndContext, type DragEndEvent } from "@dnd-kit/core";
import { SortableContext, verticalListSortingStrategy } from "@dnd-kit/sortable";
import { GripVertical, Play } from "lucide-react";
import { useState } from "react";
import type { Procedure, Step } from "@/core/procedure/procedure";
import { download, fileName } from "@/ui/kit/download";
import { ChoiceField } from "@/ui/kit/forms/ChoiceField";
import { TextField } from "@/ui/kit/forms/TextField";
import { useSortedRow, useSorting } from "@/ui/kit/sorting/useSorting";
import { wantedBeside } from "../drill/drill-words";
import { OwnActions } from "@/ui/library/own/OwnActions";
import { BranchArcs, ROW_PX } from "./BranchArcs";
import { ControlsForm } from "./ControlsForm";
import { StepForm } from "./StepForm";
import { KIND_WORDS, newStep, withStep, withStepAfter, withStepMoved, withoutStep } from "./edit-steps";
import { useProcedures } from "@/ui/library/own/own-documents";

interface Props {
  draft: Procedure;
  /** It is sound and can be flown. */
  sound: boolean;
  onRun: () => void;
}

/** A procedure that is edited: its steps in order, their branches beside them, the one that is chosen in full. */
export function ProcedureEditor({ draft, sound, onRun }: Props) {
  const { change, undo, redo, save, remove, close } = useProcedures.getState();
  const { past, future, saved } = useProcedures();
  const [chosenId, setChosen] = useState<string | null>(draft.steps.at(0)?.id ?? null);
  const [kind, setKind] = useState<Step["kind"]>("say");
  const sorting = useSorting();
  const at = draft.steps.findIndex(({ id }) => id === chosenId);
  const chosen = at >= 0 ? draft.steps[at] : null;
  const unsaved = JSON.stringify(saved?.document) !== JSON.stringify(draft);
  const drop = ({ active, over }: DragEndEvent) => {
    const [from, to] = [active.id, over?.id].map((id) => draft.steps.findIndex((step) => step.id === id));
    if (from >= 0 && to >= 0 && from !== to) change(withStepMoved(draft, from, to));
  };
  const add = () => {
    const step = newStep(draft, kind);
    change(withStepAfter(draft, at, step));
    setChosen(step.id);
  };
  return (
    <div className="grid min-h-0 grid-rows-[auto_minmax(0,1fr)]">
      <div className="flex flex-wrap items-end gap-2 border-b border-rule px-4 py-1.5">
        <div className="w-72">
          <TextField
            label="Name"
            value={draft.name}
            fault={draft.name.trim() === "" ? "A name is needed." : null}
            onChange={(name) => change({ ...draft, name: name.slice(0, 60) })}
          />
        </div>
        <OwnActions
          noun="procedure"
          undoable={past.length > 0}
          redoable={future.length > 0}
          unsaved={unsaved}
          stored={saved !== null}
          onUndo={undo}
          onRedo={redo}
          onExport={() =>
            download(`procedure-${fileName(draft.name)}.json`, "application/json", JSON.stringify(draft, null, 2))
          }
          onRemove={() => void remove()}
          onSave={() => void save()}
          onClose={close}
        >
          <button type="button" className="btn btn-quiet" disabled={!sound} onClick={onRun}>
            <Play size={15} aria-hidden="true" /> Run
          </button>
        </OwnActions>
      </div>
      <div className="grid min-h-0 grid-cols-[minmax(0,1fr)_19rem] max-[1150px]:grid-cols-[minmax(0,1fr)_16rem]">
        <div className="min-h-0 overflow-auto py-1 pr-2 pl-1" tabIndex={0} role="region" aria-label="Steps">
          <div className="flex">
            <BranchArcs procedure={draft} />
            <DndContext id={draft.id} {...sorting} onDragEnd={drop}>
              <SortableContext items={draft.steps.map(({ id }) => id)} strategy={verticalListSortingStrategy}>
                <ol className="min-w-0 flex-1" aria-label="Steps in order">
                  {draft.steps.map((step) => (
                    <Row
                      key={step.id}
                      step={step}
                      wanted={wantedBeside(step, draft)}
                      chosen={step.id === chosenId}
                      onChoose={() => setChosen(step.id)}
                    />
                  ))}
                </ol>
              </SortableContext>
            </DndContext>
          </div>
          <div className="mt-2 flex items-end gap-2 pl-12">
            <ChoiceField
              label="After the chosen one"
              value={kind}
              choices={(Object.keys(KIND_WORDS) as Step["kind"][]).map((value) => ({
                value,
                label: KIND_WORDS[value],
              }))}
              onChange={setKind}
            />
            <button type="button" className="btn" disabled={draft.steps.length >= 80} onClick={add}>
              Add
            </button>
          </div>
        </div>
        <section className="min-h-0 overflow-auto border-l border-rule px-4 py-3" aria-label="Chosen step" tabIndex={0}>
          {chosen && (
            <>
              <p className="mb-2 flex items-center">
                <strong>{KIND_WORDS[chosen.kind]}</strong>
                <button
                  type="button"
                  className="btn btn-quiet ml-auto py-0"
                  onClick={() => {
                    change(withoutStep(draft, chosen.id));
                    setChosen(draft.steps.at(at === 0 ? 1 : at - 1)?.id ?? null);
                  }}
                >
                  Remove
                </button>
              </p>
              <StepForm
                key={chosen.id}
                procedure={draft}
                step={chosen}
                onChange={(step) => change(withStep(draft, chosen.id, step))}
              />
            </>
          )}
          <ControlsForm procedure={draft} onChange={change} />
        </section>
      </div>
    </div>
  );
}

interface RowProps {
  step: Step;
  wanted: string;
  chosen: boolean;
  onChoose: () => void;
}

function Row({ step, wanted, chosen, onChoose }: RowProps) {
  const { setRow, style, handle, isDragging } = useSortedRow(step.id);
  return (
    <li
      ref={setRow}
      style={{ ...style, height: ROW_PX }}
      className={`flex items-center gap-1 border-b border-rule ${chosen ? "bg-mark" : "bg-sheet"} ${isDragging ? "relative z-10 outline-2 outline-harbour" : ""}`}
    >
      <button type="button" className="touch-none p-1 text-ink2" aria-label={`Move ${step.challenge}`} {...handle}>
        <GripVertical size={15} aria-hidden="true" />
      </button>
      <button
        type="button"
        className="flex min-w-0 flex-1 gap-2 py-1 text-left text-[14px]"
        aria-pressed={chosen}
        onClick={onChoose}
      >
        <span className="w-24 shrink-0 text-[13px] text-ink2 max-[1150px]:hidden">{KIND_WORDS[step.kind]}</span>
        <span className="min-w-0 truncate">
          {step.challenge}
          <span className="text-ink2"> {wanted}</span>
        </span>
      </button>
    </li>
  );
}
