import type { CoverGrid } from "./cover-grid";
import type { CoverLeg } from "./cover-metric";
import { BLOCK, type FloorBlocks, highestAbout_m } from "./floor-blocks";

/** A leg may graze its floor by this, m: rounding of 32 bits at 30 km. */
export const GRAZE_M = 0.02;

/**
 * Whether a leg that is set stays over the floor at every row and column that it crosses. Its own ends do not count.
 * Where it lies over the highest floor of the blocks about it nothing is looked at. Between two crossings a bilinear
 * floor rises over their chord by at most a quarter of a cell's twist.
 *
 * @param x0 - column of the end where the leg's altitude is given; `y0` its row
 * @param dx - columns to its other end; `dy` rows
 */
export function legClears(
  { grid, blocks }: { readonly grid: CoverGrid; readonly blocks: FloorBlocks },
  leg: CoverLeg,
  x0: number,
  y0: number,
  dx: number,
  dy: number,
): boolean {
  const pieces = Math.ceil(Math.max(Math.abs(dx), Math.abs(dy)) / BLOCK);
  let [a, before_m] = [0, leg.altitude_m(0)];
  for (let piece = 1; piece <= pieces; piece += 1) {
    const b = piece / pieces;
    const after_m = leg.altitude_m(b);
    const highest_m = highestAbout_m(blocks, x0 + a * dx, y0 + a * dy, x0 + b * dx, y0 + b * dy);
    if (!(Math.min(before_m, after_m) >= highest_m - GRAZE_M) && !pieceClears(grid, leg, x0, y0, dx, dy, a, b))
      return false;
    [a, before_m] = [b, after_m];
  }
  return true;
}

/** The same between two shares of a leg. */
function pieceClears(
  { floor_m, columns }: CoverGrid,
  leg: CoverLeg,
  x0: number,
  y0: number,
  dx: number,
  dy: number,
  a: number,
  b: number,
): boolean {
  const [x1, x2] = [x0 + a * dx, x0 + b * dx];
  for (let x = Math.ceil(Math.min(x1, x2)); x <= Math.max(x1, x2); x += 1) {
    const share = (x - x0) / dx;
    if (!(share > 0 && share < 1)) continue;
    const y = y0 + share * dy;
    const j = Math.floor(y);
    const below = j * columns + x;
    const ground_m = y > j ? floor_m[below] + (y - j) * (floor_m[below + columns] - floor_m[below]) : floor_m[below];
    if (!(leg.altitude_m(share) >= ground_m - GRAZE_M)) return false;
  }
  const [y1, y2] = [y0 + a * dy, y0 + b * dy];
  for (let y = Math.ceil(Math.min(y1, y2)); y <= Math.max(y1, y2); y += 1) {
    const share = (y - y0) / dy;
    if (!(share > 0 && share < 1)) continue;
    const x = x0 + share * dx;
    const i = Math.floor(x);
    const left = y * columns + i;
    const ground_m = x > i ? floor_m[left] + (x - i) * (floor_m[left + 1] - floor_m[left]) : floor_m[left];
    if (!(leg.altitude_m(share) >= ground_m - GRAZE_M)) return false;
  }
  return true;
}
