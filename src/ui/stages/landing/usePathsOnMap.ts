"use client";
import { useMemo } from "react";
import { shownEnd, useReach } from "@/ui/answers/reach-store";
import type { PathsOnMap } from "@/ui/situation/map/SituationMap";

/** The ways to every landing end, as the map shows them; null before there is an answer. */
export function usePathsOnMap(): PathsOnMap | null {
  const answer = useReach((state) => state.answer);
  const pinnedId = useReach((state) => state.pinnedId);
  const pointedEntry = useReach((state) => state.pointedEntry);
  return useMemo(
    () =>
      answer && {
        ends: answer.reach?.ends ?? [],
        origin: answer.origin,
        shownId: shownEnd({ answer, pinnedId })?.endId ?? null,
        pointedEntry,
      },
    [answer, pinnedId, pointedEntry],
  );
}
