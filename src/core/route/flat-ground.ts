// Ground for where no terrain is known: flat, about what is asked about.
import type { LatLon } from "../earth/geodesic";
import type { TerrainGrid } from "../earth/terrain";

/** It is looked at so far about the places, in cells of a size that gives at most so many. */
const ABOUT_M = 40_000;
const FLAT_CELLS = 250_000;

/** Flat ground about some points. */
export function flatGround(
  points: readonly { readonly x_m: number; readonly y_m: number }[],
  elevation_m: number,
  origin: LatLon,
): TerrainGrid {
  const xs = points.map(({ x_m }) => x_m);
  const ys = points.map(({ y_m }) => y_m);
  const [west_m, south_m] = [Math.min(...xs) - ABOUT_M, Math.min(...ys) - ABOUT_M];
  const [wide_m, high_m] = [Math.max(...xs) + ABOUT_M - west_m, Math.max(...ys) + ABOUT_M - south_m];
  const cell_m = Math.max(100, Math.ceil(Math.sqrt((wide_m * high_m) / FLAT_CELLS)));
  const [columns, rows] = [Math.ceil(wide_m / cell_m) + 1, Math.ceil(high_m / cell_m) + 1];
  const elevations_m = new Float32Array(columns * rows).fill(elevation_m);
  return { origin, west_m, south_m, cell_m, columns, rows, elevations_m };
}
