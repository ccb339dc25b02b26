import type { CoverGrid } from "./cover-grid";
import type { CoverLeg } from "./cover-metric";

/** A leg may graze its floor by this, m: rounding of 32 bits at 30 km. */
export const GRAZE_M = 0.02;

/**
 * Whether a leg that is set stays over the floor at every row and column that it crosses. Its own ends do not count.
 * Between two crossings a bilinear floor rises over their chord by at most a quarter of a cell's twist.
 *
 * @param x0 - column of the end where the leg's altitude is given; `y0` its row
 * @param dx - columns to its other end; `dy` rows
 */
export function legClears(
  { floor_m, columns }: CoverGrid,
  leg: CoverLeg,
  x0: number,
  y0: number,
  dx: number,
  dy: number,
): boolean {
  const [x1, y1] = [x0 + dx, y0 + dy];
  for (let x = Math.ceil(Math.min(x0, x1)); x <= Math.max(x0, x1); x += 1) {
    const share = (x - x0) / dx;
    if (!(share > 0 && share < 1)) continue;
    const y = y0 + share * dy;
    const j = Math.floor(y);
    const below = j * columns + x;
    const ground_m = y > j ? floor_m[below] + (y - j) * (floor_m[below + columns] - floor_m[below]) : floor_m[below];
    if (!(leg.altitude_m(share) >= ground_m - GRAZE_M)) return false;
  }
  for (let y = Math.ceil(Math.min(y0, y1)); y <= Math.max(y0, y1); y += 1) {
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
