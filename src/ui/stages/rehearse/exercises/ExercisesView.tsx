"use client";
import { Play, Printer } from "lucide-react";
import { createElement, useEffect } from "react";
import { toast } from "sonner";
import type { AircraftDocument } from "@/core/aircraft/aircraft-document";
import {
  type Exercise,
  type FlightTestProfile,
  FlightTestProfile as FlightTestProfileSchema,
} from "@/core/exercise/exercise";
import { formatNumber } from "@/core/quantities/units";
import { fileName } from "@/ui/kit/download";
import { ChoiceField } from "@/ui/kit/forms/ChoiceField";
import { FileButton } from "@/ui/kit/forms/FileButton";
import { useFormat } from "@/ui/kit/units/units-store";
import { newOwnId } from "@/ui/library/own/own-documents-store";
import { useFlightTests } from "@/ui/library/own/own-documents";
import { readOwnFile } from "@/ui/library/own/read-own-file";
import { useRuns } from "../results/runs-store";
import { VERDICT_WORDS, exerciseLines, failWords, heldWords, toleranceWords } from "@/ui/library/exercise-words";
import { FlightTestEditor } from "./FlightTestEditor";
import type { ExerciseCardContent } from "./ExerciseCardPdf";
import { exercisesOf, runsOf, testResult, useLastScore, verdictOf } from "./useExercises";

const ALL = "all";
const NEW_TEST = {
  format: "utrimax/flight-test",
  version: 1,
  name: "My flight test",
  repeats: 1,
  stopsAtFailure: false,
} as const;

interface Props {
  aircraft: AircraftDocument;
  test: FlightTestProfile | null;
  onTest: (id: string | null) => void;
  chosenId: string | null;
  onChoose: (id: string) => void;
  /** Runs the drill of an exercise. */
  onRun: (procedureId: string) => void;
}

function print(content: ExerciseCardContent): void {
  void Promise.all([import("@/ui/kit/print/make-pdf"), import("./ExerciseCardPdf")])
    .then(([{ makePdf }, { ExerciseCardPdf }]) =>
      makePdf(createElement(ExerciseCardPdf, { content }), `exercise-${fileName(content.title)}.pdf`),
    )
    .catch(() => toast("The card could not be made. Try again."));
}

/** Exercises, alone or as a flight test: what is asked for, where it comes from, and how the drill of each went. */
export function ExercisesView({ aircraft, test, onTest, chosenId, onChoose, onRun }: Props) {
  const format = useFormat();
  const runs = useRuns((state) => state.runs);
  useEffect(() => {
    void useRuns.getState().load(null);
    void useFlightTests.getState().load();
  }, []);
  const { own, draft } = useFlightTests();
  const { edit } = useFlightTests.getState();
  const mine = own?.find(({ id }) => id === test?.id) ?? null;
  const { exercises, tests } = exercisesOf(
    aircraft,
    own?.map(({ document }) => document),
  );
  const shown = test
    ? test.exercises.flatMap((id) => exercises.find((exercise) => exercise.id === id) ?? [])
    : exercises;
  const chosen = shown.find(({ id }) => id === chosenId) ?? shown.at(0);
  const copy = (profile: FlightTestProfile) =>
    edit({ ...profile, id: newOwnId(), name: `${profile.name}, mine`.slice(0, 60) }, null);
  const open = async (file: File) => {
    const read = await readOwnFile(file, FlightTestProfileSchema);
    if (typeof read === "string") toast(read);
    else edit({ ...read, id: newOwnId() }, null);
  };
  const result = test && testResult(test, exercises, runs ?? [], aircraft.name);
  const due = result?.exercises.find(({ verdict }) => verdict === null || verdict === "failed");
  const next = exercises.find(({ id }) => id === due?.id);
  const onCard = (list: readonly Exercise[], title: string) =>
    print({
      title,
      sub: `${aircraft.name}. Generic figures, each with its source on the page; the examiner’s come first.`,
      exercises: list.map((exercise) => ({ name: exercise.name, lines: exerciseLines(exercise, format) })),
    });
  if (draft) return <FlightTestEditor key={draft.id} draft={draft} exercises={exercises} />;
  return (
    <div className="grid min-h-0 grid-rows-[auto_minmax(0,1fr)]">
      <div className="flex items-end gap-2 border-b border-rule px-4 py-1.5">
        <ChoiceField
          label="Flight test"
          value={test?.id ?? ALL}
          onChange={(value) => onTest(value === ALL ? null : value)}
          choices={[
            { value: ALL, label: "all exercises" },
            ...tests.map(({ id, name }) => ({ value: id, label: name })),
          ]}
        />
        {test && mine && (
          <button type="button" className="btn btn-quiet" onClick={() => edit(mine.document, mine)}>
            Change
          </button>
        )}
        {test && !mine && (
          <button type="button" className="btn btn-quiet" onClick={() => copy(test)}>
            Copy
          </button>
        )}
        {!test && exercises.length > 0 && (
          <>
            <button
              type="button"
              className="btn btn-quiet"
              onClick={() =>
                edit({ ...NEW_TEST, id: newOwnId(), exercises: exercises.slice(0, 1).map(({ id }) => id) }, null)
              }
            >
              Build one
            </button>
            <FileButton
              label="Import JSON"
              fileLabel="Flight test file"
              accept="application/json,.json"
              onChoose={(file) => void open(file)}
            />
          </>
        )}
        {next?.procedure && (
          <button type="button" className="btn" onClick={() => onRun(next.procedure ?? "")}>
            <Play size={15} aria-hidden="true" /> Go on: {next.name}
          </button>
        )}
        <button
          type="button"
          className="btn btn-quiet ml-auto"
          onClick={() => onCard(shown, test?.name ?? `Exercises, ${aircraft.name}`)}
        >
          <Printer size={15} aria-hidden="true" /> Card of all
        </button>
      </div>
      <div className="grid min-h-0 grid-cols-[17rem_minmax(0,1fr)]">
        <ol className="min-h-0 overflow-auto border-r border-rule" aria-label="Exercises">
          {shown.map((exercise, i) => {
            const last = runs && runsOf(exercise, runs, aircraft.name).at(-1);
            const verdict = last ? verdictOf(exercise, last) : null;
            return (
              <li key={exercise.id}>
                <button
                  type="button"
                  className="block w-full border-b border-rule px-4 py-2 text-left hover:bg-mark aria-[current=true]:bg-mark"
                  aria-current={exercise.id === chosen?.id ? "true" : undefined}
                  onClick={() => onChoose(exercise.id)}
                >
                  <span className="block font-semibold">
                    {test ? `${formatNumber(i + 1)} ` : ""}
                    {exercise.name}
                  </span>
                  <span className={`block text-[13px] ${verdict === "failed" ? "text-brick" : "text-ink2"}`}>
                    {verdict ? VERDICT_WORDS[verdict] : "drill not run yet"}
                  </span>
                </button>
              </li>
            );
          })}
        </ol>
        {chosen && (
          <ExerciseSheet
            key={chosen.id}
            exercise={chosen}
            aircraft={aircraft}
            onRun={onRun}
            onCard={() => onCard([chosen], chosen.name)}
          />
        )}
      </div>
    </div>
  );
}

interface SheetProps {
  exercise: Exercise;
  aircraft: AircraftDocument;
  onRun: (procedureId: string) => void;
  onCard: () => void;
}

function ExerciseSheet({ exercise, aircraft, onRun, onCard }: SheetProps) {
  const format = useFormat();
  const score = useLastScore(exercise, aircraft);
  const { setUp, procedure, drill } = exercise;
  return (
    <article className="min-h-0 overflow-auto px-5 py-3 text-[15px]" tabIndex={0} aria-label={exercise.name}>
      <header className="flex items-start gap-3">
        <div className="min-w-0 flex-1">
          <h2 className="text-[19px] font-bold">{exercise.name}</h2>
          <p className="text-ink2">{exercise.purpose}</p>
        </div>
        {procedure !== null && (
          <button type="button" className="btn" onClick={() => onRun(procedure)}>
            <Play size={15} aria-hidden="true" /> Its drill
          </button>
        )}
        <button type="button" className="btn btn-quiet" onClick={onCard}>
          <Printer size={15} aria-hidden="true" /> Card
        </button>
      </header>
      <dl className="mt-3 grid grid-cols-[8rem_1fr] gap-x-4 gap-y-1 [&>dt]:text-ink2">
        <dt>Set up</dt>
        <dd>
          {setUp.configuration}, {format("height", setUp.height_m)} above ground
          {setUp.hardDeck_m !== null && `, never below ${format("height", setUp.hardDeck_m)}`}
        </dd>
        <dt>Drill</dt>
        <dd>
          {drill.wrong === 0 ? "nothing wrong" : `at most ${formatNumber(drill.wrong)} wrong`}
          {drill.seconds !== null && `, within ${formatNumber(drill.seconds)} s`}
        </dd>
        {exercise.fails.length > 0 && (
          <>
            <dt>Fails at once</dt>
            <dd>{exercise.fails.map((event) => failWords(event, format)).join("; ")}</dd>
          </>
        )}
        {exercise.lookOuts.length > 0 && (
          <>
            <dt>Look-out</dt>
            <dd>{exercise.lookOuts.join(" ")}</dd>
          </>
        )}
        {exercise.calls.length > 0 && (
          <>
            <dt>Calls</dt>
            <dd>{exercise.calls.join(" ")}</dd>
          </>
        )}
      </dl>
      <table className="mt-3 w-full text-[14px] [&_td]:border-b [&_td]:border-rule [&_td]:py-1 [&_td]:pr-3 [&_th]:text-left [&_th]:font-normal [&_th]:text-ink2">
        <thead>
          <tr>
            <th>within</th>
            <th>last drill</th>
            <th>from</th>
          </tr>
        </thead>
        <tbody>
          {exercise.tolerances.map((tolerance, i) => {
            const held = score?.tolerances.at(i);
            return (
              <tr key={i}>
                <td>
                  <span className="block font-semibold">{toleranceWords(tolerance, format)}</span>
                  <span className="text-[13px] text-ink2">{formatNumber(tolerance.forgiven_s)} s are forgiven</span>
                </td>
                <td className={`w-28 ${held?.held === false ? "text-brick" : "text-ink2"}`}>
                  {held ? heldWords(held, format) : "–"}
                </td>
                <td className="text-[13px] text-ink2">{tolerance.source}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </article>
  );
}
