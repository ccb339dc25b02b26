"use client";
import { useMemo } from "react";
import { create } from "zustand";
import { clamp } from "@/core/numeric/clamp";
import { MPS_PER_KT } from "@/core/quantities/constants";
import type { AutorotationLanding } from "@/core/rotor/autorotation-landing";
import type { DownAsked } from "@/core/rotor/autorotation-answer";
import type { GyroQuestion } from "@/core/rotor/gyro-question";
import type { GyroSpotAnswer } from "@/core/rotor/gyro-answer";
import type { SpotPosition } from "@/core/rotor/gyro-spot";
import { type Answer, asking } from "@/ui/kit/lanes/asking";
import { useKept } from "@/ui/kit/lanes/useAnswer";
import { useGroundHere_m } from "@/ui/situation/ground-at";
import { useHelicopter } from "@/ui/situation/useAircraftOfKind";
import { useSituation } from "@/ui/situation/situation-store";
import { useGyroAsked } from "./useGyroAsked";

/** What is tried out about a landing without engine; null takes what the situation has. */
export interface RotorLandingTrial {
  /** Above the place of landing. */
  readonly height_m: number | null;
  /** To the spot into the landing direction; behind negative. */
  readonly ahead_m: number;
  readonly headwind_mps: number | null;
  readonly school: DownAsked["school"];
  /** Airspeed when the engines stop. */
  readonly tas_mps: number;
}

/** @see RotorLandingTrial */
export const useRotorTrial = create<RotorLandingTrial & { try(patch: Partial<RotorLandingTrial>): void }>()((set) => ({
  height_m: null,
  ahead_m: 300,
  headwind_mps: null,
  school: "best-range",
  tas_mps: 80 * MPS_PER_KT,
  try: (patch) => set(patch),
}));

/** Height above the ground here and the wind of the surface, where nothing else is tried. */
function usePosition(): SpotPosition {
  const trial = useRotorTrial();
  const altitude_m = useSituation((state) => state.current.altitude_m);
  const surface_mps = useSituation((state) => state.current.wind.surface?.speed_mps ?? 0);
  const ground_m = useGroundHere_m() ?? 0;
  const height_m = clamp(trial.height_m ?? altitude_m - ground_m, 30, 3000);
  const headwind_mps = clamp(trial.headwind_mps ?? surface_mps, -10, 25);
  const { ahead_m } = trial;
  return useMemo(() => ({ height_m, ahead_m, headwind_mps }), [height_m, ahead_m, headwind_mps]);
}

interface SpotAsked {
  readonly question: GyroQuestion;
  readonly position: SpotPosition;
}

const spot = asking(
  "pointed",
  (core, { question, position }: SpotAsked) => core.gyroSpot(question, position),
  ({ question }) => JSON.stringify(question.aircraft),
);

/** Ways to the spot. */
export function useSpot(): Answer<SpotAsked, GyroSpotAnswer> & { readonly asked: SpotAsked } {
  const question = useGyroAsked();
  const position = usePosition();
  const asked = useMemo(() => ({ question, position }), [question, position]);
  return { ...useKept(spot, asked), asked };
}

const down = asking(
  "pointed",
  (core, asked: DownAsked) => core.autorotationDown(asked),
  ({ aircraft }) => JSON.stringify(aircraft),
);

/** Down without engines, from the situation. */
export function useDown(): Answer<DownAsked, AutorotationLanding> & {
  readonly asked: DownAsked;
  readonly height_m: number;
} {
  const { document } = useHelicopter();
  const { mass_kg, altitude_m, air } = useSituation((state) => state.current);
  const { school, tas_mps } = useRotorTrial();
  const { height_m, headwind_mps } = usePosition();
  const mass = clamp(mass_kg, document.mass.minimum_kg, document.mass.maximum_kg);
  const asked = useMemo(
    () => ({ aircraft: document, mass_kg: mass, altitude_m, air, school, tas_mps, headwind_mps }),
    [document, mass, altitude_m, air, school, tas_mps, headwind_mps],
  );
  return { ...useKept(down, asked), asked, height_m };
}
