"use client";
import { useMemo } from "react";
import { create } from "zustand";
import { MPS_PER_KT } from "@/core/quantities/constants";
import type { Down, DownAsked } from "@/core/rotor/autorotation-answer";
import type { HelicopterQuestion } from "@/core/rotor/helicopter-question";
import type { GyroQuestion } from "@/core/rotor/gyro-question";
import type { GyroSpotAnswer } from "@/core/rotor/gyro-answer";
import type { SpotPosition } from "@/core/rotor/gyro-spot";
import { type Answer, asking } from "@/ui/kit/lanes/asking";
import { useKept } from "@/ui/kit/lanes/useAnswer";
import { useGroundOrNearest_m } from "@/ui/situation/ground-at";
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
  const ground_m = useGroundOrNearest_m();
  const height_m = trial.height_m ?? Math.max(altitude_m - ground_m, 0);
  const headwind_mps = trial.headwind_mps ?? surface_mps;
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

/** A way down of the situation's helicopter. */
export function useDownOf({
  school,
  tas_mps,
  headwind_mps,
  height_m,
}: Omit<DownAsked, keyof HelicopterQuestion>): DownAsked {
  const { document } = useHelicopter();
  const { mass_kg, altitude_m, air } = useSituation((state) => state.current);
  return useMemo(
    () => ({ aircraft: document, mass_kg, altitude_m, air, school, tas_mps, headwind_mps, height_m }),
    [document, mass_kg, altitude_m, air, school, tas_mps, headwind_mps, height_m],
  );
}

/** Down without engines, as it is tried. */
export function useDown(): Answer<DownAsked, Down> & { readonly asked: DownAsked } {
  const { school, tas_mps } = useRotorTrial();
  const { height_m, headwind_mps } = usePosition();
  const asked = useDownOf({ school, tas_mps, headwind_mps, height_m });
  return { ...useKept(down, asked), asked };
}
