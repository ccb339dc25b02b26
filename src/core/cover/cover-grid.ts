// The ground with what is wanted over it: the lowest altitude at which each cell may be crossed.
import { NO_GROUND_M, type TerrainGrid } from "../earth/terrain";

/** A square grid of the lowest altitudes, row by row from the south-west; holes are Infinity: nobody knows. */
export interface CoverGrid {
  readonly west_m: number;
  readonly south_m: number;
  readonly cell_m: number;
  readonly columns: number;
  readonly rows: number;
  readonly floor_m: Float32Array;
}

/** Where one may come down, and the altitude wanted overhead. */
export interface CoverSite {
  readonly x_m: number;
  readonly y_m: number;
  readonly altitude_m: number;
}

/**
 * Clearance wanted at a distance from a landing place, as a share: nothing within the first distance, all of it beyond
 * the second.
 */
export interface Taper {
  readonly from_m: number;
  readonly to_m: number;
}

/** @see Taper */
export const USUAL_TAPER: Taper = { from_m: 500, to_m: 2500 };

/**
 * Terrain with clearance over it, none of it near the places.
 *
 * @param places - where the clearance tapers to nothing: landing places, or an aircraft that is below it already
 */
export function coverGrid(
  terrain: TerrainGrid,
  clearance_m: number,
  places: readonly { readonly x_m: number; readonly y_m: number }[],
  taper: Taper = USUAL_TAPER,
): CoverGrid {
  const { west_m, south_m, cell_m, columns, rows, elevations_m } = terrain;
  const floor_m = new Float32Array(columns * rows);
  for (let i = 0; i < floor_m.length; i += 1)
    floor_m[i] = elevations_m[i] < NO_GROUND_M ? Infinity : elevations_m[i] + clearance_m;
  for (const { x_m, y_m } of places) {
    const column = (x_m - west_m) / cell_m;
    const row = (y_m - south_m) / cell_m;
    const reach = taper.to_m / cell_m;
    for (let j = Math.max(0, Math.ceil(row - reach)); j <= Math.min(rows - 1, row + reach); j += 1)
      for (let i = Math.max(0, Math.ceil(column - reach)); i <= Math.min(columns - 1, column + reach); i += 1) {
        const distance_m = Math.hypot(i - column, j - row) * cell_m;
        if (distance_m >= taper.to_m) continue;
        const share = Math.max(0, (distance_m - taper.from_m) / (taper.to_m - taper.from_m));
        const cell = j * columns + i;
        floor_m[cell] = Math.min(floor_m[cell], elevations_m[cell] + share * clearance_m);
        if (elevations_m[cell] < NO_GROUND_M) floor_m[cell] = Infinity;
      }
  }
  return { west_m, south_m, cell_m, columns, rows, floor_m };
}

/**
 * The floor at a point, bilinear; Infinity outside the grid and beside a hole.
 *
 * @param column - in cells from the first, with fractions
 * @param row - likewise
 */
export function floorAt_m({ floor_m, columns, rows }: CoverGrid, column: number, row: number): number {
  if (!(column >= 0 && row >= 0 && column <= columns - 1 && row <= rows - 1)) return Infinity;
  const i = Math.min(Math.floor(column), columns - 2);
  const j = Math.min(Math.floor(row), rows - 2);
  const u = column - i;
  const v = row - j;
  const at = j * columns + i;
  // A corner without weight does not count: Infinity times nothing is no number.
  let sum = 0;
  if (u < 1 && v < 1) sum += (1 - u) * (1 - v) * floor_m[at];
  if (u > 0 && v < 1) sum += u * (1 - v) * floor_m[at + 1];
  if (u < 1 && v > 0) sum += (1 - u) * v * floor_m[at + columns];
  if (u > 0 && v > 0) sum += u * v * floor_m[at + columns + 1];
  return sum;
}
