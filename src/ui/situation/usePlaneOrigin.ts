"use client";
import type { LatLon } from "@/core/earth/geodesic";
import { useWorkspace } from "@/ui/library/workspace";
import { useSituation } from "./situation-store";

/** The plane that the situation is worked on in: the terrain's, or one about where it was saved. */
export function usePlaneOrigin(): LatLon {
  const { terrains } = useWorkspace().library;
  const terrainId = useSituation((state) => state.current.terrainId);
  const savedPosition = useSituation((state) => state.saved.position);
  return terrains.find((terrain) => terrain.id === terrainId)?.frame.origin ?? savedPosition;
}
