"use client";
import { useMemo } from "react";
import { type ReachInput, reachInput } from "@/core/landing/reach-input";
import { useAircraft, useLandingEnds } from "@/ui/shell/library";
import { useSituation } from "@/ui/situation/situation-store";

/** What the situation asks about every landing end. */
export function useReachQuestion(): ReachInput {
  const situation = useSituation((state) => state.current);
  const { document } = useAircraft();
  const ends = useLandingEnds();
  return useMemo(() => reachInput(situation, document, ends), [situation, document, ends]);
}
