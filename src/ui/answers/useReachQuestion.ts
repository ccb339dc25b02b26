"use client";
import { useMemo } from "react";
import { type LandingQuestion, landingQuestion } from "@/core/landing/landing-choice";
import { useLandingEnds } from "@/ui/library/workspace";
import { useAircraft } from "@/ui/situation/useAircraft";
import { useSituation } from "@/ui/situation/situation-store";

/** What the situation asks about every landing end. */
export function useReachQuestion(): LandingQuestion {
  const situation = useSituation((state) => state.current);
  const { document } = useAircraft();
  const ends = useLandingEnds();
  return useMemo(() => landingQuestion(situation, document, ends), [situation, document, ends]);
}
