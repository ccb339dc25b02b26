import { type TerrainGrid, elevationAt_m } from "../earth/terrain";
import type { PathPoint } from "./glide-path";

/** How a path stands to the ground below it. */
export interface TerrainClearance {
  /** Least height over ground after the clearance wanted there, m; negative: too low by so much. Null where no terrain is known. */
  readonly least_m: number | null;
  /** The point where that is, as an index into the path's points. */
  readonly index: number;
  /** Points for which the grid had no ground. */
  readonly unknown: number;
}

/** Clearance wanted is nothing within the first distance of the landing point, and all of it beyond the second, m. */
const TAPER_FROM_M = 500;
const TAPER_TO_M = 2500;

/** Clearance wanted at a distance from the landing point. */
export function taperedClearance_m(clearance_m: number, distance_m: number): number {
  return clearance_m * Math.min(Math.max((distance_m - TAPER_FROM_M) / (TAPER_TO_M - TAPER_FROM_M), 0), 1);
}

/**
 * Checks a path against terrain, with a clearance that tapers to nothing near the landing point.
 *
 * @param points - from `pathPoints`, in the grid's plane
 * @param clearance_m - wanted away from the landing point
 */
export function terrainClearance(grid: TerrainGrid, points: readonly PathPoint[], target: { x_m: number; y_m: number }, clearance_m: number): TerrainClearance {
  let least_m: number | null = null;
  let index = 0;
  let unknown = 0;
  points.forEach((point, i) => {
    const ground_m = elevationAt_m(grid, point.x_m, point.y_m);
    if (ground_m === null) {
      unknown += 1;
      return;
    }
    const distance_m = Math.hypot(point.x_m - target.x_m, point.y_m - target.y_m);
    // Over the landing place itself the ledger's margin speaks; a shortfall there is not a hill in the way.
    if (distance_m < TAPER_FROM_M) return;
    const spare_m = point.altitude_m - ground_m - taperedClearance_m(clearance_m, distance_m);
    if (least_m === null || spare_m < least_m) {
      least_m = spare_m;
      index = i;
    }
  });
  return { least_m, index, unknown };
}
