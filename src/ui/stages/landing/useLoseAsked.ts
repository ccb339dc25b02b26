"use client";
import { clamp } from "@/core/numeric/clamp";
import { useMemo } from "react";
import { type LossPlan, loseHeight } from "@/core/landing/lose-height";
import type { LoseQuestion } from "@/core/landing/lose-question";
import type { Outcome } from "@/core/outcome";
import { useCircuit } from "./circuit-store";
import { shownEnd, useReach } from "@/ui/answers/reach-store";
import { useLoseQuestion } from "./useLoseQuestion";

/** A question about height to lose with its answer. */
export interface LoseAsked {
  readonly question: LoseQuestion;
  readonly plan: Outcome<LossPlan>;
}

/**
 * What is to be lost: as set or taken over from the circuit, otherwise what the path shown leaves over its reserve;
 * null without a place.
 */
export function useLoseAsked(): LoseAsked | null {
  const set = useCircuit((state) => state.lose);
  const path = useReach((state) => shownEnd(state)?.path ?? null);
  const height_m = set?.height_m ?? Math.max(path?.have_m ?? 300, 10);
  const lose_m = set?.lose_m ?? clamp(path?.margin_m ?? 0, 0, height_m - 1);
  const question = useLoseQuestion(height_m, lose_m);
  return useMemo(() => question && { question, plan: loseHeight(question) }, [question]);
}
