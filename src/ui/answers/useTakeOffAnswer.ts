"use client";
import { useMemo } from "react";
import { departureRunways } from "@/core/departure/departure-question";
import type { TakeOffQuestion } from "@/core/take-off/take-off-day";
import { asking } from "@/ui/kit/lanes/asking";
import { useKept } from "@/ui/kit/lanes/useAnswer";
import { useLandingEnds } from "@/ui/situation/useNearPlaces";
import { useAeroplane } from "@/ui/situation/useAircraftOfKind";
import { useSituation } from "@/ui/situation/situation-store";
import { useTakeOff } from "./take-off-store";

/** Whether the aircraft of the situation takes off with two engines, as this stage computes it. */
export function useHasTwoEngines(): boolean {
  return useAeroplane().document.asymmetric !== null;
}

/** What the situation asks about the take-off; null for other aircraft and without a runway. */
export function useTakeOffQuestion(): TakeOffQuestion | null {
  const { document } = useAeroplane();
  const ends = useLandingEnds();
  const { departure, oneEngine, mass_kg, centreOfGravity, air, wind, position } = useSituation(
    (state) => state.current,
  );
  const runway = useMemo(
    () =>
      ends.find((end) => end.id === departure.endId && !end.unprepared) ??
      departureRunways({ position, wind }, ends)[0] ??
      null,
    [ends, departure.endId, position, wind],
  );
  const { intersection_m, flap, twoEngines } = departure;
  return useMemo(
    () =>
      document.asymmetric && runway
        ? {
            aircraft: document,
            mass_kg,
            centreOfGravity,
            air,
            wind,
            runway,
            intersection_m,
            flap: flap !== null && flap < (document.polar?.flaps.length ?? 0) ? flap : null,
            failed: "left",
            plan: twoEngines,
            oneEngine,
          }
        : null,
    [document, runway, mass_kg, centreOfGravity, air, wind, intersection_m, flap, twoEngines, oneEngine],
  );
}

const takeOff = asking(
  "long",
  (core, question: TakeOffQuestion) => core.takeOff(question),
  ({ aircraft }) => JSON.stringify(aircraft),
);

takeOff.subscribe(() => {
  const { value, issue } = takeOff.get();
  useTakeOff.getState().set({ answer: value, issue });
});

/** Keeps the take-off up to date. */
export function useTakeOffAnswer(): void {
  useKept(takeOff, useTakeOffQuestion());
}
