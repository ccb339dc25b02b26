// What is handed in for a lesson, scored anew by its own limits: from the run, the flight or the log itself, not from
// what a page says came of it.
import { foundExercises, loggedScore } from "../debrief/logged-exercises";
import { bookSpeed_mps } from "../exercise/book-speed";
import { drillTrace } from "../exercise/drill-trace";
import type { Exercise } from "../exercise/exercise";
import { type ExerciseScore, exerciseScore } from "../exercise/exercise-score";
import { drillResult } from "../exercise/flown-drill";
import { flownScore } from "../exercise/flown-result";
import { EXERCISES } from "../exercise/library";
import { type Outcome, failure, success } from "../outcome";
import type { DrillRun } from "../procedure/drill-run";
import { runResult } from "../procedure/run-document";
import { setUpFlight } from "../simulation/flight-set-up";
import { freshTrace, noteTrace } from "../simulation/flight-trace";
import { groundOf } from "../simulation/ground";
import type { KeptFlight } from "../simulation/kept-flight";
import { replay } from "../simulation/recording";
import { analyse } from "../track/analyse";
import { drawnTrack } from "../track/drawn-track";
import { type KeptLog, dayOf } from "../track/kept-log";
import { readKeptLog } from "../track/read-kept-log";
import type { LessonPart } from "./school";

/** The verdict that a lesson cares for. */
type Verdict = ExerciseScore["verdict"];

/** The exercise of a part with its limits: tolerances as wide as it says, the deck not lower than it says. */
export function lessonExercise({ exerciseId, hardDeck_m, tolerance }: LessonPart): Outcome<Exercise> {
  const exercise = EXERCISES.find(({ id }) => id === exerciseId);
  if (!exercise) return failure("no_such_exercise", "There is no such exercise any more.", "exerciseId");
  const { setUp, tolerances } = exercise;
  const deck = hardDeck_m === null ? setUp.hardDeck_m : Math.max(hardDeck_m, setUp.hardDeck_m ?? 0);
  return success({
    ...exercise,
    setUp: { ...setUp, hardDeck_m: deck },
    tolerances: tolerances.map((held) => ({ ...held, below: held.below * tolerance, above: held.above * tolerance })),
  });
}

/**
 * A run of a drill.
 *
 * @returns `other_exercise` where it is another drill than the exercise's
 */
export function runVerdict(exercise: Exercise, run: DrillRun, until_s: number): Outcome<Verdict> {
  if (run.procedure.id !== exercise.procedure)
    return failure("other_exercise", `This run is of another drill than “${exercise.name}”.`, "sourceId");
  const scored = exerciseScore(exercise, drillTrace(run, until_s), { drill: runResult(run, until_s), book_mps: null });
  return scored.ok ? success(scored.value.verdict) : scored;
}

/**
 * A flight by hand, flown again over the ground of its set-up.
 *
 * @returns `other_exercise` where it was flown as another one; failures of the set-up and of the score
 */
export function flightVerdict(exercise: Exercise, kept: KeptFlight): Outcome<Verdict> {
  if (kept.exerciseId !== exercise.id)
    return failure("other_exercise", `This flight was not flown as “${exercise.name}”.`, "sourceId");
  const { setUp, strips } = kept.flown;
  const flight = setUpFlight(setUp, groundOf(null, setUp.ground_m, strips));
  if (!flight.ok) return flight;
  const trace = freshTrace();
  replay(flight.value, kept.recording, (step) => {
    noteTrace(trace, flight.value, step);
    return true;
  });
  if (trace.rows.length < 2) return failure("too_short", "This flight is too short to be scored.", "sourceId");
  const score = flownScore(exercise, trace.rows, {
    drill: drillResult(kept, trace.rows),
    book_mps: bookSpeed_mps(setUp.aircraft),
  });
  return score
    ? success(score.verdict)
    : failure("never_begun", "In this flight the exercise never began.", "sourceId");
}

/** The best of several tries in one log counts. */
const ORDER: readonly Verdict[] = ["failed", "unmeasured", "passed"];

/**
 * A flight log: the exercise as it is found in it; of several the best.
 *
 * @returns `no_aircraft`, `not_found`; failures of reading and analysis
 */
export function logVerdict(exercise: Exercise, log: KeptLog): Outcome<Verdict> {
  const { aircraft } = log;
  if (!aircraft) return failure("no_aircraft", "This log does not say which aircraft flew.", "sourceId");
  const read = readKeptLog(log);
  if (!read.ok) return read;
  const found = analyse(read.value, dayOf(log));
  if (!found.ok) return found;
  const { flown, flights } = found.value;
  const exerciseLog = { drawn: drawnTrack(flown), flights, airKnown: flown.has.airspeed || flown.wind !== null };
  const verdicts = foundExercises(exerciseLog, aircraft, log.mass_kg)
    .filter(({ exerciseId }) => exerciseId === exercise.id)
    .flatMap((part) => {
      const scored = loggedScore(exercise, exerciseLog, part, aircraft);
      return scored.ok ? [scored.value.verdict] : [];
    });
  const best = verdicts.toSorted((a, b) => ORDER.indexOf(b) - ORDER.indexOf(a)).at(0);
  return best ? success(best) : failure("not_found", `“${exercise.name}” is not found in this log.`, "sourceId");
}
