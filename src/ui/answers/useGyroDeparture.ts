"use client";
import { useMemo } from "react";
import { create } from "zustand";
import type { ClimbOutAsked, GyroDeparture } from "@/core/rotor/gyro-departure";
import type { GyroQuestion } from "@/core/rotor/gyro-question";
import { type Answer, asking } from "@/ui/kit/lanes/asking";
import { useKept } from "@/ui/kit/lanes/useAnswer";
import { useSituation } from "@/ui/situation/situation-store";
import { useGyroAsked } from "./useGyroAsked";

/** What is tried out about a climb-out; null takes what the situation has. */
export interface ClimbOutTrial {
  readonly clear_m: number;
  readonly runway_m: number;
  readonly headwind_mps: number | null;
}

/** @see ClimbOutTrial */
export const useClimbOutTrial = create<ClimbOutTrial & { try(patch: Partial<ClimbOutTrial>): void }>()((set) => ({
  clear_m: 1500,
  runway_m: 800,
  headwind_mps: null,
  try: (patch) => set(patch),
}));

interface Asked {
  readonly question: GyroQuestion;
  readonly climbOut: ClimbOutAsked;
}

const departure = asking(
  "pointed",
  (core, { question, climbOut }: Asked) => core.gyroClimbOut(question, climbOut),
  ({ question }) => JSON.stringify(question.aircraft),
);

/** What works when the engine stops on the climb-out. */
export function useGyroDeparture(): Answer<Asked, GyroDeparture> & { readonly asked: Asked } {
  const question = useGyroAsked();
  const trial = useClimbOutTrial();
  const surface_mps = useSituation((state) => state.current.wind.surface?.speed_mps ?? 0);
  const { reaction_s, bank_rad } = useSituation((state) => state.current.pilot);
  const headwind_mps = trial.headwind_mps ?? surface_mps;
  const { clear_m, runway_m } = trial;
  const asked = useMemo(
    () => ({
      question,
      climbOut: { headwind_mps, clear_m, runway_m, bank_rad, reaction_s },
    }),
    [question, headwind_mps, clear_m, runway_m, bank_rad, reaction_s],
  );
  return { ...useKept(departure, asked), asked };
}
