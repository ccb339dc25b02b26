"use client";
import { useEffect, useRef } from "react";
import type { LatLon } from "@/core/earth/geodesic";
import { core } from "@/ui/core/core";
import { latestOnly } from "@/ui/core/latest";
import { useWorkspace } from "@/ui/shell/library";
import { useSituation } from "@/ui/situation/situation-store";
import { useReach } from "./reach-store";
import { useReachQuestion } from "./useReachQuestion";

/** The plane that the situation is worked on in: the terrain's, or one about where it was saved. */
export function usePlaneOrigin(): LatLon {
  const { terrains } = useWorkspace().library;
  const terrainId = useSituation((state) => state.current.terrainId);
  const savedPosition = useSituation((state) => state.saved.position);
  return terrains.find((terrain) => terrain.id === terrainId)?.frame.origin ?? savedPosition;
}

/** How soon a terrain that could not be had is asked for again, ms. */
const TERRAIN_RETRY_MS = 3000;

/** Keeps the answer up to date: while the core is busy only the newest question waits. */
export function useReachAnswer(): void {
  const question = useReachQuestion();
  const origin = usePlaneOrigin();
  const { terrains } = useWorkspace().library;
  const terrain = terrains.find((candidate) => candidate.id === useSituation.getState().current.terrainId) ?? null;
  const run = useRef(latestOnly());
  const givenTerrain = useRef<string | null>(null);
  const retryTerrainAt = useRef(0);

  useEffect(() => {
    // An answer about another aircraft is no answer: nothing is shown until this one's comes.
    const { answer: before, setAnswer } = useReach.getState();
    if (before && before.question.aircraft !== question.aircraft) setAnswer(null);
    const answer = async () => {
      const wanted = terrain?.id ?? null;
      if (givenTerrain.current !== wanted && performance.now() > retryTerrainAt.current) {
        const taken = await core().useTerrain(
          terrain ? { url: `/api/terrains/${terrain.id}`, frame: terrain.frame } : null,
        );
        givenTerrain.current = taken ? wanted : null;
        // The stage goes on without the ground, and says so; the next question after a while asks again.
        if (!taken) retryTerrainAt.current = performance.now() + TERRAIN_RETRY_MS;
      }
      const { outcome, ground_m, took_ms } = await core().landing(question, origin);
      useReach.getState().setAnswer({
        question,
        reach: outcome.ok ? outcome.value.reach : null,
        sites: outcome.ok ? outcome.value.sites : null,
        issue: outcome.ok ? null : outcome.issue,
        ground_m,
        origin,
        terrainId: givenTerrain.current,
        took_ms,
      });
    };
    run.current(() =>
      answer().catch((error: unknown) => {
        useReach.getState().setAnswer({
          question,
          reach: null,
          sites: null,
          issue: {
            code: "core_failed",
            path: "",
            message: `The computation failed: ${error instanceof Error ? error.message : String(error)}`,
          },
          ground_m: null,
          origin,
          terrainId: givenTerrain.current,
          took_ms: 0,
        });
      }),
    );
  }, [question, origin, terrain]);
}
