"use client";
import { useMemo } from "react";
import { type Ditching, type DitchingQuestion, ditching, ditchingQuestion } from "@/core/landing/ditching";
import type { Outcome } from "@/core/outcome";
import { useAeroplane } from "@/ui/situation/useAircraftOfKind";
import { useSituation } from "@/ui/situation/situation-store";

/** The ditching that the situation asks for; no question without wind that can be read. */
export function useDitching(): { question: DitchingQuestion | null; answer: Outcome<Ditching> } {
  const { document } = useAeroplane();
  const { mass_kg, configuration, air, wind, landing } = useSituation((state) => state.current);
  const { swells, flap } = landing;
  return useMemo(() => {
    const question = ditchingQuestion({ mass_kg, configuration, air, wind, landing: { swells, flap } }, document);
    return question.ok
      ? { question: question.value, answer: ditching(question.value) }
      : { question: null, answer: question };
  }, [document, mass_kg, configuration, air, wind, swells, flap]);
}
