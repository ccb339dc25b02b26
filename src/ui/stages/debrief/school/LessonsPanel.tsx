"use client";
import { useState } from "react";
import { EXERCISES } from "@/core/exercise/library";
import { type HandInKind, type LessonPart, mayDo } from "@/core/school/school";
import type { SetLesson } from "@/server/lessons";
import { dayInWords } from "@/ui/kit/units/day-in-words";
import { useFormat } from "@/ui/kit/units/units-store";
import { flightWords, runWords, useOwnFlown } from "../useOwnFlown";
import { LessonForm } from "./LessonForm";
import { SOURCE_WORDS, VERDICT_TONES, VERDICT_WORDS, exerciseName } from "./school-words";
import { type School, giveIn, useSchool, withdraw } from "./school-store";

/** Something of one's own that could be handed in. */
interface Source {
  readonly kind: HandInKind;
  readonly id: string;
  readonly words: string;
}

/** Lessons that stand: what each asks, what was handed in of one's own, and the way to hand in. */
export function LessonsPanel({ school }: { school: School }) {
  const [making, setMaking] = useState(false);
  const { runs, flights, logs } = useOwnFlown();
  const sets = mayDo(school.role, "set lessons");
  const sourcesOf = ({ exerciseId, ways }: LessonPart): Source[] => {
    const exercise = EXERCISES.find(({ id }) => id === exerciseId);
    return [
      ...runs
        .filter(({ procedureId }) => ways.includes("run") && procedureId === exercise?.procedure)
        .map((run) => ({ kind: "run" as const, id: run.id, words: `drill: ${runWords(run)}` })),
      ...flights
        .filter((flight) => ways.includes("flight") && flight.exerciseId === exerciseId)
        .map((flight) => ({ kind: "flight" as const, id: flight.id, words: `by hand: ${flightWords(flight)}` })),
      ...logs
        .filter(() => ways.includes("log"))
        .map(({ id, name }) => ({ kind: "log" as const, id, words: `flown: ${name}` })),
    ].slice(0, 100);
  };
  return (
    <div className="grid max-w-3xl gap-4">
      {sets && (
        <div>
          <button type="button" className="btn" aria-expanded={making} onClick={() => setMaking(!making)}>
            Set a lesson
          </button>
          {making && <LessonForm onDone={() => setMaking(false)} />}
        </div>
      )}
      {school.lessons.length === 0 && <p className="text-ink2">No lesson is set.</p>}
      {school.lessons.map((one) => (
        <LessonOf key={one.id} school={school} set={one} sets={sets} sourcesOf={sourcesOf} />
      ))}
    </div>
  );
}

interface LessonProps {
  school: School;
  set: SetLesson;
  sets: boolean;
  sourcesOf: (part: LessonPart) => Source[];
}

function LessonOf({ school, set, sets, sourcesOf }: LessonProps) {
  const busy = useSchool((state) => state.busy);
  const format = useFormat();
  const { name, words, due, parts } = set.lesson;
  return (
    <section className="border-t border-rule pt-2" aria-label={name}>
      <h2 className="flex items-baseline gap-3 text-[17px] font-bold">
        {name}
        <span className="text-[14px] font-normal text-ink2">
          set {dayInWords(Date.parse(set.setAt))}
          {due === null ? "" : `, due ${dayInWords(Date.parse(due))}`}
        </span>
        {sets && (
          <button
            type="button"
            className="btn btn-quiet ml-auto py-0 text-[14px]"
            onClick={() => void withdraw(set.id)}
          >
            Withdraw
          </button>
        )}
      </h2>
      {words !== "" && <p className="max-w-prose">{words}</p>}
      <ul>
        {parts.map((part) => {
          const mine = school.handIns.filter(
            (one) => one.accountId === school.me && one.lessonId === set.id && one.exerciseId === part.exerciseId,
          );
          const sources = sourcesOf(part).filter(({ id }) => !mine.some(({ result }) => result.sourceId === id));
          return (
            <li key={part.exerciseId} className="py-1.5">
              <p>
                <strong>{exerciseName(part.exerciseId)}</strong>{" "}
                <span className="text-[14px] text-ink2">
                  {part.hardDeck_m === null ? "" : `not below ${format("height", part.hardDeck_m, "up")}; `}
                  {part.tolerance === 1 ? "" : `tolerances × ${part.tolerance}; `}
                  {part.ways.map((way) => SOURCE_WORDS[way]).join(", ")}
                </span>
              </p>
              {mine.map((one) => (
                <p key={one.id} className="text-[14px]">
                  {dayInWords(Date.parse(one.result.at))}:{" "}
                  <span className={VERDICT_TONES[one.result.verdict]}>{VERDICT_WORDS[one.result.verdict]}</span>
                  {one.signed === null
                    ? ", not signed yet"
                    : one.signed
                      ? `, signed by ${one.signedBy}`
                      : `, once more: ${one.signedBy}`}
                  {one.words === "" ? "" : `: “${one.words}”`}
                </p>
              ))}
              <label className="mt-0.5 flex items-center gap-2 text-[14px]">
                <span className="text-ink2">Hand in</span>
                <select
                  className="field w-auto max-w-96 py-0.5"
                  value=""
                  disabled={busy || sources.length === 0}
                  onChange={(event) => {
                    const source = sources.find(({ id }) => id === event.currentTarget.value);
                    if (source) void giveIn(set.id, part.exerciseId, source.kind, source.id);
                  }}
                >
                  <option value="">
                    {sources.length === 0
                      ? "nothing of yours fits yet"
                      : busy
                        ? "scoring …"
                        : "choose what was flown …"}
                  </option>
                  {sources.map(({ id, words: says }) => (
                    <option key={id} value={id}>
                      {says}
                    </option>
                  ))}
                </select>
              </label>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
