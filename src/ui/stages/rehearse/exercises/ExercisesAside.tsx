"use client";
import type { AircraftDocument } from "@/core/aircraft/aircraft-document";
import type { FlightTestProfile } from "@/core/exercise/exercise";
import { DecisionAside } from "@/ui/kit/page/DecisionAside";
import { useRuns } from "../results/runs-store";
import { testWords } from "@/ui/library/exercise-words";
import { exercisesOf, testResult } from "./useExercises";

const CAUTIONS = [
  "Figures are generic. The standard of your licence, your examiner and the flight manual come first.",
  "With an instructor until it is signed off; never below the hard deck.",
];

/** How a flight test stands by its drills. */
export function ExercisesAside({ aircraft, test }: { aircraft: AircraftDocument; test: FlightTestProfile | null }) {
  const runs = useRuns((state) => state.runs);
  const { exercises } = exercisesOf(aircraft);
  const said = test
    ? testWords(testResult(test, exercises, runs ?? [], aircraft.name), test)
    : {
        lead: "One document, scored three times.",
        rest: "In a drill for order, words and time; flown in the simulator; and from the log of a flight.",
        good: true,
      };
  return <DecisionAside said={said} good={said.good} cautions={CAUTIONS} />;
}
