"use client";
import { useMemo } from "react";
import { type Sites, rankSites } from "@/core/landing/sites";
import type { Outcome } from "@/core/outcome";
import { useSituation } from "@/ui/situation/situation-store";
import { useReach } from "./reach-store";
import { useReachQuestion } from "./useReachQuestion";

/** Every place that the paths have been computed for, ranked; null before there is an answer. */
export function useSites(): Outcome<Sites> | null {
  const reach = useReach((state) => state.answer?.reach ?? null);
  const question = useReachQuestion();
  const { landing, day } = useSituation((state) => state.current);
  return useMemo(() => reach && rankSites(reach, question, landing, day), [reach, question, landing, day]);
}
