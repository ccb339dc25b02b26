"use client";
import { useMemo } from "react";
import type { LatLon } from "@/core/earth/geodesic";
import type { RouteHere } from "@/core/route/route-here";
import type { RouteQuestion } from "@/core/route/route-question";
import { useRoute } from "@/ui/answers/route-store";
import { useKept } from "@/ui/kit/lanes/useAnswer";
import { asking } from "@/ui/kit/lanes/asking";

interface Asked {
  readonly question: RouteQuestion;
  readonly origin: LatLon;
  readonly cursor_m: number;
}

/** Account and ledgers read the same answer: it is asked for once. */
const here = asking(
  "cover",
  (core, { question, origin, cursor_m }: Asked) => core.routeHere(question, origin, cursor_m),
  ({ question }) => JSON.stringify(question.aircraft),
);

/** What each place would cost at the cursor. */
export function useRouteHere(): RouteHere | null {
  const route = useRoute((state) => state.route);
  const cursor_m = useRoute((state) => state.cursor_m);
  const asked = useMemo(
    () => (route?.answer ? { question: route.question, origin: route.origin, cursor_m } : null),
    [route, cursor_m],
  );
  return useKept(here, asked).value;
}
