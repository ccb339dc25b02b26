// The quickest way over ground from where an altitude keeps a place in reach.
//
// Cells of a coarser grid may be flown over where the cover, with the reaction and a quarter turn, lies under that
// altitude. A* over sixteen directions finds the quickest way of cells (P. Hart et al., 1968, from memory); bends that
// need not be are then pulled straight.
import { groundSpeed_mps } from "../air/wind-triangle";
import { BucketQueue } from "../cover/bucket-queue";
import type { PlanePoint } from "../earth/local-plane";
import { type RouteField, quarterTurn_m } from "./route-field";
import type { RouteQuestion } from "./route-question";

/** A cell of the search, m: larger ones on a larger grid. */
const CELL_M = 500;
const MOST_CELLS = 60_000;
/** Spare altitude over the cover: bends turn farther than a quarter here and there. */
const SPARE_M = 30;
/** No way is looked for that takes longer than this, s. */
const LONGEST_WAY_S = 6 * 3600;

const STEPS = [
  [1, 0],
  [0, 1],
  [-1, 0],
  [0, -1],
  [1, 1],
  [-1, 1],
  [-1, -1],
  [1, -1],
  [2, 1],
  [1, 2],
  [-1, 2],
  [-2, 1],
  [-2, -1],
  [-1, -2],
  [1, -2],
  [2, -1],
] as const;

/** Ground that may be flown over. */
export interface FreeCells {
  readonly west_m: number;
  readonly south_m: number;
  readonly cell_m: number;
  readonly columns: number;
  readonly rows: number;
  readonly free: Uint8Array;
}

/** Where a place stays in reach from an altitude. */
export function freeCells(
  question: Pick<RouteQuestion, "pilot" | "air">,
  cover: RouteField,
  altitude_m: number,
): FreeCells {
  const { grid, altitude_m: needed_m } = cover.field;
  const spent_m = quarterTurn_m(question, cover, altitude_m) + SPARE_M;
  const wide_m = (grid.columns - 1) * grid.cell_m;
  const high_m = (grid.rows - 1) * grid.cell_m;
  const wanted_m = Math.max(CELL_M, Math.sqrt((wide_m * high_m) / MOST_CELLS), grid.cell_m);
  const stride = Math.ceil(wanted_m / grid.cell_m);
  const [columns, rows] = [Math.ceil(grid.columns / stride), Math.ceil(grid.rows / stride)];
  const free = new Uint8Array(columns * rows).fill(1);
  // One cell of the field that is too low bars the whole.
  for (let row = 0; row < grid.rows; row += 1)
    for (let column = 0; column < grid.columns; column += 1)
      if (!(needed_m[row * grid.columns + column] + spent_m <= altitude_m))
        free[Math.floor(row / stride) * columns + Math.floor(column / stride)] = 0;
  return {
    west_m: grid.west_m + ((stride - 1) * grid.cell_m) / 2,
    south_m: grid.south_m + ((stride - 1) * grid.cell_m) / 2,
    cell_m: stride * grid.cell_m,
    columns,
    rows,
    free,
  };
}

/** Whether a point lies over it. */
export function isFree({ west_m, south_m, cell_m, columns, rows, free }: FreeCells, { x_m, y_m }: PlanePoint): boolean {
  const [column, row] = [Math.round((x_m - west_m) / cell_m), Math.round((y_m - south_m) / cell_m)];
  return column >= 0 && row >= 0 && column < columns && row < rows && free[row * columns + column] === 1;
}

/** Where a way begins, and how fast it is flown. */
export interface WayStart extends PlanePoint {
  readonly altitude_m: number;
  readonly track_rad: number;
  readonly groundSpeed_mps: number;
}

/** Bends of the quickest way between two points over free cells; null when there is none. */
export function wayRound(
  map: FreeCells,
  { wind }: Pick<RouteField, "wind">,
  start: WayStart,
  end: PlanePoint,
): PlanePoint[] | null {
  const { west_m, south_m, cell_m, columns, rows, free } = map;
  const cellOf = ({ x_m, y_m }: PlanePoint) => [
    Math.round((x_m - west_m) / cell_m),
    Math.round((y_m - south_m) / cell_m),
  ];
  const spotOf = (cell: number): PlanePoint => ({
    x_m: west_m + (cell % columns) * cell_m,
    y_m: south_m + Math.floor(cell / columns) * cell_m,
  });
  const [a, b] = [cellOf(start), cellOf(end)];
  const inside = ([x, y]: readonly number[]) => x >= 0 && y >= 0 && x < columns && y < rows;
  if (!inside(a) || !inside(b)) return null;
  const { east_mps, north_mps } = wind(start.altitude_m);
  // Through the air at the speed with which the gap is begun.
  const tas_mps = airspeedOf(start, east_mps, north_mps);
  const time = (dx_m: number, dy_m: number) => {
    const length_m = Math.hypot(dx_m, dy_m);
    const speed_mps = groundSpeed_mps(tas_mps, { east_mps, north_mps }, dx_m / length_m, dy_m / length_m);
    return speed_mps > 1 ? length_m / speed_mps : Infinity;
  };
  const fastest_mps = tas_mps + Math.hypot(east_mps, north_mps);
  const [from, goal] = [a[1] * columns + a[0], b[1] * columns + b[0]];
  const cost = new Float64Array(columns * rows).fill(Infinity);
  const before = new Int32Array(columns * rows).fill(-1);
  const left_s = (cell: number) =>
    (Math.hypot((cell % columns) - b[0], Math.floor(cell / columns) - b[1]) * cell_m) / fastest_mps;
  // No step is quicker than this: what comes first is done with first, to a part of it.
  const width_s = cell_m / fastest_mps / 4;
  const queue = new BucketQueue(Math.ceil(LONGEST_WAY_S / width_s));
  const done = new Uint8Array(columns * rows);
  const put = (cell: number, time_s: number, over: number) => {
    cost[cell] = time_s;
    before[cell] = over;
    queue.put(cell, (time_s + left_s(cell)) / width_s);
  };
  put(from, 0, -1);
  for (let cell = queue.take(); cell >= 0; cell = queue.take()) {
    if (done[cell]) continue;
    done[cell] = 1;
    if (cell === goal) break;
    const [column, row] = [cell % columns, Math.floor(cell / columns)];
    for (const [dx, dy] of STEPS) {
      const next = [column + dx, row + dy];
      if (!inside(next)) continue;
      const neighbour = next[1] * columns + next[0];
      if (done[neighbour] || (!free[neighbour] && neighbour !== goal)) continue;
      if (!clear(map, column, row, dx, dy)) continue;
      const cost_s = cost[cell] + time(dx * cell_m, dy * cell_m);
      if (cost_s < cost[neighbour]) put(neighbour, cost_s, cell);
    }
  }
  if (!done[goal]) return null;
  const cells: number[] = [];
  for (let cell = goal; cell >= 0; cell = before[cell]) cells.unshift(cell);
  // Pulled straight: from each point to the farthest that is seen from it.
  const bends: PlanePoint[] = [];
  for (let i = 0; i < cells.length - 1;) {
    let next = i + 1;
    for (let j = cells.length - 1; j > i; j -= 1) {
      const [x, y] = [cells[i] % columns, Math.floor(cells[i] / columns)];
      if (clear(map, x, y, (cells[j] % columns) - x, Math.floor(cells[j] / columns) - y)) {
        next = j;
        break;
      }
    }
    i = next;
    if (i < cells.length - 1) bends.push(spotOf(cells[i]));
  }
  return bends;
}

/** True airspeed at a point, from its speed over the ground. */
export function airspeedOf(
  { track_rad, groundSpeed_mps }: Pick<WayStart, "track_rad" | "groundSpeed_mps">,
  east_mps: number,
  north_mps: number,
): number {
  return Math.hypot(
    groundSpeed_mps * Math.sin(track_rad) - east_mps,
    groundSpeed_mps * Math.cos(track_rad) - north_mps,
  );
}

/** Whether every cell under a straight line is free; where it begins and ends it may not be. */
function clear({ columns, free }: FreeCells, column: number, row: number, dx: number, dy: number): boolean {
  const steps = 2 * Math.max(Math.abs(dx), Math.abs(dy));
  for (let i = 1; i < steps; i += 1) {
    const x = Math.round(column + (dx * i) / steps);
    const y = Math.round(row + (dy * i) / steps);
    const atEnd = (x === column && y === row) || (x === column + dx && y === row + dy);
    if (!atEnd && !free[y * columns + x]) return false;
  }
  return true;
}
