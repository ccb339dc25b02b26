"use client";
import { useMemo } from "react";
import { type LandingQuestion, landingQuestion } from "@/core/landing/landing-question";
import { endsWithinGlide } from "@/core/landing/ends-within-glide";
import { useLandingEnds } from "@/ui/situation/useNearPlaces";
import { useAeroplane } from "@/ui/situation/useAircraftOfKind";
import { useSituation } from "@/ui/situation/situation-store";

/** What the situation asks about every landing end. */
export function useReachQuestion(): LandingQuestion {
  const situation = useSituation((state) => state.current);
  const { document } = useAeroplane();
  const ends = useLandingEnds();
  const { position, altitude_m } = situation;
  const within = useMemo(() => endsWithinGlide(ends, position, altitude_m), [ends, position, altitude_m]);
  return useMemo(() => landingQuestion(situation, document, within), [situation, document, within]);
}
