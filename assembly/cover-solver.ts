// The cover's solver, compiled to WebAssembly: the same steps as the plain one (core/cover/plain-solver.ts), which says
// what they are for; here only over raw memory. What changes there changes here: a test holds both to the same results.
import { GRAZE_M, layBlocks, legClears } from "./clearance";
import {
  OPEN,
  SEES,
  TURNS,
  altitudeOf,
  anchorOf,
  cells,
  columns,
  floorOf,
  grow,
  inverse,
  layField,
  rowOf,
  rows,
  setAltitude,
  setAnchor,
  setSite,
  setState,
  sign,
  siteOf,
  stateOf,
  take,
} from "./field";
import { layLeg, legAltitude, legEnd, setLeg } from "./leg";
import { clearQueue, current, layQueue, lost, putCell, takeCell } from "./queue";

export { blockPointer } from "./clearance";
export { cellPointer } from "./field";
export { tablePointer, wallPointer } from "./leg";

let siteCount: i32 = 0;
let first_m: f64 = 0;
let perWidth: f64 = 1;
let siteColumnAt: usize = 0;
let siteRowAt: usize = 0;
let siteAltitudeAt: usize = 0;

/** Lays the memory out; false when there is not so much. */
export function begin(
  columns_: i32,
  rows_: i32,
  cell_m: f64,
  inverse_: bool,
  sites: i32,
  first: f64,
  width: f64,
  buckets: i32,
  low_m: f64,
  step_m: f64,
  levels: i32,
  uniform: bool,
  walled: bool,
): bool {
  siteCount = sites;
  first_m = first;
  perWidth = 1 / width;
  layField(columns_, rows_, cell_m, inverse_);
  layLeg(low_m, step_m, levels, uniform, walled);
  siteColumnAt = take(<usize>siteCount * 8);
  siteRowAt = take(<usize>siteCount * 8);
  siteAltitudeAt = take(<usize>siteCount * 8);
  layBlocks();
  layQueue(buckets);
  if (!grow()) return false;
  clearQueue();
  return true;
}

export function siteColumnPointer(): usize {
  return siteColumnAt;
}
export function siteRowPointer(): usize {
  return siteRowAt;
}
export function siteAltitudePointer(): usize {
  return siteAltitudeAt;
}

/** Altitude over a cell: that of its leg, raised to the floor. */
function overCell(cell: i32): f64 {
  const altitude_m = altitudeOf(cell);
  return inverse ? max<f64>(altitude_m, floorOf(cell)) : altitude_m;
}
function bucketOf(altitude_m: f64): f64 {
  return (sign * altitude_m - first_m) * perWidth;
}

// The turn point that is looked at.

let turnColumn: f64 = 0;
let turnRow: f64 = 0;
let turn_m: f64 = 0;

// @inline
function setTurn(turn: i32): void {
  if (turn < cells) {
    const row = rowOf(turn);
    turnColumn = <f64>(turn - row * columns);
    turnRow = <f64>row;
    turn_m = overCell(turn);
  } else {
    const at = (<usize>(turn - cells)) << 3;
    turnColumn = load<f64>(siteColumnAt + at);
    turnRow = load<f64>(siteRowAt + at);
    turn_m = load<f64>(siteAltitudeAt + at);
  }
}

// @inline
function offer(cell: i32, turn: i32, altitude_m: f64): void {
  if (!(sign * altitude_m < sign * altitudeOf(cell))) return;
  const floor_m = floorOf(cell);
  if (floor_m === Infinity || (!inverse && altitude_m < floor_m)) return;
  setAltitude(cell, <f32>altitude_m);
  setAnchor(cell, turn);
  putCell(cell, bucketOf(overCell(cell)));
}

function middleFloor(cell: i32, dx: i32, dy: i32): f64 {
  return (floorOf(cell) + floorOf(cell + dx) + floorOf(cell + dy * columns) + floorOf(cell + dy * columns + dx)) / 4;
}

// @inline
function sees(neighbour: i32, turn: i32): i32 {
  return (<i32>(anchorOf(neighbour) === turn)) & (<i32>(stateOf(neighbour) === SEES));
}

/** Whether the two neighbours on either side of the way to a turn point see it; without branches, as in `handOn`. */
// @inline
function seenByNeighbours(cell: i32, turn: i32, dx: f64, dy: f64): bool {
  const east = 1 - 2 * <i32>(dx > 0);
  const north = columns * (1 - 2 * <i32>(dy > 0));
  const wide = abs<f64>(dx);
  const high = abs<f64>(dy);
  const straight = dx === 0 || dy === 0;
  const beside = sees(cell + north + (east - north) * <i32>(wide > high), turn);
  if (straight) return beside !== 0;
  return (sees(cell + north + east, turn) & (beside | (<i32>(wide === high)))) !== 0;
}

/** Whether a cell can fly straight to its turn point, which is set. */
// @inline
function isSeen(cell: i32, turn: i32, column: i32, row: i32): bool {
  const dx = <f64>column - turnColumn;
  const dy = <f64>row - turnRow;
  if (dx >= -1 && dx <= 1 && dy >= -1 && dy <= 1) {
    if (turn >= cells || dx === 0 || dy === 0) return true;
    setLeg(turn_m, dx, dy);
    return legAltitude(0.5) >= middleFloor(cell, -(<i32>dx), -(<i32>dy)) - GRAZE_M;
  }
  if (seenByNeighbours(cell, turn, dx, dy)) return true;
  setLeg(turn_m, dx, dy);
  return legClears(turnColumn, turnRow, dx, dy);
}

let best_m: f64 = 0;
let bestTurn: i32 = -1;

function repairBy(cell: i32, dx: i32, dy: i32): void {
  const neighbour = cell + dy * columns + dx;
  if (stateOf(neighbour) === OPEN) return;
  const end_m = overCell(neighbour);
  let altitude_m = legEnd(end_m, <f64>-dx, <f64>-dy, end_m);
  if (dx !== 0 && dy !== 0) {
    const lack_m = middleFloor(cell, dx, dy) - (altitude_m + end_m) / 2;
    if (lack_m > GRAZE_M) altitude_m = inverse ? altitude_m + lack_m : -Infinity;
  }
  if (sign * altitude_m < sign * best_m) {
    best_m = altitude_m;
    bestTurn = neighbour;
  }
}

function repair(cell: i32, column: i32, row: i32): bool {
  best_m = sign * Infinity;
  bestTurn = -1;
  const west = column > 0;
  const east = column < columns - 1;
  const south = row > 0;
  const north = row < rows - 1;
  if (east) repairBy(cell, 1, 0);
  if (north) repairBy(cell, 0, 1);
  if (west) repairBy(cell, -1, 0);
  if (south) repairBy(cell, 0, -1);
  if (north && east) repairBy(cell, 1, 1);
  if (north && west) repairBy(cell, -1, 1);
  if (south && west) repairBy(cell, -1, -1);
  if (south && east) repairBy(cell, 1, -1);
  setAltitude(cell, <f32>best_m);
  setAnchor(cell, bestTurn);
  return bestTurn >= 0 && (inverse || best_m >= floorOf(cell));
}

function forget(cell: i32): void {
  setAltitude(cell, <f32>(sign * Infinity));
  setAnchor(cell, -1);
}

// @inline
function settles(cell: i32, column: i32, row: i32): bool {
  const turn = anchorOf(cell);
  setTurn(turn);
  if (isSeen(cell, turn, column, row)) return true;
  if (!repair(cell, column, row)) {
    forget(cell);
    return false;
  }
  setTurn(bestTurn);
  const bucket = bucketOf(overCell(cell));
  if (bucket < <f64>current + 1) return true;
  putCell(cell, bucket);
  return false;
}

/** Steps to the neighbours, two bits each and one too great: straight ones first. */
const STEPS_X: i32 = 0b10_00_00_10_01_00_01_10;
const STEPS_Y: i32 = 0b00_00_10_10_00_01_10_01;

/** One where a neighbour is led elsewhere. */
// @inline
function elsewhere(neighbour: i32, handed: i32): i32 {
  return <i32>(anchorOf(neighbour) !== handed);
}

/** Offers the neighbours of a cell a turn point. */
// @inline
function handOn(cell: i32, handed: i32, column: i32, row: i32): void {
  const x = <f64>column - turnColumn;
  const y = <f64>row - turnRow;
  const end_m = turn_m;
  const near_m = altitudeOf(cell);
  // Which of them it is changes from cell to cell: eight branches would be guessed wrong too often.
  let which =
    elsewhere(cell + 1, handed) |
    (elsewhere(cell + columns, handed) << 1) |
    (elsewhere(cell - 1, handed) << 2) |
    (elsewhere(cell - columns, handed) << 3) |
    (elsewhere(cell + columns + 1, handed) << 4) |
    (elsewhere(cell + columns - 1, handed) << 5) |
    (elsewhere(cell - columns - 1, handed) << 6) |
    (elsewhere(cell - columns + 1, handed) << 7);
  if (column === 0) which &= ~0b0110_0100;
  if (column === columns - 1) which &= ~0b1001_0001;
  if (row === 0) which &= ~0b1100_1000;
  if (row === rows - 1) which &= ~0b0011_0010;
  for (; which !== 0; which &= which - 1) {
    const i = ctz<i32>(which) << 1;
    const dx = ((STEPS_X >> i) & 3) - 1;
    const dy = ((STEPS_Y >> i) & 3) - 1;
    const neighbour = cell + dy * columns + dx;
    if (stateOf(neighbour) === OPEN) offer(neighbour, handed, legEnd(end_m, x + <f64>dx, y + <f64>dy, near_m));
  }
}

/** Offers the cells about each site: after floors, blocks, table and sites were filled in. */
export function beginSites(): void {
  for (let i = 0; i < siteCount; i += 1) {
    setTurn(cells + i);
    for (let y = ceil<f64>(turnRow - 1); y <= turnRow + 1; y += 1)
      for (let x = ceil<f64>(turnColumn - 1); x <= turnColumn + 1; x += 1) {
        if (x < 0 || y < 0 || x >= <f64>columns || y >= <f64>rows) continue;
        offer(<i32>y * columns + <i32>x, cells + i, legEnd(turn_m, x - turnColumn, y - turnRow, turn_m));
      }
  }
}

/** Settles at most so many cells. @returns how many, fewer than asked when all are; −1 when memory is out */
export function run(most: i32): i32 {
  let settled = 0;
  while (settled < most) {
    const cell = takeCell();
    if (cell < 0) break;
    // Done with by a better offer, or waiting for its turn further on.
    if (stateOf(cell) !== OPEN || !(bucketOf(overCell(cell)) < <f64>current + 1)) continue;
    const row = rowOf(cell);
    const column = cell - row * columns;
    if (!settles(cell, column, row)) continue;
    const turn = anchorOf(cell);
    const under = inverse && altitudeOf(cell) < floorOf(cell);
    setState(cell, under ? TURNS : SEES);
    setSite(cell, turn < cells ? siteOf(turn) : turn - cells);
    settled += 1;
    if (under) setTurn(cell);
    handOn(cell, under ? cell : turn, column, row);
  }
  return lost ? -1 : settled;
}
