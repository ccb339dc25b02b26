"use client";
import type { Sites } from "@/core/landing/sites";
import { useReach } from "@/ui/answers/reach-store";

/** Every place that the paths have been computed for, ranked; null before there is an answer. */
export function useSites(): Sites | null {
  return useReach((state) => state.answer?.sites ?? null);
}
