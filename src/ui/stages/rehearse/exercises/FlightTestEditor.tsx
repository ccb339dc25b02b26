"use client";
import { DndContext, type DragEndEvent } from "@dnd-kit/core";
import { SortableContext, arrayMove, verticalListSortingStrategy } from "@dnd-kit/sortable";
import { GripVertical } from "lucide-react";
import { useState } from "react";
import type { Exercise, FlightTestProfile } from "@/core/exercise/exercise";
import { formatNumber } from "@/core/quantities/units";
import { download, fileName } from "@/ui/kit/download";
import { CheckField } from "@/ui/kit/forms/CheckField";
import { ChoiceField } from "@/ui/kit/forms/ChoiceField";
import { NumberField } from "@/ui/kit/forms/NumberField";
import { TextField } from "@/ui/kit/forms/TextField";
import { useSortedRow, useSorting } from "@/ui/kit/sorting/useSorting";
import { OwnActions } from "@/ui/library/own/OwnActions";
import { useFlightTests } from "@/ui/library/own/own-documents";

/** Most exercises of a flight test. */
const MOST = 30;

interface Props {
  draft: FlightTestProfile;
  /** Exercises that there are for the aircraft. */
  exercises: readonly Exercise[];
}

/** A flight test of one's own: its exercises in order, and the rules of passing. */
export function FlightTestEditor({ draft, exercises }: Props) {
  const { past, future, saved } = useFlightTests();
  const { change, undo, redo, save, remove, close } = useFlightTests.getState();
  const sorting = useSorting();
  const left = exercises.filter(({ id }) => !draft.exercises.includes(id));
  const [adding, setAdding] = useState<string | null>(null);
  const toAdd = left.find(({ id }) => id === adding) ?? left.at(0);
  const order = (ids: readonly string[]) => change({ ...draft, exercises: [...ids] });
  const drop = ({ active, over }: DragEndEvent) => {
    const [from, to] = [active.id, over?.id].map((id) => draft.exercises.indexOf(String(id)));
    if (from >= 0 && to >= 0 && from !== to) order(arrayMove(draft.exercises, from, to));
  };
  return (
    <div className="grid min-h-0 grid-rows-[auto_minmax(0,1fr)]">
      <div className="flex flex-wrap items-end gap-2 border-b border-rule px-4 py-1.5">
        <div className="w-72">
          <TextField
            label="Name of the flight test"
            value={draft.name}
            fault={draft.name.trim() === "" ? "A name is needed." : null}
            onChange={(name) => change({ ...draft, name: name.slice(0, 60) })}
          />
        </div>
        <OwnActions
          noun="flight test"
          undoable={past.length > 0}
          redoable={future.length > 0}
          unsaved={JSON.stringify(saved?.document) !== JSON.stringify(draft)}
          stored={saved !== null}
          onUndo={undo}
          onRedo={redo}
          onExport={() =>
            download(`flight-test-${fileName(draft.name)}.json`, "application/json", JSON.stringify(draft, null, 2))
          }
          onRemove={() => void remove()}
          onSave={() => void save()}
          onClose={close}
        />
      </div>
      <div
        className="grid min-h-0 content-start gap-3 overflow-auto px-5 py-3"
        tabIndex={0}
        role="region"
        aria-label="Flight test"
      >
        <DndContext id={draft.id} {...sorting} onDragEnd={drop}>
          <SortableContext items={draft.exercises} strategy={verticalListSortingStrategy}>
            <ol className="max-w-2xl" aria-label="Exercises in order">
              {draft.exercises.map((id, place) => (
                <Row
                  key={id}
                  id={id}
                  place={place}
                  name={exercises.find((exercise) => exercise.id === id)?.name ?? `${id}: not for this aircraft`}
                  alone={draft.exercises.length === 1}
                  onRemove={() => order(draft.exercises.filter((other) => other !== id))}
                />
              ))}
            </ol>
          </SortableContext>
        </DndContext>
        {toAdd && draft.exercises.length < MOST && (
          <div className="flex items-end gap-2">
            <ChoiceField
              label="Another exercise"
              value={toAdd.id}
              choices={left.map(({ id, name }) => ({ value: id, label: name }))}
              onChange={setAdding}
            />
            <button type="button" className="btn" onClick={() => order([...draft.exercises, toAdd.id])}>
              Add
            </button>
          </div>
        )}
        <h3 className="mt-2 font-bold">It is passed</h3>
        <p className="max-w-prose text-ink2">
          when every exercise is within its tolerances. What fails may be flown once more, as often as is left:
        </p>
        <div className="flex items-end gap-6">
          <div className="w-40">
            <NumberField
              label="Repeats in all"
              value={draft.repeats}
              unit=""
              digits={0}
              step={1}
              check={(value) => (value >= 0 && value <= MOST ? null : `From 0 to ${MOST}.`)}
              onChange={(repeats) => change({ ...draft, repeats: Math.round(repeats) })}
            />
          </div>
          <CheckField
            label="It ends with the first that may not be repeated"
            checked={draft.stopsAtFailure}
            onChange={(stopsAtFailure) => change({ ...draft, stopsAtFailure })}
          />
        </div>
      </div>
    </div>
  );
}

interface RowProps {
  id: string;
  place: number;
  name: string;
  /** The only one: it stays. */
  alone: boolean;
  onRemove: () => void;
}

function Row({ id, place, name, alone, onRemove }: RowProps) {
  const { setRow, style, handle, isDragging } = useSortedRow(id);
  return (
    <li
      ref={setRow}
      style={style}
      className={`flex items-center gap-2 border-b border-rule bg-sheet py-1 ${isDragging ? "relative z-10 outline-2 outline-harbour" : ""}`}
    >
      <button type="button" className="touch-none p-1 text-ink2" aria-label={`Move ${name}`} {...handle}>
        <GripVertical size={15} aria-hidden="true" />
      </button>
      <span className="num w-6 text-ink2">{formatNumber(place + 1)}</span>
      <span className="min-w-0 flex-1">{name}</span>
      <button
        type="button"
        className="btn btn-quiet py-0"
        aria-label={`Remove ${name}`}
        disabled={alone}
        onClick={onRemove}
      >
        ×
      </button>
    </li>
  );
}
