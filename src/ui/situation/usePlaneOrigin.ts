"use client";
import type { LatLon } from "@/core/earth/geodesic";
import { planeOrigin } from "@/core/earth/working-plane";
import { useWorkspace } from "@/ui/library/workspace";
import { useSituation } from "./situation-store";

/** The one in use: the same object for all that ask, as long as it is the same place. */
let present: LatLon = { latitude_deg: 0, longitude_deg: 0 };

function kept({ latitude_deg, longitude_deg }: LatLon): LatLon {
  if (present.latitude_deg !== latitude_deg || present.longitude_deg !== longitude_deg)
    present = { latitude_deg, longitude_deg };
  return present;
}

/** Origin of the plane that the situation is worked on in: it goes where the aircraft goes. */
export function usePlaneOrigin(): LatLon {
  const { terrains } = useWorkspace().library;
  const terrainId = useSituation((state) => state.current.terrainId);
  const position = useSituation((state) => state.current.position);
  return kept(planeOrigin(position, terrains.find((terrain) => terrain.id === terrainId)?.frame.origin ?? null));
}
