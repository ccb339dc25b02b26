"use client";
import { localPlane } from "@/core/earth/local-plane";
import { useTerrain } from "@/ui/kit/lanes/terrain";
import { useSituation } from "./situation-store";

/**
 * Why there is no ground to compute with, as the beginning of a caution; null when there is one or it is on its way.
 */
export function useMissingTerrain(): string | null {
  const chosen = useSituation((state) => state.current.terrainId !== null);
  const position = useSituation((state) => state.current.position);
  const state = useTerrain((terrain) => terrain.state);
  const frame = useTerrain((terrain) => terrain.source?.frame);
  if (!chosen) return "No terrain is chosen";
  if (state === "away") return "The terrain cannot be had at present";
  if (!frame) return null;
  const { x_m, y_m } = localPlane(frame.origin).toPlane(position);
  const east_m = frame.west_m + (frame.columns - 1) * frame.cell_m;
  const north_m = frame.south_m + (frame.rows - 1) * frame.cell_m;
  const within = x_m >= frame.west_m && x_m <= east_m && y_m >= frame.south_m && y_m <= north_m;
  return within ? null : "The terrain that is chosen does not reach here";
}
