"use client";
import { useEffect, useRef } from "react";
import type { LatLon } from "@/core/earth/geodesic";
import { core } from "@/ui/core/core";
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

/** Keeps the answer up to date: while the core is busy only the newest question waits. */
export function useReachAnswer(): void {
  const question = useReachQuestion();
  const origin = usePlaneOrigin();
  const { terrains } = useWorkspace().library;
  const terrain = terrains.find((candidate) => candidate.id === useSituation.getState().current.terrainId) ?? null;
  const newest = useRef<() => Promise<void>>(undefined);
  const busy = useRef(false);
  const givenTerrain = useRef<string | null>(null);

  useEffect(() => {
    newest.current = async () => {
      if (givenTerrain.current !== (terrain?.id ?? null)) {
        await core().useTerrain(terrain ? { url: `/api/terrains/${terrain.id}`, frame: terrain.frame } : null);
        givenTerrain.current = terrain?.id ?? null;
      }
      const { outcome, ground_m, took_ms } = await core().reach(question, origin);
      useReach.getState().setAnswer({ reach: outcome.ok ? outcome.value : null, issue: outcome.ok ? null : outcome.issue, ground_m, origin, terrainId: givenTerrain.current, took_ms });
    };
    const work = async () => {
      if (busy.current) return;
      busy.current = true;
      while (newest.current) {
        const next = newest.current;
        newest.current = undefined;
        await next().catch((error: unknown) => {
          useReach.getState().setAnswer({ reach: null, issue: { code: "core_failed", path: "", message: `The computation failed: ${error instanceof Error ? error.message : String(error)}` }, ground_m: null, origin, terrainId: givenTerrain.current, took_ms: 0 });
        });
      }
      busy.current = false;
    };
    void work();
  }, [question, origin, terrain]);
}
