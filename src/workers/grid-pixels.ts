// What images of a grid have in common: which cells a pixel lies between, and hatches.
import type { CoverGrid } from "@/core/cover/cover-grid";
import type { ReliefView } from "./relief";

/**
 * Goes through the pixels that lie on a grid.
 *
 * @param fill - told the pixel, the cell to its south-west, and the shares of the way to the next, east and north
 */
export function eachPixel(
  { west_m, south_m, cell_m, columns, rows }: Omit<CoverGrid, "floor_m">,
  view: ReliefView,
  fill: (pixel: number, cell: number, east: number, north: number) => void,
): void {
  const { width, height, resolution_m } = view;
  for (let row = 0; row < height; row += 1) {
    const y = (view.south_m + (height - row - 0.5) * resolution_m - south_m) / cell_m;
    const j = Math.floor(y);
    if (j < 0 || j >= rows - 1) continue;
    for (let column = 0; column < width; column += 1) {
      const x = (view.west_m + (column + 0.5) * resolution_m - west_m) / cell_m;
      const i = Math.floor(x);
      if (i >= 0 && i < columns - 1) fill(row * width + column, j * columns + i, x - i, y - j);
    }
  }
}

/** A value between two; one without weight does not count, be it infinite. */
const mixed = (a: number, b: number, share: number) => (share === 0 ? a : (1 - share) * a + share * b);

/** A value between four cells, bilinear. @see mixed */
export function betweenCells(values: Float32Array, columns: number, cell: number, east: number, north: number): number {
  return mixed(
    mixed(values[cell], values[cell + 1], east),
    mixed(values[cell + columns], values[cell + columns + 1], east),
    north,
  );
}

/**
 * A hatch of lines at an angle, so many pixels apart. It stands on the ground, not on the screen: it does not swim with
 * the map.
 *
 * @returns whether a pixel is one of its lines
 */
export function hatch(
  { west_m, south_m, resolution_m, height }: ReliefView,
  angle_rad: number,
  apart_px: number,
): (column: number, row: number) => boolean {
  const [left, bottom] = [west_m / resolution_m, south_m / resolution_m + height];
  const [cos, sin] = [Math.cos(angle_rad), Math.sin(angle_rad)];
  return (column, row) => {
    const along = (left + column) * cos + (bottom - row) * sin;
    return along - apart_px * Math.floor(along / apart_px) < 1;
  };
}

/** A colour as one number of a row of pixels: an image has a million of them. */
export function painted([red, green, blue]: readonly [number, number, number], alpha: number): number {
  return new Uint32Array(Uint8Array.of(red, green, blue, alpha).buffer)[0];
}
