"use client";
import { useMemo } from "react";
import type { DriftHere } from "@/core/drift/drift-here";
import type { DriftQuestion } from "@/core/drift/drift-question";
import type { LatLon } from "@/core/earth/geodesic";
import { useRoute } from "@/ui/answers/route-store";
import { asking } from "@/ui/kit/lanes/asking";
import { useKept } from "@/ui/kit/lanes/useAnswer";

interface Asked {
  readonly question: DriftQuestion;
  readonly origin: LatLon;
  readonly cursor_m: number;
}

/** Account and view read the same answer: it is asked for once. */
const here = asking(
  "cover",
  (core, { question, origin, cursor_m }: Asked) => core.oneEngineHere(question, origin, cursor_m),
  ({ question }) => JSON.stringify(question.aircraft),
);

/** The ways on one engine at the cursor. */
export function useDriftHere(): DriftHere | null {
  const drift = useRoute((state) => state.drift);
  const cursor_m = useRoute((state) => state.cursor_m);
  const asked = useMemo(
    () => (drift?.answer ? { question: drift.question, origin: drift.origin, cursor_m } : null),
    [drift, cursor_m],
  );
  return useKept(here, asked).value;
}
