"use client";
import { useMemo } from "react";
import { asking } from "@/ui/kit/lanes/asking";
import { useKept } from "@/ui/kit/lanes/useAnswer";
import { type AskedRoute, useRoute } from "./route-store";

const pessimistic = asking("besides", (core, { question, origin }: AskedRoute) =>
  core.routePessimistic(question, origin),
);
const round = asking("besides", (core, { question, origin }: AskedRoute) => core.routeDetours(question, origin));

pessimistic.subscribe(() => {
  const { value, stale } = pessimistic.get();
  useRoute.getState().set({ pessimistic_m: stale ? null : value });
});
round.subscribe(() => {
  const { value, stale } = round.get();
  useRoute.getState().set({ detours: (!stale && value) || [] });
});

/** Keeps up to date what only the stage of the planned flight shows of it: less counted on, and the ways round. */
export function useRouteBesides(): void {
  const route = useRoute((state) => state.route);
  const question = route?.stale ? null : (route?.question ?? null);
  const origin = route?.origin ?? null;
  const asked = useMemo(() => (question && origin ? { question, origin } : null), [question, origin]);
  // What the sentence says first.
  useKept(round, asked);
  useKept(pessimistic, asked);
}
