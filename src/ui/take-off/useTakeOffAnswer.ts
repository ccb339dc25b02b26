"use client";
import { useEffect, useMemo, useRef } from "react";
import { departureRunways } from "@/core/departure/departure-input";
import type { TakeOffInput } from "@/core/take-off/take-off-day";
import { core } from "@/ui/core/core";
import { latestOnly } from "@/ui/core/latest";
import { useReach } from "@/ui/landing/reach-store";
import { useAircraft, useLandingEnds } from "@/ui/shell/library";
import { useSituation } from "@/ui/situation/situation-store";
import { useTakeOff } from "./take-off-store";

/** Whether the aircraft of the situation takes off with two engines, as this stage computes it. */
export function useHasTwoEngines(): boolean {
  return useAircraft().document.asymmetric !== null;
}

/** What the situation asks about the take-off; null for other aircraft and without a runway. */
export function useTakeOffQuestion(): TakeOffInput | null {
  const { document } = useAircraft();
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

/** Keeps the take-off up to date; the ground ahead is asked for when the worker holds the terrain. */
export function useTakeOffAnswer(): void {
  const question = useTakeOffQuestion();
  const terrain = useReach((state) => state.answer?.terrainId);
  const run = useRef(latestOnly());
  useEffect(() => {
    const { set } = useTakeOff.getState();
    if (!question || terrain === undefined) {
      set({ answer: null, issue: null });
      return;
    }
    // An answer about another aircraft is no answer.
    if (useTakeOff.getState().answer?.input.aircraft !== question.aircraft) set({ answer: null, issue: null });
    run.current(async () => {
      const outcome = await core()
        .takeOff(question)
        .catch(() => null);
      if (outcome) set(outcome.ok ? { answer: outcome.value, issue: null } : { answer: null, issue: outcome.issue });
    });
  }, [question, terrain]);
}
