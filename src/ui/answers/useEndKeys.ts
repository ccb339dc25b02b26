"use client";
import { useMemo } from "react";
import type { LatLon } from "@/core/earth/geodesic";
import type { ApproachKeys } from "@/core/landing/approach-keys";
import type { LandingEnd } from "@/core/landing/landing-end";
import type { ReachQuestion } from "@/core/landing/reach-question";
import type { Outcome } from "@/core/outcome";
import type { Ask } from "@/ui/kit/lanes/asking";
import { outcomeOf, useAnswer } from "@/ui/kit/lanes/useAnswer";
import { usePlaneOrigin } from "@/ui/situation/usePlaneOrigin";
import { useReachQuestion } from "./useReachQuestion";

interface KeysQuestion {
  readonly question: Omit<ReachQuestion, "ends">;
  readonly end: LandingEnd;
  readonly origin: LatLon;
}

const askKeys: Ask<KeysQuestion, ApproachKeys> = (core, { question, end, origin }) =>
  core.landingKeys(question, end, origin);

/** Keys of an end, with the question that they answer; null while there is none. */
export function useEndKeys(end: LandingEnd | null): {
  keys: Outcome<ApproachKeys> | null;
  question: Omit<ReachQuestion, "ends">;
} {
  const asked = useReachQuestion();
  const question = useMemo(() => {
    const { ends: _ends, landing: _landing, day: _day, ...rest } = asked;
    return rest;
  }, [asked]);
  const origin = usePlaneOrigin();
  const wanted = useMemo(() => end && { question, end, origin }, [question, end, origin]);
  const answer = useAnswer(wanted, askKeys, "pointed");
  return { keys: answer.question?.end.id === end?.id ? outcomeOf(answer) : null, question };
}
