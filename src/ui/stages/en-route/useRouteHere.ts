"use client";
import { useMemo } from "react";
import type { LatLon } from "@/core/earth/geodesic";
import type { RouteHere } from "@/core/route/route-here";
import type { RouteQuestion } from "@/core/route/route-question";
import { useRoute } from "@/ui/answers/route-store";
import { useAnswer } from "@/ui/kit/lanes/useAnswer";
import type { Ask } from "@/ui/kit/lanes/asking";

interface Asked {
  readonly question: RouteQuestion;
  readonly origin: LatLon;
  readonly cursor_m: number;
}

const ask: Ask<Asked, RouteHere> = (core, { question, origin, cursor_m }) => core.routeHere(question, origin, cursor_m);

/** What each place would cost at the cursor. */
export function useRouteHere(): RouteHere | null {
  const route = useRoute((state) => state.route);
  const cursor_m = useRoute((state) => state.cursor_m);
  const asked = useMemo(
    () => (route?.answer ? { question: route.question, origin: route.origin, cursor_m } : null),
    [route, cursor_m],
  );
  return useAnswer(asked, ask, "cover").value;
}
