import type { LatLon } from "@/core/earth/geodesic";
import { localPlane } from "@/core/earth/local-plane";
import { elevationAt_m } from "@/core/earth/terrain";
import { useTerrain } from "@/ui/kit/lanes/terrain";
import { nearestAerodrome } from "./place";
import { useSituation } from "./situation-store";
import { useAerodromes } from "./useNearPlaces";

const groundOf = (grid: ReturnType<typeof useTerrain.getState>["grid"], where: LatLon): number | null => {
  if (!grid) return null;
  const { x_m, y_m } = localPlane(grid.origin).toPlane(where);
  return elevationAt_m(grid, x_m, y_m);
};

/** Height of the terrain that is in use, at a place; null where it has none. */
export function groundAt_m(where: LatLon): number | null {
  return groundOf(useTerrain.getState().grid, where);
}

/** Height of the ground under the situation's aircraft; null where the terrain has none. */
export function useGroundHere_m(): number | null {
  const grid = useTerrain((state) => state.grid);
  const position = useSituation((state) => state.current.position);
  return groundOf(grid, position);
}

/** The same where a figure is needed anyway: without terrain that of the nearest aerodrome, else the sea's. */
export function useGroundOrNearest_m(): number {
  const ground_m = useGroundHere_m();
  const position = useSituation((state) => state.current.position);
  const aerodromes = useAerodromes();
  return ground_m ?? nearestAerodrome(position, aerodromes)?.elevation_m ?? 0;
}
