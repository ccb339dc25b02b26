"use client";
import { useEffect } from "react";
import { wantTerrain } from "@/ui/kit/lanes/terrain";
import { useWorkspace } from "@/ui/library/workspace";
import { useSituation } from "./situation-store";

/** Gives the situation's terrain to whatever computes. */
export function useSituationTerrain(): void {
  const { terrains } = useWorkspace().library;
  const id = useSituation((state) => state.current.terrainId);
  const terrain = terrains.find((candidate) => candidate.id === id) ?? null;
  useEffect(
    () => wantTerrain(terrain && { id: terrain.id, url: `/api/terrains/${terrain.id}`, frame: terrain.frame }),
    [terrain],
  );
}
