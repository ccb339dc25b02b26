// A straight leg that is set, and what altitude it has (CoverLeg of core/cover/cover-metric.ts).
import { cell_m, sign, take } from "./field";

const QUARTER: f64 = 128;
const DIRECTIONS: f64 = 4 * QUARTER;

let low_m: f64 = 0;
let step_m: f64 = 1;
let levels: i32 = 0;
let uniform: bool = false;
let walled: bool = false;
let tableAt: usize = 0;
let wallAt: usize = 0;

export function layLeg(low: f64, step: f64, levels_: i32, uniform_: bool, walled_: bool): void {
  low_m = low;
  step_m = step;
  levels = levels_;
  uniform = uniform_;
  walled = walled_;
  const table: usize = (<usize>DIRECTIONS + 1) * 8 * (uniform ? 1 : <usize>levels);
  tableAt = take(table);
  wallAt = walled ? take(table) : 0;
}

export function tablePointer(): usize {
  return tableAt;
}
export function wallPointer(): usize {
  return wallAt;
}

let end_m: f64 = 0;
let length_m: f64 = 0;
let at: i32 = 0;
let share: f64 = 0;
let reach: f64 = 0;
let cost_m: f64 = 0;

function reachOf(j: i32): f64 {
  const low = load<f64>(tableAt + ((<usize>(at + j)) << 3));
  return low + share * (load<f64>(tableAt + ((<usize>(at + levels + j)) << 3)) - low);
}

function levelOf(level: f64): i32 {
  return level > 0 ? <i32>min<f64>(floor<f64>(level), <f64>(levels - 2)) : 0;
}

/** Place along the diamond of a direction, a quarter after the other. */
// @inline
function placeOf(dx: f64, dy: f64, sum: f64): f64 {
  const west = <i32>(dx < 0);
  const south = <i32>(dy < 0);
  // Without branches: directions come in no order.
  return QUARTER * (<f64>(2 * west + 4 * (south & ~west)) + (dy / sum) * <f64>(1 - 2 * west));
}

/** What a leg costs in one wind. */
// @inline
function uniformCost(dx: f64, dy: f64, sum: f64): f64 {
  const place = placeOf(dx, dy, sum);
  const i = <i32>place;
  const part = place - <f64>i;
  const at = tableAt + ((<usize>i) << 3);
  const low = load<f64>(at);
  return sum * (part === 0 ? low : (1 - part) * low + part * load<f64>(at, 8));
}

/** Sets the leg between a turn point at an altitude and a cell that lies so many cells from it. */
export function setLeg(from_m: f64, columnsAway: f64, rowsAway: f64): void {
  const dx = -sign * columnsAway * cell_m;
  const dy = -sign * rowsAway * cell_m;
  const sum = abs<f64>(dx) + abs<f64>(dy);
  end_m = from_m;
  cost_m = 0;
  length_m = 0;
  if (sum === 0) return;
  if (uniform) {
    cost_m = uniformCost(dx, dy, sum);
    return;
  }
  const place = placeOf(dx, dy, sum);
  const i = min<f64>(floor<f64>(place), DIRECTIONS - 1);
  share = place - i;
  at = <i32>i * levels;
  length_m = sqrt<f64>(dx * dx + dy * dy);
  const level = (end_m - low_m) / step_m;
  const j = levelOf(level);
  const low = reachOf(j);
  reach = low + (level - <f64>j) * (reachOf(j + 1) - low);
}

/** Altitude at the other end of such a leg, which is near another. */
export function legEnd(from_m: f64, columnsAway: f64, rowsAway: f64, near_m: f64): f64 {
  if (uniform) {
    const dx = -sign * columnsAway * cell_m;
    const dy = -sign * rowsAway * cell_m;
    const sum = abs<f64>(dx) + abs<f64>(dy);
    return sum === 0 ? from_m : from_m + sign * uniformCost(dx, dy, sum);
  }
  setLeg(from_m, columnsAway, rowsAway);
  return length_m === 0 ? end_m : altitudeFrom(reach + sign * length_m, levelOf((near_m - low_m) / step_m));
}

/** Altitude at a share of the leg from its turn point; ±Infinity where there is no headway. */
export function legAltitude(part: f64): f64 {
  if (uniform) return part === 0 ? end_m : end_m + sign * part * cost_m;
  if (length_m === 0) return end_m;
  const wanted = reach + sign * part * length_m;
  let j = levelOf((end_m - low_m) / step_m);
  for (let i = 0; i < 2; i += 1) {
    const low = reachOf(j);
    j = levelOf(<f64>j + (wanted - low) / (reachOf(j + 1) - low));
  }
  return altitudeFrom(wanted, j);
}

/** Altitude with so much reach under it, looked for from a level. */
function altitudeFrom(wanted: f64, level: i32): f64 {
  let j = level;
  let low = reachOf(j);
  let high = reachOf(j + 1);
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
  return crossesWall(altitude_m) ? sign * Infinity : altitude_m;
}

function crossesWall(altitude_m: f64): bool {
  if (!walled) return false;
  const from_m = sign > 0 ? end_m : altitude_m;
  const to_m = sign > 0 ? altitude_m : end_m;
  const level = min<f64>(max<f64>(ceil<f64>((from_m - low_m) / step_m), 0), <f64>(levels - 1));
  const j = <i32>level;
  const a = load<f64>(wallAt + ((<usize>(at + j)) << 3));
  const b = load<f64>(wallAt + ((<usize>(at + levels + j)) << 3));
  return min<f64>(a, b) < to_m;
}
