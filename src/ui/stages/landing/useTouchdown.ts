"use client";
import { useMemo } from "react";
import { aimPoint_m } from "@/core/landing/landing-end";
import { type Touchdown, type TouchdownQuestion, touchdown } from "@/core/landing/touchdown";
import type { Outcome } from "@/core/outcome";
import { useAeroplane } from "@/ui/situation/useAircraftOfKind";
import { useSituation } from "@/ui/situation/situation-store";
import { shownEnd, useReach } from "@/ui/answers/reach-store";
import { useShownPlace } from "./useKeys";

/** The touchdown at the place shown. */
export function useTouchdown(): { question: TouchdownQuestion; answer: Outcome<Touchdown> } {
  const { document } = useAeroplane();
  const { mass_kg, configuration, air, landing } = useSituation((state) => state.current);
  const end = useShownPlace();
  const tailwind_mps = useReach((state) => shownEnd(state)?.tailwind_mps ?? 0);
  return useMemo(() => {
    const question: TouchdownQuestion = {
      aircraft: document,
      mass_kg,
      configuration,
      air,
      elevation_m: end?.elevation_m ?? 0,
      tailwind_mps,
      flap: landing.flap,
      length_m: end ? end.length_m - aimPoint_m(end.length_m) : null,
      surface: end?.surface ?? "grass",
      stopping: landing.stopping,
      wheelsUp: landing.wheelsUp,
    };
    return { question, answer: touchdown(question) };
  }, [document, mass_kg, configuration, air, end, tailwind_mps, landing.flap, landing.stopping, landing.wheelsUp]);
}
