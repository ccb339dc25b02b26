"use client";
import { useMemo } from "react";
import { type AircraftKind, kindOf } from "@/core/aircraft/aircraft-kind";
import { useAircraft } from "@/ui/situation/useAircraft";
import { BESIDE, STAGES } from "@/ui/stages";
import { type StageFace, faceFor } from "@/ui/stages/stage-face";

/** The stages as they are for the kind of the situation's aircraft. */
export interface Faces {
  readonly kind: AircraftKind;
  readonly stages: readonly StageFace[];
  readonly beside: readonly StageFace[];
  /** All that has an address, also what is left out of the lists. */
  readonly all: readonly StageFace[];
}

/** @see Faces */
export function useFaces(): Faces {
  const kind = kindOf(useAircraft().document);
  return useMemo(
    () => ({
      kind,
      stages: STAGES.map((stage) => faceFor(stage, kind)),
      // What is not for this kind is left out beside the order of work.
      beside: BESIDE.map((stage) => faceFor(stage, kind)).filter(({ Stage }) => Stage !== null),
      all: [...STAGES, ...BESIDE].map((stage) => faceFor(stage, kind)),
    }),
    [kind],
  );
}
