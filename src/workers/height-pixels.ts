// Heights over the ground as pixels: bands, each hatched closer than the one under it, with a line between two of them.
// Drawing only.
import type { RouteHeights } from "@/core/route/route-heights";
import { betweenCells, eachPixel, hatch } from "./grid-pixels";
import type { ReliefView } from "./relief";

/** Distance of two lines of a band's hatch, px; the lowest band has none. */
const HATCH_PX = [0, 16, 10, 6, 4];
const ANGLE = (65 * Math.PI) / 180;
const NONE_ANGLE = (40 * Math.PI) / 180;
const NONE_PX = 9;
/** Pixels without a height: none there, and nothing known. */
const [NONE, UNKNOWN] = [-1, -2];
/** How strong a hatch, a line between bands, the edge of all of them and the hatch beyond it are. */
const [HATCH, LINE, EDGE, NO_HEIGHT] = [80, 120, 255, 150];

/** Band of each pixel, by rows from the north. */
function bands({ grid, height_m }: RouteHeights, view: ReliefView, levels_m: readonly number[]): Int8Array {
  const out = new Int8Array(view.width * view.height).fill(UNKNOWN);
  eachPixel(grid, view, (pixel, cell, east, north) => {
    const here_m = betweenCells(height_m, grid.columns, cell, east, north);
    if (Number.isNaN(here_m)) return;
    out[pixel] = Number.isFinite(here_m) ? levels_m.filter((level_m) => here_m >= level_m).length : NONE;
  });
  return out;
}

/**
 * Fills pixels, row by row from the north.
 *
 * @param levels_m - heights between the bands, rising; four of them
 * @param ink - [r, g, b] of hatch and lines
 * @param none - likewise of a hatch where there is no height; null to leave that bare
 * @returns RGBA, owned by the caller
 */
export function heightPixels(
  heights: RouteHeights,
  view: ReliefView,
  levels_m: readonly number[],
  ink: readonly [number, number, number],
  none: readonly [number, number, number] | null,
): Uint8ClampedArray<ArrayBuffer> {
  const { width, height } = view;
  const held = bands(heights, view, levels_m);
  const pixels = new Uint8ClampedArray(width * height * 4);
  const hatched = hatch(view);
  const strength = (column: number, row: number, band: number): number => {
    const [right, below] = [
      column + 1 < width ? held[row * width + column + 1] : band,
      row + 1 < height ? held[(row + 1) * width + column] : band,
    ];
    if (right === NONE || below === NONE) return EDGE;
    if ((right !== band && right >= 0) || (below !== band && below >= 0)) return LINE;
    return band > 0 && hatched(column, row, ANGLE, HATCH_PX[band]) ? HATCH : 0;
  };
  for (let row = 0; row < height; row += 1)
    for (let column = 0; column < width; column += 1) {
      const band = held[row * width + column];
      const pixel = (row * width + column) * 4;
      if (band === NONE && none && hatched(column, row, NONE_ANGLE, NONE_PX)) pixels.set([...none, NO_HEIGHT], pixel);
      if (band < 0) continue;
      const alpha = strength(column, row, band);
      if (alpha > 0) pixels.set([...ink, alpha], pixel);
    }
  return pixels;
}
