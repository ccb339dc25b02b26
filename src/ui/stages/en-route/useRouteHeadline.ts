"use client";
import { useRoute } from "@/ui/answers/route-store";
import { useSituation } from "@/ui/situation/situation-store";
import type { Headline } from "../stage-face";
import { oneEngineHeadline, routeHeadline } from "./route-headline";

/** Minutes without a place; with two engines, without a way on one. */
export function useRouteHeadline(): Headline | undefined {
  const route = useRoute((state) => state.route);
  const drift = useRoute((state) => state.drift);
  const planned = useSituation((state) => state.current.route.points.length > 1);
  if (!planned) return { text: "no route" };
  if (drift?.answer) return oneEngineHeadline(drift.answer);
  if (route?.issue) return { text: "no answer", tone: "text-brick" };
  return route?.answer ? routeHeadline(route.answer) : undefined;
}

/** What the answer stands on, and what it took. */
export function useRouteStatus(): string | null {
  const route = useRoute((state) => state.route);
  if (!route?.answer) return null;
  const { places, points, flat } = route.answer;
  const took = `${places.length} ${places.length === 1 ? "place" : "places"}, ${points.length} points in ${Math.max(1, Math.round(route.took_ms))} ms`;
  return `${took} · ${flat ? "no terrain: flat ground" : "terrain with clearance"} · pessimistic: glide −6 %, 5 kt against`;
}
