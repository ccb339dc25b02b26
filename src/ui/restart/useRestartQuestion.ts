"use client";
import { useMemo } from "react";
import { causeFlow, flowFor } from "@/core/restart/cause-flow";
import type { RestartQuestion } from "@/core/restart/restart-budget";
import { plannedReaction_s } from "@/core/situation/pilot-practice";
import { M_PER_FT } from "@/core/quantities/constants";
import { isUsable } from "@/core/landing/sites";
import { shownSite, useReach } from "@/ui/landing/reach-store";
import { useAircraft } from "@/ui/shell/library";
import { useSituation } from "@/ui/situation/situation-store";

/** Without a landing in reach checking ends this far above the ground. Common practice. */
export const COMMIT_ABOVE_M = 1000 * M_PER_FT;

/** Where the commit height comes from. */
export interface Commit {
  readonly altitude_m: number;
  readonly from: "set" | "landing" | "ground";
  /** The landing end whose plan needs that height. */
  readonly end: string | null;
}

/** The commit height: set, or what the planned landing needs from here, or 1,000 ft above the ground. */
export function useCommit(): Commit {
  const set_m = useSituation((state) => state.current.restart.commit_m);
  const altitude_m = useSituation((state) => state.current.altitude_m);
  const answer = useReach((state) => state.answer);
  const pinnedId = useReach((state) => state.pinnedId);
  if (set_m !== null) return { altitude_m: set_m, from: "set", end: null };
  const site = shownSite({ answer, pinnedId });
  const ground_m = answer?.ground_m ?? 0;
  const margin_m = site && isUsable(site.verdict) ? (site.reach.path?.margin_m ?? 0) : 0;
  if (site && margin_m > 0) return { altitude_m: Math.max(altitude_m - margin_m, ground_m + 30), from: "landing", end: site.end.name };
  return { altitude_m: ground_m + COMMIT_ABOVE_M, from: "ground", end: null };
}

/** What the situation asks about a restart. */
export function useRestartQuestion(): RestartQuestion {
  const { document } = useAircraft();
  const { mass_kg, centreOfGravity, configuration, air, altitude_m, pilot, restart } = useSituation((state) => state.current);
  const ground_m = useReach((state) => state.answer?.ground_m ?? 0);
  const { altitude_m: commit_m } = useCommit();
  return useMemo(
    () => ({ aircraft: document, mass_kg, configuration, air, altitude_m, commit_m, ground_m, reaction_s: plannedReaction_s(pilot), stopped: restart.stopped, centreOfGravity, flow: flowFor(causeFlow(document), restart.symptom) }),
    [document, mass_kg, configuration, air, altitude_m, commit_m, ground_m, pilot, restart.stopped, restart.symptom, centreOfGravity],
  );
}
