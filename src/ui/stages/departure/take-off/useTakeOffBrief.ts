"use client";
import { useMemo } from "react";
import { takeOffBrief } from "@/core/take-off/take-off-brief";
import { useUnits } from "@/ui/kit/units/units-store";
import type { TakeOffAnswer } from "@/core/take-off/take-off-answer";

/** The sentences of the present answer. */
export function useTakeOffBrief({ input, jet, speeds, accelerate, phases, back, climb_mps }: TakeOffAnswer): string[] {
  const units = useUnits((state) => state.units);
  return useMemo(
    () =>
      takeOffBrief(
        {
          runwayName: input.runway.name,
          runway_m: input.runway.length_m,
          jet,
          speeds,
          accelerate,
          phases,
          back,
          acceleration_m: input.plan.acceleration_m,
          turns: input.oneEngine.turns,
          failed: input.failed,
          climb_mps,
        },
        units,
      ),
    [input, jet, speeds, accelerate, phases, back, climb_mps, units],
  );
}
