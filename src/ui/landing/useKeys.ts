"use client";
import { useCallback, useMemo } from "react";
import type { ApproachKeys } from "@/core/landing/approach-keys";
import type { LandingEnd } from "@/core/landing/landing-end";
import type { ReachInput } from "@/core/landing/reach-input";
import type { Outcome } from "@/core/outcome";
import { core } from "@/ui/core/core";
import { useAsked } from "@/ui/core/useAsked";
import { useLandingEnds } from "@/ui/shell/library";
import { shownEnd, useReach } from "./reach-store";
import { usePlaneOrigin } from "./useReachAnswer";
import { useReachQuestion } from "./useReachQuestion";

/** The end that is shown, as the library has it; null before there is an answer. */
export function useShownPlace(): LandingEnd | null {
  const id = useReach((state) => shownEnd(state)?.endId ?? null);
  return useLandingEnds().find((end) => end.id === id) ?? null;
}

/** Keys of the end that is shown, with the question that they answer. */
export function useKeys(): {
  keys: Outcome<ApproachKeys> | null;
  end: LandingEnd | null;
  question: Omit<ReachInput, "ends">;
} {
  const asked = useReachQuestion();
  const question = useMemo(() => {
    const { ends: _ends, landing: _landing, day: _day, ...rest } = asked;
    return rest;
  }, [asked]);
  const end = useShownPlace();
  const origin = usePlaneOrigin();
  const ask = useCallback(
    async () => (end ? { endId: end.id, keys: await core().landingKeys(question, end, origin) } : null),
    [question, end, origin],
  );
  const answer = useAsked(end ? ask : null);
  return { keys: answer && answer.endId === end?.id ? answer.keys : null, end, question };
}
