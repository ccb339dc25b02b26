// What is in reach from an altitude, as pixels over the relief: each place's part hatched its own way, its border
// drawn. Drawing only; flights are checked with the field itself.
import type { CoverField } from "@/core/cover/cover-field";
import { betweenCells, eachPixel, hatch } from "./grid-pixels";
import type { ReliefView } from "./relief";

/** What of a cover is drawn. */
export type DrawnCover = Pick<CoverField, "grid" | "altitude_m" | "site">;

/** Distance of two lines of a hatch, px. */
const HATCH_PX = 9;
/** Directions of the hatches, one place after the other. */
const ANGLES = [20, 65, 110, 155].map((angle_deg) => (angle_deg * Math.PI) / 180);
const NONE_ANGLE = (40 * Math.PI) / 180;
/** Pixels that no place holds. */
const [NONE, BEYOND] = [-1, -2];
/** How strong a hatch, a border between two places, the edge of all reach and the hatch beyond it are. */
const [HATCH, BORDER, EDGE, NO_REACH] = [92, 150, 255, 190];
/** Pixels on either side of the edge that belong to it. */
const EDGE_PX = 2;

/** Index of the place that holds each pixel, by rows from the north; NONE where none does, BEYOND outside the grid. */
function labels({ grid, altitude_m, site }: DrawnCover, view: ReliefView, from_m: number): Int16Array {
  const out = new Int16Array(view.width * view.height).fill(BEYOND);
  eachPixel(grid, view, (pixel, cell, east, north) => {
    const needed_m = betweenCells(altitude_m, grid.columns, cell, east, north);
    const nearest = cell + (east > 0.5 ? 1 : 0) + (north > 0.5 ? grid.columns : 0);
    out[pixel] = needed_m <= from_m ? site[nearest] : NONE;
  });
  return out;
}

/**
 * Fills pixels, row by row from the north.
 *
 * @param from_m - altitude, less what the reaction and a turn cost
 * @param ink - [r, g, b] of hatch and borders
 * @param none - likewise of a hatch where none is in reach; null to leave that bare
 * @returns RGBA, owned by the caller
 */
export function coverPixels(
  field: DrawnCover,
  view: ReliefView,
  from_m: number,
  ink: readonly [number, number, number],
  none: readonly [number, number, number] | null = null,
): Uint8ClampedArray<ArrayBuffer> {
  const { width, height } = view;
  const held = labels(field, view, from_m);
  const pixels = new Uint8ClampedArray(width * height * 4);
  const at = (column: number, row: number) =>
    column >= 0 && row >= 0 && column < width && row < height ? held[row * width + column] : null;
  const hatched = hatch(view);
  /** How strong a pixel is. */
  const strength = (column: number, row: number, place: number): number => {
    for (let d = 1; d <= EDGE_PX; d += 1)
      for (const other of [at(column + d, row), at(column - d, row), at(column, row + d), at(column, row - d)])
        if (other !== null && other < 0) return EDGE;
    for (const other of [at(column + 1, row), at(column, row + 1)])
      if (other !== null && other !== place) return BORDER;
    return hatched(column, row, ANGLES[place % ANGLES.length], HATCH_PX) ? HATCH : 0;
  };
  for (let row = 0; row < height; row += 1)
    for (let column = 0; column < width; column += 1) {
      const place = held[row * width + column];
      const pixel = (row * width + column) * 4;
      if (place < 0) {
        if (none && place === NONE && hatched(column, row, NONE_ANGLE, HATCH_PX))
          pixels.set([...none, NO_REACH], pixel);
        continue;
      }
      const alpha = strength(column, row, place);
      if (alpha > 0) pixels.set([...ink, alpha], pixel);
    }
  return pixels;
}
