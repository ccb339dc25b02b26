"use client";
import type { AircraftDocument } from "@/core/aircraft/aircraft-document";
import type { FlightTestProfile } from "@/core/exercise/exercise";
import { flightTestResult } from "@/core/exercise/exercise-score";
import { DecisionAside } from "@/ui/kit/page/DecisionAside";
import { useRuns } from "../results/runs-store";
import { testWords } from "./exercise-words";
import { exercisesOf, runsOf, verdictOf } from "./useExercises";

const CAUTIONS = [
  "Figures are generic. The standard of your licence, your examiner and the flight manual come first.",
  "With an instructor until it is signed off; never below the hard deck.",
];

/** How a flight test stands by its drills. */
export function ExercisesAside({ aircraft, test }: { aircraft: AircraftDocument; test: FlightTestProfile | null }) {
  const runs = useRuns((state) => state.runs);
  const { exercises } = exercisesOf(aircraft);
  const flown = (runs ? exercises : [])
    .filter(({ id }) => test?.exercises.includes(id))
    .flatMap((exercise) =>
      runsOf(exercise, runs ?? [], aircraft.name).map((run) => ({
        id: exercise.id,
        verdict: verdictOf(exercise, run),
        at: run.beganAt,
      })),
    )
    .toSorted((a, b) => a.at.localeCompare(b.at));
  const said = test
    ? testWords(flightTestResult(test, flown), test)
    : {
        lead: "One document, scored three times.",
        rest: "In a drill for order, words and time; flown in the simulator; and from the log of a flight.",
        good: true,
      };
  return <DecisionAside said={said} good={said.good} cautions={CAUTIONS} />;
}
