// What is known of each cell, in raw memory: all of a cell side by side, since waves run in all directions and few of
// them along a row.

export let columns: i32 = 0;
export let rows: i32 = 0;
export let cells: i32 = 0;
export let cell_m: f64 = 0;
export let inverse: bool = true;
/** +1 towards places, −1 from an aircraft: times this, less is always better. */
export let sign: f64 = 1;

/** A cell that waits, one that sees its turn point, and one whose leg lies under its floor: it is a turn point. */
export const OPEN: i32 = 0;
export const SEES: i32 = 1;
export const TURNS: i32 = 2;

let perColumn: f64 = 0;

/** Floor, altitude, turn point; site in two bytes, state in one. */
const CELL: usize = 4;
const ALTITUDE: usize = 4;
const ANCHOR: usize = 8;
const SITE: usize = 12;
const STATE: usize = 14;
let cellsAt: usize = 0;

let free: usize = 0;
/** Room for so many bytes; memory grows to hold it in `grow`. */
export function take(bytes: usize): usize {
  const at = (free + 7) & ~7;
  free = at + bytes;
  return at;
}
/** Makes memory hold what was taken; false when there is not so much. */
export function grow(): bool {
  const pages = <i32>((free + 0xffff) >> 16) - memory.size();
  return pages <= 0 || memory.grow(pages) >= 0;
}

export function layField(columns_: i32, rows_: i32, cell: f64, inverse_: bool): void {
  columns = columns_;
  rows = rows_;
  cells = columns * rows;
  perColumn = 1 / <f64>columns;
  cell_m = cell;
  inverse = inverse_;
  sign = inverse ? 1 : -1;
  free = __heap_base;
  // Neighbours of the first row may be looked at before they are left out.
  take((<usize>columns + 2) << CELL);
  cellsAt = take((<usize>(cells + columns + 2)) << CELL);
}

/** Where the cells begin: they are filled and read from outside. */
export function cellPointer(): usize {
  return cellsAt;
}

// @inline
function at(cell: i32): usize {
  return cellsAt + ((<usize>cell) << CELL);
}
/** Row of a cell: a product, which is five times as quick as dividing whole numbers, and exact up to 2³¹ cells. */
// @inline
export function rowOf(cell: i32): i32 {
  return <i32>((<f64>cell + 0.5) * perColumn);
}
// @inline
export function floorOf(cell: i32): f64 {
  return <f64>load<f32>(at(cell));
}
// @inline
export function altitudeOf(cell: i32): f64 {
  return <f64>load<f32>(at(cell), ALTITUDE);
}
// @inline
export function setAltitude(cell: i32, altitude_m: f32): void {
  store<f32>(at(cell), altitude_m, ALTITUDE);
}
// @inline
export function anchorOf(cell: i32): i32 {
  return load<i32>(at(cell), ANCHOR);
}
// @inline
export function setAnchor(cell: i32, turn: i32): void {
  store<i32>(at(cell), turn, ANCHOR);
}
// @inline
export function siteOf(cell: i32): i32 {
  return <i32>load<i16>(at(cell), SITE);
}
// @inline
export function setSite(cell: i32, site: i32): void {
  store<i16>(at(cell), <i16>site, SITE);
}
// @inline
export function stateOf(cell: i32): i32 {
  return <i32>load<u8>(at(cell), STATE);
}
// @inline
export function setState(cell: i32, state: i32): void {
  store<u8>(at(cell), <u8>state, STATE);
}
