// Heights over the ground as pixels: bands, each hatched closer than the one under it, with a line between two of them.
// Drawing only.
import type { RouteHeights } from "@/core/route/route-heights";
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
  const { width, height, resolution_m, west_m, south_m } = view;
  const { columns, rows, cell_m } = grid;
  const out = new Int8Array(width * height).fill(UNKNOWN);
  for (let row = 0; row < height; row += 1) {
    const y = (south_m + (height - row - 0.5) * resolution_m - grid.south_m) / cell_m;
    const j = Math.floor(y);
    if (j < 0 || j >= rows - 1) continue;
    const v = y - j;
    for (let column = 0; column < width; column += 1) {
      const x = (west_m + (column + 0.5) * resolution_m - grid.west_m) / cell_m;
      const i = Math.floor(x);
      if (i < 0 || i >= columns - 1) continue;
      const u = x - i;
      const cell = j * columns + i;
      const here_m =
        (1 - v) * ((1 - u) * height_m[cell] + u * height_m[cell + 1]) +
        v * ((1 - u) * height_m[cell + columns] + u * height_m[cell + columns + 1]);
      if (Number.isNaN(here_m)) continue;
      let band = Number.isFinite(here_m) ? 0 : NONE;
      while (band >= 0 && band < levels_m.length && here_m >= levels_m[band]) band += 1;
      out[row * width + column] = band;
    }
  }
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
  const { width, height, resolution_m, west_m, south_m } = view;
  const held = bands(heights, view, levels_m);
  const pixels = new Uint8ClampedArray(width * height * 4);
  /** The hatch stands on the ground, not on the screen: it does not swim when the map is moved. */
  const hatched = (column: number, row: number, angle: number, apart_px: number) => {
    const along =
      (west_m / resolution_m + column) * Math.cos(angle) + (south_m / resolution_m + height - row) * Math.sin(angle);
    return ((along % apart_px) + apart_px) % apart_px < 1;
  };
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
