import { type LatLon, geodesicBetween } from "./geodesic";
import { layTerrain } from "./lay-terrain";
import { localPlane } from "./local-plane";
import type { TerrainGrid } from "./terrain";
import { PLANE_REACH_M, planeOrigin } from "./working-plane";

/** Beyond what a plane serves ground is still seen from its edge, m. */
const MARGIN_M = 20_000;

/**
 * A terrain on the plane that serves a place.
 *
 * @returns as `terrainOn`
 */
export const terrainAbout = (grid: TerrainGrid, position: LatLon): TerrainGrid | null =>
  terrainOn(grid, planeOrigin(position, grid.origin));

/**
 * A terrain on the plane about an origin: the grid itself on its own, otherwise the part of it within 120 km of the
 * other origin, laid anew. Cells that the terrain does not have are holes.
 *
 * @returns null where the terrain has nothing near the origin
 */
export function terrainOn(grid: TerrainGrid, origin: LatLon): TerrainGrid | null {
  if (geodesicBetween(origin, grid.origin).distance_m < 1) return grid;
  const reach_m = PLANE_REACH_M + MARGIN_M;
  const farthest_m = Math.hypot(
    Math.max(Math.abs(grid.west_m), Math.abs(grid.west_m + (grid.columns - 1) * grid.cell_m)),
    Math.max(Math.abs(grid.south_m), Math.abs(grid.south_m + (grid.rows - 1) * grid.cell_m)),
  );
  if (geodesicBetween(origin, grid.origin).distance_m > farthest_m + reach_m * Math.SQRT2) return null;
  const half = Math.floor(reach_m / grid.cell_m);
  const plane = localPlane(grid.origin);
  return layTerrain(
    {
      columns: grid.columns,
      rows: grid.rows,
      elevations: grid.elevations_m,
      cellAt: (place) => {
        const { x_m, y_m } = plane.toPlane(place);
        return { u: (x_m - grid.west_m) / grid.cell_m, v: (y_m - grid.south_m) / grid.cell_m };
      },
    },
    {
      origin,
      west_m: -half * grid.cell_m,
      south_m: -half * grid.cell_m,
      cell_m: grid.cell_m,
      columns: 2 * half + 1,
      rows: 2 * half + 1,
    },
  );
}
