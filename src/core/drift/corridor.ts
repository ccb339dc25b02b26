// The ground that counts on the way: the highest within a distance to either side, on a coarser grid, with what is
// wanted over it.
import type { CoverGrid } from "../cover/cover-grid";
import { NO_GROUND_M, type TerrainGrid } from "../earth/terrain";
import type { PlanePoint } from "../earth/local-plane";
import { clamp } from "../numeric/clamp";

/** Cells of the coarser grid, m: fine enough for ground that counts miles to either side. */
const CELL_M = 500;
/** A grid has at most so many. */
const MOST_CELLS = 60_000;
/**
 * Near an aerodrome its own departure and approach rules hold: nothing is asked for up to the first distance, all of it
 * from the second on. Common practice.
 */
export const NEAR_AERODROME = { from_m: 1000, to_m: 15_000 };

/** The ground as the way on one engine sees it. */
export interface Corridor extends Omit<CoverGrid, "floor_m"> {
  /** Highest ground of each point's own cell. */
  readonly own_m: Float32Array;
  /** Highest ground that counts at each point; Infinity where some of it is not known. */
  readonly ground_m: Float32Array;
}

/** The highest of a terrain in each coarse cell, and then within `beside_m` of each point. */
export function corridor(terrain: TerrainGrid, beside_m: number): Corridor {
  const { west_m, south_m, cell_m, elevations_m } = terrain;
  const wide_m = (terrain.columns - 1) * cell_m;
  const high_m = (terrain.rows - 1) * cell_m;
  const stride = Math.max(1, Math.round(Math.max(CELL_M, Math.sqrt((wide_m * high_m) / MOST_CELLS)) / cell_m));
  const columns = Math.max(2, Math.ceil((terrain.columns - 1) / stride) + 1);
  const rows = Math.max(2, Math.ceil((terrain.rows - 1) / stride) + 1);
  const own_m = new Float32Array(columns * rows).fill(-Infinity);
  for (let row = 0; row < terrain.rows; row += 1)
    for (let column = 0; column < terrain.columns; column += 1) {
      const elevation_m = elevations_m[row * terrain.columns + column];
      const cell = Math.round(row / stride) * columns + Math.round(column / stride);
      own_m[cell] = Math.max(own_m[cell], elevation_m < NO_GROUND_M ? Infinity : elevation_m);
    }
  // A point lies up to a cell from each of the grid's points about it: all four must see what is within reach of it.
  const reach = beside_m / (stride * cell_m) + 1;
  const offsets: [number, number][] = [];
  for (let dy = -Math.floor(reach); dy <= reach; dy += 1)
    for (let dx = -Math.floor(reach); dx <= reach; dx += 1) if (Math.hypot(dx, dy) <= reach) offsets.push([dx, dy]);
  const ground_m = new Float32Array(columns * rows);
  for (let row = 0; row < rows; row += 1)
    for (let column = 0; column < columns; column += 1) {
      let highest_m = -Infinity;
      for (const [dx, dy] of offsets) {
        const [x, y] = [column + dx, row + dy];
        if (x >= 0 && y >= 0 && x < columns && y < rows) highest_m = Math.max(highest_m, own_m[y * columns + x]);
      }
      // The last column of a stride that does not divide the terrain has none of its own.
      ground_m[row * columns + column] = highest_m === -Infinity ? Infinity : highest_m;
    }
  return { west_m, south_m, cell_m: stride * cell_m, columns, rows, own_m, ground_m };
}

/** Share of the clearance that is asked for at a distance from the nearest aerodrome. */
export function clearanceShare(point: PlanePoint, aerodromes: readonly PlanePoint[]): number {
  const nearest_m = Math.min(...aerodromes.map(({ x_m, y_m }) => Math.hypot(point.x_m - x_m, point.y_m - y_m)));
  return clamp((nearest_m - NEAR_AERODROME.from_m) / (NEAR_AERODROME.to_m - NEAR_AERODROME.from_m), 0, 1);
}

/**
 * The lowest altitude of the way at each point: over the highest ground with all of the clearance; about the aerodromes
 * less of both, down to their own elevation, but over the ground below all the same, except overhead.
 */
export function corridorFloor(
  ground: Corridor,
  clearance_m: number,
  aerodromes: readonly (PlanePoint & { readonly elevation_m: number })[],
): CoverGrid {
  const { west_m, south_m, cell_m, columns, rows, own_m, ground_m } = ground;
  const floor_m = new Float32Array(columns * rows);
  for (let row = 0; row < rows; row += 1)
    for (let column = 0; column < columns; column += 1) {
      const cell = row * columns + column;
      const point = { x_m: west_m + column * cell_m, y_m: south_m + row * cell_m };
      const share = clearanceShare(point, aerodromes);
      floor_m[cell] = ground_m[cell] + clearance_m;
      if (share === 1 || floor_m[cell] === Infinity) continue;
      const near = aerodromes.reduce((best, other) => (away_m(point, other) < away_m(point, best) ? other : best));
      const tapered_m = near.elevation_m + share * (floor_m[cell] - near.elevation_m);
      const own = share === 0 ? near.elevation_m : own_m[cell] + share * clearance_m;
      floor_m[cell] = Math.min(floor_m[cell], Math.max(tapered_m, own));
    }
  return { west_m, south_m, cell_m, columns, rows, floor_m };
}

const away_m = (a: PlanePoint, b: PlanePoint) => Math.hypot(a.x_m - b.x_m, a.y_m - b.y_m);
