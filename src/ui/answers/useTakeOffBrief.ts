"use client";
import { useMemo } from "react";
import { takeOffBrief } from "@/core/take-off/take-off-brief";
import { useUnits } from "@/ui/kit/units/units-store";
import type { TakeOffAnswer } from "@/core/take-off/take-off-answer";

/** The sentences of the present answer. */
export function useTakeOffBrief({
  question,
  jet,
  speeds,
  accelerate,
  phases,
  back,
  climb_mps,
}: TakeOffAnswer): string[] {
  const units = useUnits((state) => state.units);
  return useMemo(
    () =>
      takeOffBrief(
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
        },
        units,
      ),
    [question, jet, speeds, accelerate, phases, back, climb_mps, units],
  );
}
