"use client";
import { useMemo } from "react";
import { type LandingQuestion, landingQuestion } from "@/core/landing/landing-choice";
import { useAircraft, useLandingEnds } from "@/ui/shell/library";
import { useSituation } from "@/ui/situation/situation-store";

/** What the situation asks about every landing end. */
export function useReachQuestion(): LandingQuestion {
  const situation = useSituation((state) => state.current);
  const { document } = useAircraft();
  const ends = useLandingEnds();
  return useMemo(() => landingQuestion(situation, document, ends), [situation, document, ends]);
}
