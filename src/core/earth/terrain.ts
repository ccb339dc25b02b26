// Elevation on a square grid of a local plane, between grid points bilinear. Not here: obstacles, trees, buildings.
import type { LatLon } from "./geodesic";
import type { PlanePoint } from "./local-plane";

/**
 * Elevations, m above mean sea level, at cell centres: row by row from the south-west corner, west to east.
 * The grid owns `elevations_m`; nobody writes to it after it was made.
 */
export interface TerrainGrid {
  readonly origin: LatLon;
  /** Plane position of the first (south-west) point. */
  readonly west_m: number;
  readonly south_m: number;
  readonly cell_m: number;
  readonly columns: number;
  readonly rows: number;
  readonly elevations_m: Int16Array | Float32Array;
}

/** Stands in a grid where nothing is known of the ground: the least number of 16 bits. */
export const HOLE_M = -32_768;
/** Anything lower is a hole, or has one in it. */
export const NO_GROUND_M = -1000;

/**
 * Elevation at a point of the grid's plane.
 *
 * @returns m above mean sea level; null outside the grid and beside a hole, never a guess
 */
export function elevationAt_m(grid: TerrainGrid, x_m: number, y_m: number): number | null {
  const column = (x_m - grid.west_m) / grid.cell_m;
  const row = (y_m - grid.south_m) / grid.cell_m;
  if (!(column >= 0 && row >= 0 && column <= grid.columns - 1 && row <= grid.rows - 1)) return null;
  // On the last row or column the cell before it serves, with its full weight on that edge.
  const i = Math.min(Math.floor(column), grid.columns - 2);
  const j = Math.min(Math.floor(row), grid.rows - 2);
  const u = column - i;
  const v = row - j;
  const at = j * grid.columns + i;
  const z = grid.elevations_m;
  const [a, b, c, d] = [z[at], z[at + 1], z[at + grid.columns], z[at + grid.columns + 1]];
  if (a < NO_GROUND_M || b < NO_GROUND_M || c < NO_GROUND_M || d < NO_GROUND_M) return null;
  return (1 - v) * ((1 - u) * a + u * b) + v * ((1 - u) * c + u * d);
}

/** Elevation along a straight line. */
export interface ProfilePoint {
  readonly distance_m: number;
  readonly elevation_m: number | null;
}

/** Samples the ground along a line, both ends included, at most `spacing_m` apart. */
export function lineProfile(grid: TerrainGrid, from: PlanePoint, to: PlanePoint, spacing_m: number): ProfilePoint[] {
  if (!(spacing_m > 0)) throw new Error(`lineProfile: expected a positive spacing, got ${spacing_m}`);
  const length_m = Math.sqrt((to.x_m - from.x_m) * (to.x_m - from.x_m) + (to.y_m - from.y_m) * (to.y_m - from.y_m));
  const steps = Math.max(1, Math.ceil(length_m / spacing_m));
  return Array.from({ length: steps + 1 }, (_, i) => {
    const share = i / steps;
    return {
      distance_m: share * length_m,
      elevation_m: elevationAt_m(grid, from.x_m + share * (to.x_m - from.x_m), from.y_m + share * (to.y_m - from.y_m)),
    };
  });
}
