"use client";
import { useEffect, useState } from "react";
import type { AircraftDocument } from "@/core/aircraft/aircraft-document";
import { bookSpeed_mps } from "@/core/exercise/book-speed";
import { drillTrace } from "@/core/exercise/drill-trace";
import type { Exercise, FlightTestProfile } from "@/core/exercise/exercise";
import {
  type ExerciseScore,
  type FlightTestResult,
  exerciseScore,
  flightTestResult,
} from "@/core/exercise/exercise-score";
import { EXERCISES, FLIGHT_TESTS } from "@/core/exercise/library";
import type { DrillRun } from "@/core/procedure/drill-run";
import { procedureCategory } from "@/core/procedure/library/procedures";
import type { ListedRun } from "@/server/runs";
import { send } from "@/ui/kit/request";
import { useRuns } from "../results/runs-store";

/** Exercises and flight tests that fit an aircraft, one's own first. */
export function exercisesOf(aircraft: AircraftDocument, own: readonly FlightTestProfile[] = []) {
  const category = procedureCategory(aircraft);
  const exercises = EXERCISES.filter(({ fits }) => fits.includes(category));
  const known = new Set(exercises.map(({ id }) => id));
  return { exercises, tests: [...own, ...FLIGHT_TESTS].filter((test) => test.exercises.every((id) => known.has(id))) };
}

/** Runs of an exercise's drill with an aircraft, the first flown first. */
export const runsOf = ({ procedure }: Exercise, runs: readonly ListedRun[], aircraft: string): readonly ListedRun[] =>
  runs.filter((run) => run.procedureId === procedure && run.aircraft === aircraft).toReversed();

/** The verdict of a run by what came of it: what is flown is not measured in a drill. */
export const verdictOf = ({ drill }: Exercise, { result }: ListedRun): ExerciseScore["verdict"] =>
  result.wrong > drill.wrong || result.ground || !result.over || (drill.seconds ?? Infinity) < result.took_s
    ? "failed"
    : "unmeasured";

/** Drills of one sitting lie within this, ms: those of last month are not repeats of today's. */
const SITTING_MS = 12 * 3600 * 1000;

/** How a flight test stands by the drills of its last sitting. */
export function testResult(
  test: FlightTestProfile,
  exercises: readonly Exercise[],
  runs: readonly ListedRun[],
  aircraft: string,
): FlightTestResult {
  const flown = exercises
    .filter(({ id }) => test.exercises.includes(id))
    .flatMap((exercise) =>
      runsOf(exercise, runs, aircraft).map((run) => ({
        id: exercise.id,
        verdict: verdictOf(exercise, run),
        at_ms: Date.parse(run.beganAt),
      })),
    )
    .toSorted((a, b) => a.at_ms - b.at_ms);
  const since_ms = (flown.at(-1)?.at_ms ?? 0) - SITTING_MS;
  return flightTestResult(
    test,
    flown.filter(({ at_ms }) => at_ms >= since_ms),
  );
}

/** The score of the run that was flown last, by the document; null while there is none. */
export function useLastScore(exercise: Exercise, aircraft: AircraftDocument): ExerciseScore | null {
  const runs = useRuns((state) => state.runs);
  const last = runs && runsOf(exercise, runs, aircraft.name).at(-1);
  const [fetched, setFetched] = useState<{ readonly id: string; readonly run: DrillRun } | null>(null);
  const id = last?.id ?? null;
  useEffect(() => {
    if (id === null) return;
    let gone = false;
    void send<{ run: DrillRun }>("GET", `/api/runs/${id}`).then((answer) => {
      if (!gone && answer.ok) setFetched({ id, run: answer.value.run });
    });
    return () => {
      gone = true;
    };
  }, [id]);
  if (!last || fetched?.id !== last.id) return null;
  const score = exerciseScore(exercise, drillTrace(fetched.run, last.result.took_s), {
    drill: last.result,
    book_mps: bookSpeed_mps(aircraft),
  });
  return score.ok ? score.value : null;
}
