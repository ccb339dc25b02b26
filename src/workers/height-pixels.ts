// Heights over the ground as pixels: bands, each hatched closer than the one under it, with a line between two of them.
// Drawing only.
import type { RouteHeights } from "@/core/route/route-heights";
import { betweenCells, eachPixel, hatch, painted } from "./grid-pixels";
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
    let band = 0;
    while (band < levels_m.length && here_m >= levels_m[band]) band += 1;
    out[pixel] = Number.isFinite(here_m) ? band : NONE;
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
  const pixels = new Uint32Array(width * height);
  const hatches = HATCH_PX.map((apart_px) => (apart_px > 0 ? hatch(view, ANGLE, apart_px) : () => false));
  const [edge, line, hatching] = [painted(ink, EDGE), painted(ink, LINE), painted(ink, HATCH)];
  const beyond = none && { hatched: hatch(view, NONE_ANGLE, NONE_PX), line: painted(none, NO_HEIGHT) };
  for (let row = 0; row < height; row += 1)
    for (let column = 0; column < width; column += 1) {
      const pixel = row * width + column;
      const band = held[pixel];
      if (band < 0) {
        if (beyond && band === NONE && beyond.hatched(column, row)) pixels[pixel] = beyond.line;
        continue;
      }
      const right = column + 1 < width ? held[pixel + 1] : band;
      const below = row + 1 < height ? held[pixel + width] : band;
      if (right === NONE || below === NONE) pixels[pixel] = edge;
      else if ((right !== band && right >= 0) || (below !== band && below >= 0)) pixels[pixel] = line;
      else if (hatches[band](column, row)) pixels[pixel] = hatching;
    }
  return new Uint8ClampedArray(pixels.buffer);
}
