"use client";
import { useMemo, useState } from "react";
import { type ExerciseLog, foundExercises, loggedScore } from "@/core/debrief/logged-exercises";
import type { AircraftDocument } from "@/core/aircraft/aircraft-document";
import { EXERCISES } from "@/core/exercise/library";
import { procedureCategory } from "@/core/procedure/library/procedures";
import type { KeptLog } from "@/core/track/kept-log";
import { ChoiceField } from "@/ui/kit/forms/ChoiceField";
import { ExerciseVerdict } from "@/ui/library/ExerciseVerdict";
import type { DebriefedLog } from "@/workers/track.worker";
import { useDebrief } from "./debrief-store";
import { momentWords } from "./debrief-words";

/** Most exercises that are shown at once. */
const MOST_SHOWN = 20;
const UNMEASURED = "held, as far as a log shows.";

interface Props {
  readonly log: KeptLog;
  readonly found: DebriefedLog;
  /** Only those of this time; null for all of the log. */
  readonly within: { readonly from_s: number; readonly to_s: number } | null;
}

/** Exercises that were flown, found or marked by hand, each scored by its document. */
export function ExercisesPanel({ log, found, within }: Props) {
  const { aircraft } = log;
  return aircraft && <Scored log={log} aircraft={aircraft} found={found} within={within} />;
}

function Scored({ log, aircraft, found, within }: Props & { readonly aircraft: AircraftDocument }) {
  const asked = useMemo(
    (): ExerciseLog => ({ drawn: found.drawn, flights: found.flights, airKnown: found.airKnown }),
    [found],
  );
  const all = useMemo(() => foundExercises(asked, aircraft, log.mass_kg), [asked, aircraft, log.mass_kg]);
  const shown = all.filter(({ from_s }) => !within || (from_s >= within.from_s && from_s <= within.to_s));
  return (
    <section className="border-t border-rule pb-1" aria-label="Exercises">
      <h2 className="px-4 pt-2 text-[14px] font-bold">
        {shown.length === 0 ? "No exercise is found in it" : "Exercises, by their documents"}
      </h2>
      {shown.slice(0, MOST_SHOWN).map((part) => (
        <OnePart
          key={`${part.exerciseId} ${part.from_s}`}
          asked={asked}
          aircraft={aircraft}
          found={found}
          part={part}
        />
      ))}
      {!within && <ByHand asked={asked} aircraft={aircraft} found={found} />}
    </section>
  );
}

interface PartProps {
  readonly asked: ExerciseLog;
  readonly aircraft: AircraftDocument;
  readonly found: DebriefedLog;
  readonly part: { readonly exerciseId: string; readonly from_s: number; readonly to_s: number };
}

function OnePart({ asked, aircraft, found, part }: PartProps) {
  const exercise = EXERCISES.find(({ id }) => id === part.exerciseId);
  if (!exercise) return null;
  const clock = (time_s: number) => momentWords(time_s, found.summary.begins_s);
  const score = loggedScore(exercise, asked, part, aircraft);
  if (!score.ok) return <p className="px-4 py-1 text-[14px] text-brick">{score.issue.message}</p>;
  return (
    <ExerciseVerdict
      score={score.value}
      name={`${exercise.name}, ${clock(part.from_s)}`}
      unmeasured={UNMEASURED}
      clock={clock}
    />
  );
}

/** A part that is marked by hand, and the exercise that it is scored as. */
function ByHand({ asked, aircraft, found }: Omit<PartProps, "part">) {
  const exercises = EXERCISES.filter(({ fits }) => fits.includes(procedureCategory(aircraft)));
  const [exerciseId, setExercise] = useState(exercises[0]?.id ?? "");
  const [from_s, setFrom] = useState<number | null>(null);
  const [to_s, setTo] = useState<number | null>(null);
  const cursor_s = useDebrief((state) => state.cursor_s);
  const clock = (time_s: number) => momentWords(time_s, found.summary.begins_s);
  if (exercises.length === 0) return null;
  return (
    <div className="flex flex-col gap-1.5 border-t border-rule px-4 py-2 text-[14px]">
      <ChoiceField
        label="Score a part as"
        value={exerciseId}
        choices={exercises.map(({ id, name }) => ({ value: id, label: name }))}
        onChange={setExercise}
      />
      <p className="flex flex-wrap gap-1.5">
        <button type="button" className="btn btn-quiet px-2 py-0.5" onClick={() => setFrom(cursor_s)}>
          From <span className="num">{clock(from_s ?? cursor_s)}</span>
        </button>
        <button
          type="button"
          className="btn btn-quiet px-2 py-0.5"
          disabled={from_s === null || cursor_s <= from_s}
          onClick={() => setTo(cursor_s)}
        >
          To <span className="num">{clock(to_s ?? cursor_s)}</span>
        </button>
      </p>
      {from_s !== null && to_s !== null && to_s > from_s && (
        <OnePart asked={asked} aircraft={aircraft} found={found} part={{ exerciseId, from_s, to_s }} />
      )}
    </div>
  );
}
