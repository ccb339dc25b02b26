"use client";
import { useEffect } from "react";
import { planeOrigin } from "@/core/earth/working-plane";
import { wantTerrain, workOnPlane } from "@/ui/kit/lanes/terrain";
import { useWorkspace } from "@/ui/library/workspace";
import { useSituation } from "./situation-store";

/** Gives the situation's terrain to whatever computes, on the plane that serves the aircraft. */
export function useSituationTerrain(): void {
  const { terrains } = useWorkspace().library;
  const id = useSituation((state) => state.current.terrainId);
  const terrain = terrains.find((candidate) => candidate.id === id) ?? null;
  useEffect(() => {
    const follow = () =>
      workOnPlane(planeOrigin(useSituation.getState().current.position, terrain?.frame.origin ?? null));
    follow();
    wantTerrain(terrain && { id: terrain.id, url: `/api/terrains/${terrain.id}`, frame: terrain.frame });
    // With the change itself, not after it is drawn: what is asked then is about the new plane.
    return useSituation.subscribe(follow);
  }, [terrain]);
}
