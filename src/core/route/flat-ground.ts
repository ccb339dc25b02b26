// Ground for where no terrain is known: flat, about what is asked about.
import type { LatLon } from "../earth/geodesic";
import type { TerrainGrid } from "../earth/terrain";

/** It has cells of a size that gives about so many: as many as terrain has, or borders on it would look jagged. */
const FLAT_CELLS = 1_000_000;

/**
 * Flat ground about some points of a plane.
 *
 * @param points - at least one
 * @param about_m - so far beyond the outermost of them, more than 0
 */
export function flatGround(
  points: readonly { readonly x_m: number; readonly y_m: number }[],
  elevation_m: number,
  origin: LatLon,
  about_m: number,
): TerrainGrid {
  const xs = points.map(({ x_m }) => x_m);
  const ys = points.map(({ y_m }) => y_m);
  const [west_m, south_m] = [Math.min(...xs) - about_m, Math.min(...ys) - about_m];
  const [wide_m, high_m] = [Math.max(...xs) + about_m - west_m, Math.max(...ys) + about_m - south_m];
  const cell_m = Math.max(100, Math.ceil(Math.sqrt((wide_m * high_m) / FLAT_CELLS)));
  const [columns, rows] = [Math.ceil(wide_m / cell_m) + 1, Math.ceil(high_m / cell_m) + 1];
  const elevations_m = new Float32Array(columns * rows).fill(elevation_m);
  return { origin, west_m, south_m, cell_m, columns, rows, elevations_m };
}
