// How far a place is from the coast: positive on land, negative over water.
import type { TerrainGrid } from "@/core/earth/terrain";

/** Farther than this makes no difference, m. */
const FAR_M = 2500;

/**
 * Distance from the coast at every point of a grid, m, by two chamfer sweeps each way.
 *
 * @see G. Borgefors, Distance transformations in digital images (1986) (memory)
 */
export function coastDistance({ elevations_m, columns, rows, cell_m }: TerrainGrid): Float32Array {
  const toSea = new Float32Array(columns * rows);
  const toLand = new Float32Array(columns * rows);
  for (let i = 0; i < toSea.length; i += 1) {
    const land = elevations_m[i] > 0;
    toSea[i] = land ? Infinity : 0;
    toLand[i] = land ? 0 : Infinity;
  }
  for (const field of [toSea, toLand]) sweep(field, columns, rows, cell_m);
  return toSea.map((away_m, i) => Math.max(-FAR_M, Math.min(FAR_M, away_m - toLand[i])));
}

function sweep(field: Float32Array, columns: number, rows: number, cell_m: number): void {
  const diagonal = cell_m * Math.SQRT2;
  for (let r = 0; r < rows; r += 1)
    for (let c = 0; c < columns; c += 1) {
      const i = r * columns + c;
      let best = field[i];
      if (c > 0) best = Math.min(best, field[i - 1] + cell_m);
      if (r > 0) {
        best = Math.min(best, field[i - columns] + cell_m);
        if (c > 0) best = Math.min(best, field[i - columns - 1] + diagonal);
        if (c < columns - 1) best = Math.min(best, field[i - columns + 1] + diagonal);
      }
      field[i] = best;
    }
  for (let r = rows - 1; r >= 0; r -= 1)
    for (let c = columns - 1; c >= 0; c -= 1) {
      const i = r * columns + c;
      let best = field[i];
      if (c < columns - 1) best = Math.min(best, field[i + 1] + cell_m);
      if (r < rows - 1) {
        best = Math.min(best, field[i + columns] + cell_m);
        if (c < columns - 1) best = Math.min(best, field[i + columns + 1] + diagonal);
        if (c > 0) best = Math.min(best, field[i + columns - 1] + diagonal);
      }
      field[i] = best;
    }
}
