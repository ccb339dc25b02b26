"use client";
import { useMemo } from "react";
import type { TakeOffAnswer } from "@/core/take-off/take-off-answer";
import { takeOffBrief } from "@/core/take-off/take-off-brief";
import { type UnitChoice } from "@/core/quantities/units";
import { useUnits } from "@/ui/kit/units/units-store";

function sentences(answer: TakeOffAnswer, units: UnitChoice): string[] {
  const { question, jet, speeds, accelerate, phases, back, climb_mps } = answer;
  return takeOffBrief(
    {
      runwayName: question.runway.name,
      runway_m: question.runway.length_m,
      jet,
      speeds,
      accelerate,
      phases,
      back,
      acceleration_m: question.plan.acceleration_m,
      turns: question.oneEngine.turns,
      failed: question.failed,
      climb_mps,
      calibration: question.aircraft.airspeedCalibration,
    },
    units,
  );
}

/** The sentences of the present answer. */
export function useTakeOffBrief(answer: TakeOffAnswer): string[];
/** The sentences of the present answer; null without one. */
export function useTakeOffBrief(answer: TakeOffAnswer | null): string[] | null;
export function useTakeOffBrief(answer: TakeOffAnswer | null): string[] | null {
  const units = useUnits((state) => state.units);
  return useMemo(() => answer && sentences(answer, units), [answer, units]);
}
