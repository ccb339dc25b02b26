// Whether the leg that is set stays over the ground (core/cover/leg-clearance.ts).
import { columns, floorOf, rows, take } from "./field";
import { legAltitude } from "./leg";

export const GRAZE_M: f64 = 0.02;

/** Cells along the side of a block, as a power of two. */
const BLOCK: i32 = 4;
const PIECE: f64 = 16;

let blockColumns: i32 = 0;
let blockRows: i32 = 0;
let blocksAt: usize = 0;

export function layBlocks(): void {
  blockColumns = ((columns - 1) >> BLOCK) + 1;
  blockRows = ((rows - 1) >> BLOCK) + 1;
  blocksAt = take((<usize>(blockColumns * blockRows)) << 2);
}

/** Where the highest floors of blocks begin (core/cover/floor-blocks.ts): they are put in from outside. */
export function blockPointer(): usize {
  return blocksAt;
}

function blockOf(cells: f64, blocks: i32): i32 {
  return max<i32>(0, min<i32>((<i32>cells) >> BLOCK, blocks - 1));
}

/** The highest floor of the blocks about a piece of a leg. */
function highestAbout(x0: f64, y0: f64, x1: f64, y1: f64): f64 {
  const left = blockOf(min<f64>(x0, x1), blockColumns);
  const right = blockOf(max<f64>(x0, x1), blockColumns);
  const top = blockOf(max<f64>(y0, y1), blockRows);
  let highest: f64 = -Infinity;
  for (let by = blockOf(min<f64>(y0, y1), blockRows); by <= top; by += 1)
    for (let bx = left; bx <= right; bx += 1)
      highest = max<f64>(highest, <f64>load<f32>(blocksAt + ((<usize>(by * blockColumns + bx)) << 2)));
  return highest;
}

/** Whether a leg stays over the floor, between two shares of it. */
function pieceClears(x0: f64, y0: f64, dx: f64, dy: f64, a: f64, b: f64): bool {
  const lastX = max<f64>(x0 + a * dx, x0 + b * dx);
  for (let x = ceil<f64>(min<f64>(x0 + a * dx, x0 + b * dx)); x <= lastX; x += 1) {
    const share = (x - x0) / dx;
    if (!(share > 0 && share < 1)) continue;
    const y = y0 + share * dy;
    const j = floor<f64>(y);
    const below = <i32>j * columns + <i32>x;
    const low = floorOf(below);
    const ground_m = y > j ? low + (y - j) * (floorOf(below + columns) - low) : low;
    if (!(legAltitude(share) >= ground_m - GRAZE_M)) return false;
  }
  const lastY = max<f64>(y0 + a * dy, y0 + b * dy);
  for (let y = ceil<f64>(min<f64>(y0 + a * dy, y0 + b * dy)); y <= lastY; y += 1) {
    const share = (y - y0) / dy;
    if (!(share > 0 && share < 1)) continue;
    const x = x0 + share * dx;
    const i = floor<f64>(x);
    const left = <i32>y * columns + <i32>i;
    const low = floorOf(left);
    const ground_m = x > i ? low + (x - i) * (floorOf(left + 1) - low) : low;
    if (!(legAltitude(share) >= ground_m - GRAZE_M)) return false;
  }
  return true;
}

export function legClears(x0: f64, y0: f64, dx: f64, dy: f64): bool {
  const pieces = ceil<f64>(max<f64>(abs<f64>(dx), abs<f64>(dy)) / PIECE);
  let a: f64 = 0;
  let before_m = legAltitude(0);
  for (let piece: f64 = 1; piece <= pieces; piece += 1) {
    const b = piece / pieces;
    const after_m = legAltitude(b);
    const highest_m = highestAbout(x0 + a * dx, y0 + a * dy, x0 + b * dx, y0 + b * dy);
    if (!(min<f64>(before_m, after_m) >= highest_m - GRAZE_M) && !pieceClears(x0, y0, dx, dy, a, b)) return false;
    a = b;
    before_m = after_m;
  }
  return true;
}
