"use client";
import { useMemo } from "react";
import type { AnsweredRoute } from "@/ui/answers/route-store";
import { askCore } from "@/ui/kit/lanes/lanes";
import type { ReachImage } from "@/ui/kit/map/reach-source";

/**
 * The image of what is in reach from the route's altitude; what was there stays until the newest has come, but not over
 * a refusal.
 */
export function useCoverImage(answered: AnsweredRoute | null): ReachImage | null | undefined {
  return useMemo(() => {
    if (!answered) return null;
    if (answered.stale) return undefined;
    const { question, origin } = answered;
    return (view, { pine }) =>
      askCore("cover", (core) => core.coverImage(question, origin, question.route.altitude_m, view, pine));
  }, [answered]);
}
