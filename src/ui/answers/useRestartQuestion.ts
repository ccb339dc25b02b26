"use client";
import { useMemo } from "react";
import type { RestartQuestion } from "@/core/restart/restart-budget";
import { type Commit, commitHeight, restartQuestion } from "@/core/restart/restart-question";
import { shownSite, useReach } from "./reach-store";
import { useAeroplane } from "@/ui/situation/useAircraftOfKind";
import { useSituation } from "@/ui/situation/situation-store";

/**
 * The commit height of the situation and of the place that is planned for.
 *
 * @param stopped - engines that are counted as stopped; those of the situation without it
 */
export function useCommit(stopped?: RestartQuestion["stopped"]): Commit {
  const { document } = useAeroplane();
  const { mass_kg, centreOfGravity, configuration, air, altitude_m, pilot, restart } = useSituation(
    (state) => state.current,
  );
  const answer = useReach((state) => state.answer);
  const pinnedId = useReach((state) => state.pinnedId);
  return useMemo(
    () =>
      commitHeight(
        {
          mass_kg,
          centreOfGravity,
          configuration,
          air,
          altitude_m,
          pilot,
          restart: { ...restart, stopped: stopped ?? restart.stopped },
        },
        document,
        shownSite({ answer, pinnedId }) ?? null,
        answer?.ground_m ?? 0,
      ),
    [document, mass_kg, centreOfGravity, configuration, air, altitude_m, pilot, restart, stopped, answer, pinnedId],
  );
}

/**
 * What the situation asks about a restart.
 *
 * @param stopped - as for `useCommit`
 */
export function useRestartQuestion(stopped?: RestartQuestion["stopped"]): RestartQuestion {
  const { document } = useAeroplane();
  const { mass_kg, centreOfGravity, configuration, air, altitude_m, pilot, restart } = useSituation(
    (state) => state.current,
  );
  const ground_m = useReach((state) => state.answer?.ground_m ?? 0);
  const { altitude_m: commit_m } = useCommit(stopped);
  return useMemo(
    () =>
      restartQuestion(
        {
          mass_kg,
          centreOfGravity,
          configuration,
          air,
          altitude_m,
          pilot,
          restart: { ...restart, stopped: stopped ?? restart.stopped },
        },
        document,
        commit_m,
        ground_m,
      ),
    [document, mass_kg, configuration, air, altitude_m, commit_m, ground_m, pilot, restart, stopped, centreOfGravity],
  );
}
