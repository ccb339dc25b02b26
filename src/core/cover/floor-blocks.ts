// The highest floor of each block of cells: a leg that lies over it need not be looked at cell by cell.
import { clamp } from "../numeric/clamp";
import type { CoverGrid } from "./cover-grid";

/** Cells along the side of a block. */
export const BLOCK = 16;

/** @see floor-blocks.ts */
export interface FloorBlocks {
  readonly columns: number;
  readonly rows: number;
  readonly highest_m: Float32Array;
}

/** The blocks of a grid, each with the first row and column beyond it: what lies between them counts too. */
export function floorBlocks({ columns, rows, floor_m }: CoverGrid): FloorBlocks {
  const blockColumns = Math.ceil(columns / BLOCK);
  const blockRows = Math.ceil(rows / BLOCK);
  const highest_m = new Float32Array(blockColumns * blockRows);
  for (let j = 0; j < blockRows; j += 1)
    for (let i = 0; i < blockColumns; i += 1) {
      const last = Math.min((i + 1) * BLOCK, columns - 1);
      let highest = -Infinity;
      for (let row = j * BLOCK; row <= Math.min((j + 1) * BLOCK, rows - 1); row += 1)
        for (let cell = row * columns + i * BLOCK; cell <= row * columns + last; cell += 1)
          if (floor_m[cell] > highest) highest = floor_m[cell];
      highest_m[j * blockColumns + i] = highest;
    }
  return { columns: blockColumns, rows: blockRows, highest_m };
}

/** The highest floor of the blocks about a line from one place to another, in cells. */
export function highestAbout_m(
  { columns, rows, highest_m }: FloorBlocks,
  x0: number,
  y0: number,
  x1: number,
  y1: number,
): number {
  const [left, right] = [blockOf(Math.min(x0, x1), columns), blockOf(Math.max(x0, x1), columns)];
  const [bottom, top] = [blockOf(Math.min(y0, y1), rows), blockOf(Math.max(y0, y1), rows)];
  let highest = -Infinity;
  for (let j = bottom; j <= top; j += 1)
    for (let i = left; i <= right; i += 1) highest = Math.max(highest, highest_m[j * columns + i]);
  return highest;
}

function blockOf(place: number, blocks: number): number {
  return clamp(Math.floor(place / BLOCK), 0, blocks - 1);
}
