// What is in reach from an altitude, as pixels over the relief: each place's part hatched its own way, its border
// drawn. Drawing only; flights are checked with the field itself.
import type { CoverField } from "@/core/cover/cover-field";
import type { ReliefView } from "./relief";

/** Distance of two lines of a hatch, px. */
const HATCH_PX = 9;
/** Directions of the hatches, one place after the other. */
const ANGLES = [20, 65, 110, 155].map((angle_deg) => (angle_deg * Math.PI) / 180);
/** How strong a hatch, a border between two places and the edge of all reach are. */
const [HATCH, BORDER, EDGE] = [92, 150, 255];
/** Pixels on either side of the edge that belong to it. */
const EDGE_PX = 2;

/** Index of the place that holds each pixel, row by row from the north; −1 where none is in reach. */
function labels({ grid, altitude_m, site }: CoverField, view: ReliefView, from_m: number): Int16Array {
  const { width, height, resolution_m, west_m, south_m } = view;
  const { columns, rows, cell_m } = grid;
  const out = new Int16Array(width * height).fill(-1);
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
      const needed_m =
        (1 - v) * ((1 - u) * altitude_m[cell] + u * altitude_m[cell + 1]) +
        v * ((1 - u) * altitude_m[cell + columns] + u * altitude_m[cell + columns + 1]);
      if (needed_m <= from_m) out[row * width + column] = site[cell + (u > 0.5 ? 1 : 0) + (v > 0.5 ? columns : 0)];
    }
  }
  return out;
}

/**
 * Fills pixels, row by row from the north.
 *
 * @param from_m - altitude, less what the reaction and a turn cost
 * @param ink - [r, g, b] of hatch and borders
 * @returns RGBA, owned by the caller
 */
export function coverPixels(
  field: CoverField,
  view: ReliefView,
  from_m: number,
  ink: readonly [number, number, number],
): Uint8ClampedArray<ArrayBuffer> {
  const { width, height, resolution_m, west_m, south_m } = view;
  const held = labels(field, view, from_m);
  const pixels = new Uint8ClampedArray(width * height * 4);
  const at = (column: number, row: number) =>
    column >= 0 && row >= 0 && column < width && row < height ? held[row * width + column] : null;
  /** How strong a pixel is. */
  const strength = (column: number, row: number, place: number): number => {
    for (let d = 1; d <= EDGE_PX; d += 1)
      for (const other of [at(column + d, row), at(column - d, row), at(column, row + d), at(column, row - d)])
        if (other === -1) return EDGE;
    for (const other of [at(column + 1, row), at(column, row + 1)])
      if (other !== null && other !== place) return BORDER;
    // The hatch stands on the ground, not on the screen: it does not swim when the map is moved.
    const angle = ANGLES[place % ANGLES.length];
    const along =
      (west_m / resolution_m + column) * Math.cos(angle) + (south_m / resolution_m + height - row) * Math.sin(angle);
    return ((along % HATCH_PX) + HATCH_PX) % HATCH_PX < 1 ? HATCH : 0;
  };
  for (let row = 0; row < height; row += 1)
    for (let column = 0; column < width; column += 1) {
      const place = held[row * width + column];
      if (place < 0) continue;
      const alpha = strength(column, row, place);
      if (alpha === 0) continue;
      const pixel = (row * width + column) * 4;
      pixels.set([ink[0], ink[1], ink[2], alpha], pixel);
    }
  return pixels;
}
