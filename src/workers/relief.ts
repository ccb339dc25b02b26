// Relief of a terrain as pixels: bands of height, shade from the north-west, contour lines and coast. Drawing only; the
// smooth interpolation used here is not the one that paths are checked with.
import { clamp } from "@/core/numeric/clamp";
import type { TerrainGrid } from "@/core/earth/terrain";

/** Colours of the relief, each [r, g, b]. */
export interface ReliefPalette {
  readonly sea: readonly [number, number, number];
  readonly coast: readonly [number, number, number];
  readonly contour: readonly [number, number, number];
  /** From the shore to the highest ground. */
  readonly bands: readonly (readonly [number, number, number])[];
  /** Share of the shade that slopes get, 0 to 1. */
  readonly shade: number;
}

/** A rectangle of the plane and the pixels to fill. */
export interface ReliefView {
  readonly west_m: number;
  readonly south_m: number;
  readonly resolution_m: number;
  readonly width: number;
  readonly height: number;
}

/** Height between two contour lines by the size of a pixel, m: closer contours when seen from nearer. */
function contourInterval_m(resolution_m: number): number {
  return resolution_m < 30 ? 50 : resolution_m < 80 ? 100 : 250;
}

/** Where each band begins, m; the first is the shore. */
const BAND_FROM_M = [0, 50, 150, 300, 500, 750, 1000, 1300, 1600];

/** Weights of a Catmull–Rom spline at a share between two points. */
function spline(t: number, out: Float64Array, cell: number): void {
  const t2 = t * t;
  const t3 = t2 * t;
  out[cell] = (-t3 + 2 * t2 - t) / 2;
  out[cell + 1] = (3 * t3 - 5 * t2 + 2) / 2;
  out[cell + 2] = (-3 * t3 + 4 * t2 + t) / 2;
  out[cell + 3] = (t3 - t2) / 2;
}

/**
 * Fills pixels, row by row from the north.
 *
 * @returns RGBA, owned by the caller
 */
export function reliefPixels(
  grid: TerrainGrid,
  view: ReliefView,
  palette: ReliefPalette,
): Uint8ClampedArray<ArrayBuffer> {
  const { width, height, resolution_m } = view;
  const heights = sampled(grid, view);
  const pixels = new Uint8ClampedArray(width * height * 4);
  const interval_m = contourInterval_m(resolution_m);
  const stride = width + 1;
  for (let row = 0; row < height; row += 1) {
    for (let column = 0; column < width; column += 1) {
      const cell = row * stride + column;
      const z = heights[cell];
      const right = heights[cell + 1];
      const below = heights[cell + stride];
      // Where nothing is known of the ground nothing is drawn.
      if (Number.isNaN(z) || Number.isNaN(right) || Number.isNaN(below)) continue;
      let colour: readonly [number, number, number];
      let light = 1;
      if (z <= 0.5 !== right <= 0.5 || z <= 0.5 !== below <= 0.5) colour = palette.coast;
      else if (z <= 0.5) colour = palette.sea;
      else {
        const band = Math.floor(z / interval_m);
        const edge = band !== Math.floor(right / interval_m) || band !== Math.floor(below / interval_m);
        colour = bandColour(palette, z);
        // Lambert's law with the light at 45° from the north-west, exaggerated twofold; flat ground is neutral.
        const dx = (2 * (right - z)) / resolution_m;
        const dy = (2 * (z - below)) / resolution_m;
        const lambert = (1 + dx - dy) / Math.sqrt(2 * (1 + dx * dx + dy * dy)) / Math.SQRT1_2;
        light = 1 + palette.shade * (clamp(lambert, 0.2, 1.5) - 1);
        if (edge) {
          colour = [
            (colour[0] + palette.contour[0]) / 2,
            (colour[1] + palette.contour[1]) / 2,
            (colour[2] + palette.contour[2]) / 2,
          ];
        }
      }
      const p = (row * width + column) * 4;
      pixels[p] = colour[0] * light;
      pixels[p + 1] = colour[1] * light;
      pixels[p + 2] = colour[2] * light;
      pixels[p + 3] = 255;
    }
  }
  return pixels;
}

function bandColour(palette: ReliefPalette, z: number): readonly [number, number, number] {
  let band = 0;
  while (band + 1 < BAND_FROM_M.length && band + 1 < palette.bands.length && z >= BAND_FROM_M[band + 1]) band += 1;
  return palette.bands[band];
}

/** No ground, and nothing between ground and ground, lies lower. */
const DEEP_M = -900;

/** Heights at pixel corners, one more column and row than pixels; sea outside the grid, NaN in its holes. */
function sampled(grid: TerrainGrid, view: ReliefView): Float32Array {
  const columns = view.width + 1;
  const rows = view.height + 1;
  const out = new Float32Array(columns * rows);
  const z = grid.elevations_m;
  // Column positions and weights are the same in every row.
  const index = new Int32Array(columns);
  const weights = new Float64Array(columns * 4);
  for (let column = 0; column < columns; column += 1) {
    const x = (view.west_m + column * view.resolution_m - grid.west_m) / grid.cell_m;
    index[column] = Math.floor(x);
    spline(x - Math.floor(x), weights, column * 4);
  }
  const v = new Float64Array(4);
  for (let row = 0; row < rows; row += 1) {
    const y = (view.south_m + (view.height - row) * view.resolution_m - grid.south_m) / grid.cell_m;
    const j = Math.floor(y);
    if (j < 1 || j > grid.rows - 3) continue;
    spline(y - j, v, 0);
    for (let column = 0; column < columns; column += 1) {
      const i = index[column];
      if (i < 1 || i > grid.columns - 3) continue;
      let sum = 0;
      for (let a = 0; a < 4; a += 1) {
        const line = (j - 1 + a) * grid.columns + i - 1;
        const w = column * 4;
        sum +=
          v[a] *
          (weights[w] * z[line] +
            weights[w + 1] * z[line + 1] +
            weights[w + 2] * z[line + 2] +
            weights[w + 3] * z[line + 3]);
      }
      // A hole is so far down that no weights bring it up to ground again.
      out[row * columns + column] = sum < DEEP_M ? NaN : sum;
    }
  }
  return out;
}
