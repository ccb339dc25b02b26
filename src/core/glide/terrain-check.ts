import { clamp } from "../numeric/clamp";
import { type TerrainGrid, elevationAt_m } from "../earth/terrain";
import type { PathPoint } from "./glide-path";

/** How a path stands to the ground below it. */
export interface TerrainClearance {
  /**
   * Least height over ground after the clearance wanted there, m; negative: too low by so much. Null where no terrain
   * is known.
   */
  readonly least_m: number | null;
  /** The point where that is, as an index into the path's points. */
  readonly index: number;
  /** Points for which the grid had no ground. */
  readonly unknown: number;
}

/** Within the first distance of the landing point no clearance is asked for, beyond the second all of it, m. */
const TAPER_FROM_M = 500;
const TAPER_TO_M = 2500;
/**
 * Ground is looked at this often between the points of a path, of a cell: a summit that stands between two looks is
 * missed by an eighth of its slope.
 */
const STEP_OF_CELL = 0.25;

/** Clearance wanted at a distance from the landing point. */
export function taperedClearance_m(clearance_m: number, distance_m: number): number {
  return clearance_m * clamp((distance_m - TAPER_FROM_M) / (TAPER_TO_M - TAPER_FROM_M), 0, 1);
}

/**
 * Checks a path against terrain, with a clearance that tapers to nothing near the landing point.
 *
 * @param points - from `pathPoints`, in the grid's plane
 * @param clearance_m - wanted away from the landing point
 */
export function terrainClearance(
  grid: TerrainGrid,
  points: readonly PathPoint[],
  target: { x_m: number; y_m: number },
  clearance_m: number,
): TerrainClearance {
  let least_m: number | null = null;
  let index = 0;
  let unknown = 0;
  const step_m = grid.cell_m * STEP_OF_CELL;
  points.forEach((point, i) => {
    const before = points[Math.max(0, i - 1)];
    const steps = Math.max(1, Math.ceil(Math.hypot(point.x_m - before.x_m, point.y_m - before.y_m) / step_m));
    for (let step = 1; step <= steps; step += 1) {
      const share = step / steps;
      const x_m = before.x_m + share * (point.x_m - before.x_m);
      const y_m = before.y_m + share * (point.y_m - before.y_m);
      const ground_m = elevationAt_m(grid, x_m, y_m);
      if (ground_m === null) {
        if (step === steps) unknown += 1;
        continue;
      }
      const distance_m = Math.hypot(x_m - target.x_m, y_m - target.y_m);
      // Over the landing place itself the ledger's margin speaks; a shortfall there is not a hill in the way.
      if (distance_m < TAPER_FROM_M) continue;
      const spare_m =
        before.altitude_m +
        share * (point.altitude_m - before.altitude_m) -
        ground_m -
        taperedClearance_m(clearance_m, distance_m);
      if (least_m === null || spare_m < least_m) {
        least_m = spare_m;
        index = i;
      }
    }
  });
  return { least_m, index, unknown };
}
