"use client";
import { useState } from "react";
import { EXERCISES } from "@/core/exercise/library";
import { HAND_IN_KINDS, Lesson, type LessonPart } from "@/core/school/school";
import { CheckField } from "@/ui/kit/forms/CheckField";
import { ChoiceField } from "@/ui/kit/forms/ChoiceField";
import { NumberField } from "@/ui/kit/forms/NumberField";
import { QuantityField } from "@/ui/kit/forms/QuantityField";
import { TextField } from "@/ui/kit/forms/TextField";
import { SOURCE_WORDS, exerciseName } from "./school-words";
import { giveLesson } from "./school-store";

const part = (exerciseId: string): LessonPart => ({
  exerciseId,
  hardDeck_m: null,
  tolerance: 1,
  ways: [...HAND_IN_KINDS],
});
const deck = (value: number) => (value >= 0 && value <= 6000 ? null : "A hard deck is 0 to 6 000 m.");
const wide = (value: number) => (value >= 0.25 && value <= 2 ? null : "A quarter to twice as wide.");

/** A lesson that is set: exercises with their deck and tolerances, what counts, by when. */
export function LessonForm({ onDone }: { onDone: () => void }) {
  const [lesson, setLesson] = useState<Lesson>({ name: "", words: "", due: null, parts: [part(EXERCISES[0].id)] });
  const set = (change: Partial<Lesson>) => setLesson({ ...lesson, ...change });
  const change = (i: number, to: Partial<LessonPart>) =>
    set({ parts: lesson.parts.map((one, at) => (at === i ? { ...one, ...to } : one)) });
  const left = EXERCISES.filter(({ id }) => !lesson.parts.some(({ exerciseId }) => exerciseId === id));
  const fault = Lesson.safeParse(lesson).error?.issues[0].message ?? null;
  return (
    <form
      className="panel mt-2 grid gap-2 p-4"
      aria-label="A lesson"
      onSubmit={(event) => {
        event.preventDefault();
        if (fault === null) void giveLesson(lesson).then((done) => done && onDone());
      }}
    >
      <TextField
        label="Name of the lesson"
        value={lesson.name}
        fault={null}
        onChange={(name) => set({ name: name.slice(0, 60) })}
      />
      <TextField
        label="What matters in it"
        value={lesson.words}
        fault={null}
        onChange={(words) => set({ words: words.slice(0, 400) })}
      />
      <label className="block text-sm text-ink2">
        Handed in by
        <input
          type="date"
          className="field mt-0.5 block w-44"
          value={lesson.due ?? ""}
          onChange={(event) => set({ due: event.currentTarget.value || null })}
        />
      </label>
      {lesson.parts.map((one, i) => (
        <fieldset key={one.exerciseId} className="flex flex-wrap items-end gap-3 border-t border-rule pt-2">
          <legend className="sr-only">{exerciseName(one.exerciseId)}</legend>
          <ChoiceField
            label="Exercise"
            value={one.exerciseId}
            choices={[one.exerciseId, ...left.map(({ id }) => id)].map((value) => ({
              value,
              label: exerciseName(value),
            }))}
            onChange={(exerciseId) => change(i, { exerciseId })}
          />
          <QuantityField
            label="Hard deck (its own if empty)"
            kind="height"
            value={one.hardDeck_m}
            check={deck}
            onChange={(hardDeck_m) => change(i, { hardDeck_m })}
            onClear={() => change(i, { hardDeck_m: null })}
          />
          <NumberField
            label="Tolerances"
            value={one.tolerance}
            unit="×"
            digits={2}
            step={0.25}
            check={wide}
            onChange={(tolerance) => change(i, { tolerance })}
          />
          <span className="flex gap-3 pb-1.5">
            {HAND_IN_KINDS.map((way) => (
              <CheckField
                key={way}
                label={SOURCE_WORDS[way]}
                checked={one.ways.includes(way)}
                disabled={one.ways.length === 1 && one.ways[0] === way}
                onChange={(on) =>
                  change(i, { ways: HAND_IN_KINDS.filter((other) => (other === way ? on : one.ways.includes(other))) })
                }
              />
            ))}
          </span>
          {lesson.parts.length > 1 && (
            <button
              type="button"
              className="btn btn-quiet"
              aria-label={`Take out ${exerciseName(one.exerciseId)}`}
              onClick={() => set({ parts: lesson.parts.filter((_, at) => at !== i) })}
            >
              ×
            </button>
          )}
        </fieldset>
      ))}
      <p className="flex gap-2">
        {left.length > 0 && lesson.parts.length < 20 && (
          <button
            type="button"
            className="btn btn-quiet"
            onClick={() => set({ parts: [...lesson.parts, part(left[0].id)] })}
          >
            One more exercise
          </button>
        )}
        <button type="submit" className="btn ml-auto" disabled={fault !== null}>
          Set it
        </button>
      </p>
    </form>
  );
}
