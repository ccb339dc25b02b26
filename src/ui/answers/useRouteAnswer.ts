"use client";
import { useEffect, useMemo } from "react";
import { isAeroplane } from "@/core/aircraft/aircraft-kind";
import { driftQuestion } from "@/core/drift/asked-drift";
import type { DriftQuestion } from "@/core/drift/drift-question";
import type { LatLon } from "@/core/earth/geodesic";
import { success } from "@/core/outcome";
import { routeQuestion } from "@/core/route/asked-route";
import type { RouteQuestion } from "@/core/route/route-question";
import { asking } from "@/ui/kit/lanes/asking";
import { useKept } from "@/ui/kit/lanes/useAnswer";
import { useRested } from "@/ui/kit/lanes/useRested";
import { useAircraft } from "@/ui/situation/useAircraft";
import { useNearPlaces } from "@/ui/situation/useNearPlaces";
import { usePlaneOrigin } from "@/ui/situation/usePlaneOrigin";
import { useSituation } from "@/ui/situation/situation-store";
import { type AskedRoute, useRoute } from "./route-store";

/** The same on one engine. */
interface AskedOfOneEngine {
  readonly question: DriftQuestion;
  readonly origin: LatLon;
}

const aboutAircraft = ({ question }: AskedRoute) => JSON.stringify(question.aircraft);

const flight = asking(
  "cover",
  async (core, { question, origin }: AskedRoute) => success(await core.route(question, origin)),
  aboutAircraft,
);
const oneEngine = asking(
  "besides",
  (core, { question, origin }: AskedOfOneEngine) => core.oneEngine(question, origin),
  ({ question }) => JSON.stringify(question.aircraft),
);

flight.subscribe(() => {
  const { question: asked, value, issue, stale } = flight.get();
  const { set } = useRoute.getState();
  if (!asked) return set({ route: null });
  set({
    route: {
      ...asked,
      answer: value?.outcome.ok ? value.outcome.value : null,
      issue: issue ?? (value && !value.outcome.ok ? value.outcome.issue : null),
      stale,
      took_ms: value?.took_ms ?? 0,
    },
  });
});
oneEngine.subscribe(() => {
  const { question: asked, value, issue, stale } = oneEngine.get();
  useRoute.getState().set({ drift: asked ? { ...asked, answer: value, issue, stale } : null });
});

/** What the situation asks about its flight; null without a route of two points. */
function useRouteQuestion(): RouteQuestion | null {
  const situation = useSituation((state) => state.current);
  const { document } = useAircraft();
  const places = useNearPlaces();
  return useMemo(
    () => (situation.route.points.length < 2 ? null : routeQuestion(situation, document, places)),
    [situation, document, places],
  );
}

/** The same on one engine, for an aeroplane with two. */
function useOneEngineQuestion(): AskedOfOneEngine | null {
  const situation = useSituation((state) => state.current);
  const { document } = useAircraft();
  const places = useNearPlaces();
  const origin = usePlaneOrigin();
  const twin = isAeroplane(document) && document.asymmetric !== null ? document : null;
  const question = useMemo(
    () => (twin && situation.route.points.length > 1 ? driftQuestion(situation, twin, places) : null),
    [situation, twin, places],
  );
  const key = JSON.stringify([question, origin]);
  // eslint-disable-next-line react-hooks/exhaustive-deps
  return useMemo(() => question && { question, origin }, [key]);
}

/** Keeps the answer about the planned flight up to date; what only its own stage shows is asked there. */
export function useRouteAnswer(): void {
  const question = useRouteQuestion();
  const origin = usePlaneOrigin();
  const open = useRoute((state) => state.open);
  const key = JSON.stringify([question, origin]);
  // Of the same value it is the same: moving the aircraft asks nothing anew.
  // eslint-disable-next-line react-hooks/exhaustive-deps
  const asked = useMemo(() => question && { question, origin }, [key]);
  const rested = useRested(asked, open);
  useKept(flight, rested);
  useEffect(() => useRoute.setState({ asked: rested }), [rested]);
  useKept(oneEngine, useRested(useOneEngineQuestion(), open));
  const situationId = useSituation((state) => state.id);
  useEffect(() => useRoute.setState({ cursor_m: 0 }), [situationId]);
}
