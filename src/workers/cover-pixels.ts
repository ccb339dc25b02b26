// What is in reach from an altitude, as pixels over the relief: each place's part hatched its own way, its border
// drawn. Drawing only; flights are checked with the field itself.
import type { CoverField } from "@/core/cover/cover-field";
import { betweenCells, eachPixel, hatch, painted } from "./grid-pixels";
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
  const pixels = new Uint32Array(width * height);
  const hatches = ANGLES.map((angle_rad) => hatch(view, angle_rad, HATCH_PX));
  const [edge, border, line] = [painted(ink, EDGE), painted(ink, BORDER), painted(ink, HATCH)];
  const beyond = none && { hatched: hatch(view, NONE_ANGLE, HATCH_PX), line: painted(none, NO_REACH) };
  /** Paints the edge from a pixel in reach away from its neighbour that is not, no farther than there is room. */
  const paintEdge = (from: number, away: number, room: number) => {
    for (let d = 0; d < Math.min(EDGE_PX, room) && held[from + d * away] >= 0; d += 1) pixels[from + d * away] = edge;
  };
  for (let row = 0; row < height; row += 1)
    for (let column = 0; column < width; column += 1) {
      const pixel = row * width + column;
      const place = held[pixel];
      const right = column + 1 < width ? held[pixel + 1] : place;
      const below = row + 1 < height ? held[pixel + width] : place;
      if (place < 0) {
        if (beyond && place === NONE && beyond.hatched(column, row)) pixels[pixel] = beyond.line;
      } else if (pixels[pixel] !== edge) {
        if (right !== place || below !== place) pixels[pixel] = border;
        else if (hatches[place % ANGLES.length](column, row)) pixels[pixel] = line;
      }
      if (place < 0 && right >= 0) paintEdge(pixel + 1, 1, width - column - 1);
      if (place >= 0 && right < 0) paintEdge(pixel, -1, column + 1);
      if (place < 0 && below >= 0) paintEdge(pixel + width, width, height - row - 1);
      if (place >= 0 && below < 0) paintEdge(pixel, -width, row + 1);
    }
  return new Uint8ClampedArray(pixels.buffer);
}
