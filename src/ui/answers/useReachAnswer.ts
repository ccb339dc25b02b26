"use client";
import { useEffect, useMemo } from "react";
import type { LatLon } from "@/core/earth/geodesic";
import type { LandingQuestion } from "@/core/landing/landing-question";
import { success } from "@/core/outcome";
import { asking } from "@/ui/kit/lanes/asking";
import { useKept } from "@/ui/kit/lanes/useAnswer";
import { usePlaneOrigin } from "@/ui/situation/usePlaneOrigin";
import { useSituation } from "@/ui/situation/situation-store";
import { useReach } from "./reach-store";
import { useReachQuestion } from "./useReachQuestion";
import { useRoute } from "./route-store";

/** A landing question, and the plane that its answer's points are in. */
interface Asked {
  readonly question: LandingQuestion;
  readonly origin: LatLon;
}

const landing = asking(
  () => (useRoute.getState().open ? "aside" : "pointed"),
  async (core, { question, origin }: Asked) => success(await core.landing(question, origin)),
  ({ question }) => JSON.stringify(question.aircraft),
);

landing.subscribe(() => {
  const { question: asked, value, issue } = landing.get();
  const { setAnswer } = useReach.getState();
  if (!asked) return setAnswer(null);
  const choice = value?.outcome.ok ? value.outcome.value : null;
  setAnswer({
    ...asked,
    reach: choice?.reach ?? null,
    sites: choice?.sites ?? null,
    issue: issue ?? (value && !value.outcome.ok ? value.outcome.issue : null),
    ground_m: value?.ground_m ?? null,
    took_ms: value?.took_ms ?? 0,
  });
});

/** Keeps the answer about every landing end up to date. */
export function useReachAnswer(): void {
  const question = useReachQuestion();
  const origin = usePlaneOrigin();
  useKept(
    landing,
    useMemo(() => ({ question, origin }), [question, origin]),
  );
  const situationId = useSituation((state) => state.id);
  // What was picked in another situation is not picked in this one.
  useEffect(() => useReach.getState().pin(null), [situationId]);
}
