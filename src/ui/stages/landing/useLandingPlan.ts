"use client";
import type { LandingPlan } from "@/core/situation/landing-plan";
import { useSituation } from "@/ui/situation/situation-store";

/** The landing plan of the situation, and a way to change part of it. */
export function useLandingPlan(): readonly [LandingPlan, (patch: Partial<LandingPlan>) => void] {
  const plan = useSituation((state) => state.current.landing);
  const change = useSituation((state) => state.change);
  return [plan, (patch) => change((current) => ({ landing: { ...current.landing, ...patch } }))];
}
