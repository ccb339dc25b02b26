"use client";
import type { LandingEnd } from "@/core/landing/landing-end";
import { shownEnd, useReach } from "@/ui/answers/reach-store";
import { useEndKeys } from "@/ui/answers/useEndKeys";
import { useLandingEnds } from "@/ui/situation/useNearPlaces";

/** The end that is shown, as the library has it; null before there is an answer. */
export function useShownPlace(): LandingEnd | null {
  const id = useReach((state) => shownEnd(state)?.endId ?? null);
  return useLandingEnds().find((end) => end.id === id) ?? null;
}

/** Keys of the end that is shown, with the question that they answer. */
export function useKeys(): ReturnType<typeof useEndKeys> & { end: LandingEnd | null } {
  const end = useShownPlace();
  return { ...useEndKeys(end), end };
}
