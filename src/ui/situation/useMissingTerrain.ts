"use client";
import { useTerrain } from "@/ui/kit/lanes/terrain";
import { useSituation } from "./situation-store";

/**
 * Why there is no ground to compute with, as the beginning of a caution; null when there is one or it is on its way.
 */
export function useMissingTerrain(): string | null {
  const chosen = useSituation((state) => state.current.terrainId !== null);
  const state = useTerrain((terrain) => terrain.state);
  if (!chosen) return "No terrain is chosen";
  return state === "away" ? "The terrain cannot be had at present" : null;
}
