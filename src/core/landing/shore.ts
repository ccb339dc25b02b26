import type { LatLon } from "../earth/geodesic";
import { wrapTurn } from "../quantities/angle";
import { type PlanePoint, localPlane } from "../earth/local-plane";
import { type TerrainGrid, elevationAt_m } from "../earth/terrain";

/** Land seen from a place on the water or over it. */
export interface Shore {
  /** In the grid's plane, clockwise from its y axis. */
  readonly bearing_rad: number;
  readonly distance_m: number;
}

/** Land is higher than this: the grid's sea is 0. */
const LAND_M = 0.5;
const RAYS = 72;

/**
 * First land along a direction.
 *
 * @returns metres; null when the grid ends before any land
 */
export function landAlong_m(grid: TerrainGrid, from: PlanePoint, bearing_rad: number): number | null {
  const step_m = grid.cell_m / 2;
  for (let distance_m = 0; ; distance_m += step_m) {
    const z = elevationAt_m(
      grid,
      from.x_m + distance_m * Math.sin(bearing_rad),
      from.y_m + distance_m * Math.cos(bearing_rad),
    );
    if (z === null) return null;
    if (z > LAND_M) return distance_m;
  }
}

/**
 * Nearest land in any direction, to 5° and half a cell.
 *
 * @returns null when there is none within the grid
 */
export function nearestShore(grid: TerrainGrid, from: PlanePoint): Shore | null {
  let best: Shore | null = null;
  for (let i = 0; i < RAYS; i += 1) {
    const bearing_rad = (2 * Math.PI * i) / RAYS;
    const distance_m = landAlong_m(grid, from, bearing_rad);
    if (distance_m !== null && (best === null || distance_m < best.distance_m)) best = { bearing_rad, distance_m };
  }
  return best;
}

/** Land about a place on the water, directions true. */
export interface Shores {
  readonly nearest: Shore | null;
  readonly ahead_m: number | null;
}

/** Land about a place and along a heading. */
export function shoresAbout(terrain: TerrainGrid, position: LatLon, headingTrue_rad: number): Shores {
  const plane = localPlane(terrain.origin);
  const from = plane.toPlane(position);
  const lean = plane.convergence_rad(position);
  const nearest = nearestShore(terrain, from);
  return {
    nearest: nearest && { ...nearest, bearing_rad: wrapTurn(nearest.bearing_rad - lean) },
    ahead_m: landAlong_m(terrain, from, headingTrue_rad + lean),
  };
}
