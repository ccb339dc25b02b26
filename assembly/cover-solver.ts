// The cover's solver, compiled to WebAssembly: the same steps as the plain one (core/cover/plain-solver.ts), which says
// what they are for; here only over raw memory. What changes there changes here: a test holds both to the same results.

const END: i32 = -1;
const OUT: i32 = -2;
const DONE: i32 = -3;
const QUARTER: f64 = 256;
const DIRECTIONS: f64 = 4 * QUARTER;
const GRAZE_M: f64 = 0.02;

let columns: i32 = 0;
let rows: i32 = 0;
let cells: i32 = 0;
let cell_m: f64 = 0;
let sign: f64 = 1;
let inverse: bool = true;
let siteCount: i32 = 0;
let first_m: f64 = 0;
let width_m: f64 = 1;
let buckets: i32 = 0;
let low_m: f64 = 0;
let step_m: f64 = 1;
let levels: i32 = 0;
let uniform: bool = false;
let walled: bool = false;

/** All of a cell side by side, so that neighbours lie near: floor, altitude, turn point, and two of the queue. */
const CELL: usize = 20;
const ALTITUDE: usize = 4;
const ANCHOR: usize = 8;
const NEXT: usize = 12;
const BEFORE: usize = 16;
let cellsAt: usize = 0;
let headsAt: usize = 0;
let tableAt: usize = 0;
let wallAt: usize = 0;
let siteColumnAt: usize = 0;
let siteRowAt: usize = 0;
let siteAltitudeAt: usize = 0;
let current: i32 = 0;

let free: usize = 0;
function take(bytes: usize): usize {
  const at = (free + 7) & ~7;
  free = at + bytes;
  return at;
}

/** Lays the memory out; false when there is not so much. */
export function begin(
  columns_: i32,
  rows_: i32,
  cell: f64,
  inverse_: bool,
  sites: i32,
  first: f64,
  width: f64,
  buckets_: i32,
  low: f64,
  step: f64,
  levels_: i32,
  uniform_: bool,
  walled_: bool,
): bool {
  columns = columns_;
  rows = rows_;
  cells = columns * rows;
  cell_m = cell;
  inverse = inverse_;
  sign = inverse ? 1 : -1;
  siteCount = sites;
  first_m = first;
  width_m = width;
  buckets = buckets_;
  low_m = low;
  step_m = step;
  levels = levels_;
  uniform = uniform_;
  walled = walled_;
  free = __heap_base;
  const table: usize = (<usize>DIRECTIONS + 1) * 8 * (uniform ? 1 : <usize>levels);
  cellsAt = take(<usize>cells * CELL);
  headsAt = take(<usize>buckets * 4);
  tableAt = take(table);
  wallAt = walled ? take(table) : 0;
  siteColumnAt = take(<usize>siteCount * 8);
  siteRowAt = take(<usize>siteCount * 8);
  siteAltitudeAt = take(<usize>siteCount * 8);
  const pages = <i32>((free + 0xffff) >> 16) - memory.size();
  if (pages > 0 && memory.grow(pages) < 0) return false;
  const nothing: f32 = <f32>(sign * Infinity);
  for (let cell = 0; cell < cells; cell += 1) {
    store<f32>(cellAt(cell), nothing, ALTITUDE);
    store<i32>(cellAt(cell), -1, ANCHOR);
    store<i32>(cellAt(cell), OUT, NEXT);
  }
  for (let bucket = 0; bucket < buckets; bucket += 1) store<i32>(headsAt + ((<usize>bucket) << 2), END);
  current = 0;
  return true;
}

/** Where the cells begin: floors are put in and altitudes and turn points taken out there. */
export function cellPointer(): usize {
  return cellsAt;
}
export function tablePointer(): usize {
  return tableAt;
}
export function wallPointer(): usize {
  return wallAt;
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

function cellAt(cell: i32): usize {
  return cellsAt + <usize>cell * CELL;
}
function floorOf(cell: i32): f64 {
  return <f64>load<f32>(cellAt(cell));
}
function legAltitudeOf(cell: i32): f64 {
  return <f64>load<f32>(cellAt(cell), ALTITUDE);
}
function anchorOf(cell: i32): i32 {
  return load<i32>(cellAt(cell), ANCHOR);
}
function isDone(cell: i32): bool {
  return load<i32>(cellAt(cell), NEXT) === DONE;
}

// The queue.

function removeCell(cell: i32): void {
  const after = load<i32>(cellAt(cell), NEXT);
  if (after < END) return;
  const before = load<i32>(cellAt(cell), BEFORE);
  if (before < 0) store<i32>(headsAt + ((<usize>(-before - 1)) << 2), after);
  else store<i32>(cellAt(before), after, NEXT);
  if (after >= 0) store<i32>(cellAt(after), before, BEFORE);
  store<i32>(cellAt(cell), OUT, NEXT);
}

function putCell(cell: i32, wanted: f64): void {
  const bucket = wanted > <f64>current ? wanted : <f64>current;
  if (!(bucket < <f64>buckets)) return;
  const b = <i32>bucket;
  const first = load<i32>(headsAt + ((<usize>b) << 2));
  store<i32>(cellAt(cell), first, NEXT);
  store<i32>(cellAt(cell), -b - 1, BEFORE);
  if (first >= 0) store<i32>(cellAt(first), cell, BEFORE);
  store<i32>(headsAt + ((<usize>b) << 2), cell);
}

function takeCell(): i32 {
  while (current < buckets) {
    const cell = load<i32>(headsAt + ((<usize>current) << 2));
    if (cell !== END) {
      removeCell(cell);
      return cell;
    }
    current += 1;
  }
  return END;
}

// The leg that is set.

let legEnd_m: f64 = 0;
let legSign: f64 = 1;
let legLength_m: f64 = 0;
let legAt: i32 = 0;
let legShare: f64 = 0;
let legReach: f64 = 0;
let legCost_m: f64 = 0;

function reachOf(j: i32): f64 {
  const low = load<f64>(tableAt + ((<usize>(legAt + j)) << 3));
  return low + legShare * (load<f64>(tableAt + ((<usize>(legAt + levels + j)) << 3)) - low);
}

function levelOf(level: f64): i32 {
  return level > 0 ? <i32>min<f64>(floor<f64>(level), <f64>(levels - 2)) : 0;
}

function setLeg(end_m: f64, columnsAway: f64, rowsAway: f64): void {
  const dx = -sign * columnsAway * cell_m;
  const dy = -sign * rowsAway * cell_m;
  legEnd_m = end_m;
  legSign = sign;
  if (dx === 0 && dy === 0) {
    legCost_m = 0;
    legLength_m = 0;
    return;
  }
  const sum = abs<f64>(dx) + abs<f64>(dy);
  const place = QUARTER * (dy >= 0 ? (dx >= 0 ? dy / sum : 1 - dx / sum) : dx < 0 ? 2 - dy / sum : 3 + dx / sum);
  const i = min<f64>(floor<f64>(place), DIRECTIONS - 1);
  const share = place - i;
  if (uniform) {
    const low = load<f64>(tableAt + ((<usize>i) << 3));
    legCost_m = sum * (share === 0 ? low : (1 - share) * low + share * load<f64>(tableAt + ((<usize>i + 1) << 3)));
    return;
  }
  legAt = <i32>i * levels;
  legShare = share;
  legLength_m = sqrt<f64>(dx * dx + dy * dy);
  const level = (end_m - low_m) / step_m;
  const j = levelOf(level);
  const low = reachOf(j);
  legReach = low + (level - <f64>j) * (reachOf(j + 1) - low);
}

function legAltitude(share: f64): f64 {
  if (uniform) return share === 0 ? legEnd_m : legEnd_m + legSign * share * legCost_m;
  if (legLength_m === 0) return legEnd_m;
  const wanted = legReach + legSign * share * legLength_m;
  let j = levelOf((legEnd_m - low_m) / step_m);
  let low = reachOf(j);
  let high = reachOf(j + 1);
  for (let i = 0; i < 2; i += 1) {
    j = levelOf(<f64>j + (wanted - low) / (high - low));
    low = reachOf(j);
    high = reachOf(j + 1);
  }
  while (wanted < low && j > 0) {
    j -= 1;
    high = low;
    low = reachOf(j);
  }
  while (wanted > high && j < levels - 2) {
    j += 1;
    low = high;
    high = reachOf(j + 1);
  }
  const altitude_m = low_m + (<f64>j + (wanted - low) / (high - low)) * step_m;
  return crossesWall(altitude_m) ? legSign * Infinity : altitude_m;
}

function crossesWall(altitude_m: f64): bool {
  if (!walled) return false;
  const from_m = legSign > 0 ? legEnd_m : altitude_m;
  const to_m = legSign > 0 ? altitude_m : legEnd_m;
  const level = min<f64>(max<f64>(ceil<f64>((from_m - low_m) / step_m), 0), <f64>(levels - 1));
  const j = <i32>level;
  const a = load<f64>(wallAt + ((<usize>(legAt + j)) << 3));
  const b = load<f64>(wallAt + ((<usize>(legAt + levels + j)) << 3));
  return min<f64>(a, b) < to_m;
}

function legClears(x0: f64, y0: f64, dx: f64, dy: f64): bool {
  const x1 = x0 + dx;
  const y1 = y0 + dy;
  const lastX = max<f64>(x0, x1);
  for (let x = ceil<f64>(min<f64>(x0, x1)); x <= lastX; x += 1) {
    const share = (x - x0) / dx;
    if (!(share > 0 && share < 1)) continue;
    const y = y0 + share * dy;
    const j = floor<f64>(y);
    const below = <i32>j * columns + <i32>x;
    const low = floorOf(below);
    const ground_m = y > j ? low + (y - j) * (floorOf(below + columns) - low) : low;
    if (!(legAltitude(share) >= ground_m - GRAZE_M)) return false;
  }
  const lastY = max<f64>(y0, y1);
  for (let y = ceil<f64>(min<f64>(y0, y1)); y <= lastY; y += 1) {
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

// The field.

function altitudeOf(cell: i32): f64 {
  const altitude_m = legAltitudeOf(cell);
  const floor_m = floorOf(cell);
  return inverse && altitude_m < floor_m ? floor_m : altitude_m;
}
function bucketOf(cell: i32): f64 {
  return floor<f64>((sign * altitudeOf(cell) - first_m) / width_m);
}
function columnOf(turn: i32): f64 {
  return turn < cells ? <f64>(turn % columns) : load<f64>(siteColumnAt + ((<usize>(turn - cells)) << 3));
}
function rowOf(turn: i32): f64 {
  return turn < cells ? <f64>(turn / columns) : load<f64>(siteRowAt + ((<usize>(turn - cells)) << 3));
}
function turnAltitude(turn: i32): f64 {
  return turn < cells ? altitudeOf(turn) : load<f64>(siteAltitudeAt + ((<usize>(turn - cells)) << 3));
}

function offer(cell: i32, turn: i32, altitude_m: f64): void {
  if (!(sign * altitude_m < sign * legAltitudeOf(cell))) return;
  const floor_m = floorOf(cell);
  if (floor_m === Infinity || (!inverse && altitude_m < floor_m)) return;
  removeCell(cell);
  store<f32>(cellAt(cell), <f32>altitude_m, ALTITUDE);
  store<i32>(cellAt(cell), turn, ANCHOR);
  putCell(cell, bucketOf(cell));
}

function middleFloor(cell: i32, dx: i32, dy: i32): f64 {
  return (floorOf(cell) + floorOf(cell + dx) + floorOf(cell + dy * columns) + floorOf(cell + dy * columns + dx)) / 4;
}

function sees(neighbour: i32, turn: i32): bool {
  return anchorOf(neighbour) === turn && isDone(neighbour) && !(legAltitudeOf(neighbour) < floorOf(neighbour));
}

function seenByNeighbours(cell: i32, turn: i32, dx: f64, dy: f64): bool {
  const across = dx !== 0 && dy !== 0;
  const east = dx > 0 ? -1 : 1;
  const north = dy > 0 ? -columns : columns;
  if (across && !sees(cell + north + east, turn)) return false;
  const wide = abs<f64>(dx);
  const high = abs<f64>(dy);
  return (across && wide === high) || sees(wide > high ? cell + east : cell + north, turn);
}

function isSeen(cell: i32, column: i32, row: i32): bool {
  const turn = anchorOf(cell);
  const x0 = columnOf(turn);
  const y0 = rowOf(turn);
  const dx = <f64>column - x0;
  const dy = <f64>row - y0;
  if (dx >= -1 && dx <= 1 && dy >= -1 && dy <= 1) {
    if (turn >= cells || dx === 0 || dy === 0) return true;
    setLeg(turnAltitude(turn), dx, dy);
    return legAltitude(0.5) >= middleFloor(cell, -(<i32>dx), -(<i32>dy)) - GRAZE_M;
  }
  if (seenByNeighbours(cell, turn, dx, dy)) return true;
  setLeg(turnAltitude(turn), dx, dy);
  return legClears(x0, y0, dx, dy);
}

function stepX(i: i32): i32 {
  return i === 0 || i === 4 || i === 7 ? 1 : i === 2 || i === 5 || i === 6 ? -1 : 0;
}
function stepY(i: i32): i32 {
  return i === 1 || i === 4 || i === 5 ? 1 : i === 3 || i === 6 || i === 7 ? -1 : 0;
}

function repair(cell: i32, column: i32, row: i32): bool {
  let best_m: f64 = sign * Infinity;
  let bestTurn: i32 = -1;
  for (let i = 0; i < 8; i += 1) {
    const dx = stepX(i);
    const dy = stepY(i);
    if (column + dx < 0 || row + dy < 0 || column + dx >= columns || row + dy >= rows) continue;
    const neighbour = cell + dy * columns + dx;
    if (!isDone(neighbour)) continue;
    const end_m = altitudeOf(neighbour);
    setLeg(end_m, <f64>-dx, <f64>-dy);
    let altitude_m = legAltitude(1);
    if (i >= 4) {
      const lack_m = middleFloor(cell, dx, dy) - (altitude_m + end_m) / 2;
      if (lack_m > GRAZE_M) altitude_m = inverse ? altitude_m + lack_m : -Infinity;
    }
    if (sign * altitude_m < sign * best_m) {
      best_m = altitude_m;
      bestTurn = neighbour;
    }
  }
  store<f32>(cellAt(cell), <f32>best_m, ALTITUDE);
  store<i32>(cellAt(cell), bestTurn, ANCHOR);
  return bestTurn >= 0 && (inverse || best_m >= floorOf(cell));
}

function forget(cell: i32): void {
  store<f32>(cellAt(cell), <f32>(sign * Infinity), ALTITUDE);
  store<i32>(cellAt(cell), -1, ANCHOR);
}

function settles(cell: i32, column: i32, row: i32): bool {
  if (isSeen(cell, column, row)) return true;
  if (!repair(cell, column, row)) {
    forget(cell);
    return false;
  }
  const bucket = bucketOf(cell);
  if (bucket <= <f64>current) return true;
  putCell(cell, bucket);
  return false;
}

function handOn(cell: i32, column: i32, row: i32): void {
  const inner = column > 0 && row > 0 && column < columns - 1 && row < rows - 1;
  const handed = inverse && legAltitudeOf(cell) < floorOf(cell) ? cell : anchorOf(cell);
  const x0 = columnOf(handed);
  const y0 = rowOf(handed);
  const end_m = turnAltitude(handed);
  for (let i = 0; i < 8; i += 1) {
    const x = column + stepX(i);
    const y = row + stepY(i);
    if (!inner && (x < 0 || y < 0 || x >= columns || y >= rows)) continue;
    const neighbour = y * columns + x;
    if (anchorOf(neighbour) === handed || isDone(neighbour)) continue;
    setLeg(end_m, <f64>x - x0, <f64>y - y0);
    offer(neighbour, handed, legAltitude(1));
  }
}

/** Offers the cells about each site: after floor, table and sites were filled in. */
export function beginSites(): void {
  for (let i = 0; i < siteCount; i += 1) {
    const siteColumn = load<f64>(siteColumnAt + ((<usize>i) << 3));
    const siteRow = load<f64>(siteRowAt + ((<usize>i) << 3));
    const altitude_m = load<f64>(siteAltitudeAt + ((<usize>i) << 3));
    for (let y = ceil<f64>(siteRow - 1); y <= siteRow + 1; y += 1)
      for (let x = ceil<f64>(siteColumn - 1); x <= siteColumn + 1; x += 1) {
        if (x < 0 || y < 0 || x >= <f64>columns || y >= <f64>rows) continue;
        setLeg(altitude_m, x - siteColumn, y - siteRow);
        offer(<i32>y * columns + <i32>x, cells + i, legAltitude(1));
      }
  }
}

/** Settles at most so many cells. @returns how many; fewer than asked when all are */
export function run(most: i32): i32 {
  let settled = 0;
  while (settled < most) {
    const cell = takeCell();
    if (cell < 0) break;
    const row = cell / columns;
    const column = cell - row * columns;
    if (!settles(cell, column, row)) continue;
    store<i32>(cellAt(cell), DONE, NEXT);
    settled += 1;
    handOn(cell, column, row);
  }
  return settled;
}

/** What was never settled is out of reach. */
export function finish(): void {
  for (let cell = 0; cell < cells; cell += 1) if (!isDone(cell)) forget(cell);
}
