// The plain solver of fields: what the compiled one (assembly/cover-solver.ts) does too, step by step the same.
import { BucketQueue } from "./bucket-queue";
import { CoverLeg } from "./cover-metric";
import { GRAZE_M, legClears } from "./leg-clearance";
import { type Solved, type SolverTask, TELL_EVERY } from "./solver";

/** Steps to the eight neighbours: straight ones first. */
const STEP_X = Int32Array.of(1, 0, -1, 0, 1, -1, -1, 1);
const STEP_Y = Int32Array.of(0, 1, 0, -1, 1, 1, -1, -1);

/** Settles every cell in the order of its altitude. @returns null when it was cancelled */
export function solvePlain({
  inverse,
  grid,
  sites,
  siteColumn,
  siteRow,
  metric,
  first_m,
  width_m,
  buckets,
  progress,
}: SolverTask): Solved | null {
  const { columns, rows, cell_m, floor_m } = grid;
  const cells = columns * rows;
  const sign = inverse ? 1 : -1;
  /** Altitude of each cell's leg, not yet raised to the floor. */
  const legAltitude_m = new Float32Array(cells).fill(sign * Infinity);
  const anchor = new Int32Array(cells).fill(-1);
  const queue = new BucketQueue(cells, buckets);
  const leg = new CoverLeg(metric);

  const altitudeOf = (cell: number) =>
    inverse && legAltitude_m[cell] < floor_m[cell] ? floor_m[cell] : legAltitude_m[cell];
  const bucketOf = (cell: number) => Math.floor((sign * altitudeOf(cell) - first_m) / width_m);
  const columnOf = (turn: number) => (turn < cells ? turn % columns : siteColumn[turn - cells]);
  const rowOf = (turn: number) => (turn < cells ? Math.floor(turn / columns) : siteRow[turn - cells]);
  const turnAltitude_m = (turn: number) => (turn < cells ? altitudeOf(turn) : sites[turn - cells].altitude_m);
  /** Sets the leg between a turn point and a cell that lies so many cells from it. */
  const setLeg = (end_m: number, dx: number, dy: number) =>
    leg.set(end_m, -sign * dx * cell_m, -sign * dy * cell_m, inverse);

  /** Leads a cell to a turn point where that is better than what it has. */
  const offer = (cell: number, turn: number, altitude_m: number) => {
    if (!(sign * altitude_m < sign * legAltitude_m[cell])) return;
    if (floor_m[cell] === Infinity || (!inverse && altitude_m < floor_m[cell])) return;
    queue.remove(cell);
    legAltitude_m[cell] = altitude_m;
    anchor[cell] = turn;
    queue.put(cell, bucketOf(cell));
  };
  const middleFloor_m = (cell: number, dx: number, dy: number) =>
    (floor_m[cell] + floor_m[cell + dx] + floor_m[cell + dy * columns] + floor_m[cell + dy * columns + dx]) / 4;

  /** Whether a neighbour that is done with sees a turn point. */
  const sees = (neighbour: number, turn: number) =>
    anchor[neighbour] === turn && queue.isDone(neighbour) && !(legAltitude_m[neighbour] < floor_m[neighbour]);
  /** Whether the two neighbours on either side of the way to a turn point see it: then so does the cell. */
  const seenByNeighbours = (cell: number, turn: number, dx: number, dy: number) => {
    const across = dx !== 0 && dy !== 0;
    const east = dx > 0 ? -1 : 1;
    const north = dy > 0 ? -columns : columns;
    if (across && !sees(cell + north + east, turn)) return false;
    const wide = Math.abs(dx);
    const high = Math.abs(dy);
    return (across && wide === high) || sees(wide > high ? cell + east : cell + north, turn);
  };

  /** Whether a cell can fly straight to its turn point. */
  const isSeen = (cell: number, column: number, row: number) => {
    const turn = anchor[cell];
    const x0 = columnOf(turn);
    const y0 = rowOf(turn);
    const dx = column - x0;
    const dy = row - y0;
    if (dx >= -1 && dx <= 1 && dy >= -1 && dy <= 1) {
      if (turn >= cells || dx === 0 || dy === 0) return true;
      // Across a corner the ground is highest half-way: the mean of its four corners.
      setLeg(turnAltitude_m(turn), dx, dy);
      return leg.altitude_m(0.5) >= middleFloor_m(cell, -dx, -dy) - GRAZE_M;
    }
    if (seenByNeighbours(cell, turn, dx, dy)) return true;
    setLeg(turnAltitude_m(turn), dx, dy);
    return legClears(grid, leg, x0, y0, dx, dy);
  };

  /** Leads the leg of a cell that is blocked to the best of its neighbours. */
  const repair = (cell: number, column: number, row: number) => {
    let [best_m, bestTurn] = [sign * Infinity, -1];
    for (let i = 0; i < 8; i += 1) {
      const [dx, dy] = [STEP_X[i], STEP_Y[i]];
      if (column + dx < 0 || row + dy < 0 || column + dx >= columns || row + dy >= rows) continue;
      const neighbour = cell + dy * columns + dx;
      if (!queue.isDone(neighbour)) continue;
      const end_m = altitudeOf(neighbour);
      setLeg(end_m, -dx, -dy);
      let altitude_m = leg.altitude_m(1);
      if (i >= 4) {
        const lack_m = middleFloor_m(cell, dx, dy) - (altitude_m + end_m) / 2;
        if (lack_m > GRAZE_M) altitude_m = inverse ? altitude_m + lack_m : -Infinity;
      }
      if (sign * altitude_m < sign * best_m) [best_m, bestTurn] = [altitude_m, neighbour];
    }
    legAltitude_m[cell] = best_m;
    anchor[cell] = bestTurn;
    return bestTurn >= 0 && (inverse || best_m >= floor_m[cell]);
  };

  const begin = (i: number) => {
    for (let y = Math.ceil(siteRow[i] - 1); y <= siteRow[i] + 1; y += 1)
      for (let x = Math.ceil(siteColumn[i] - 1); x <= siteColumn[i] + 1; x += 1) {
        if (x < 0 || y < 0 || x >= columns || y >= rows) continue;
        setLeg(sites[i].altitude_m, x - siteColumn[i], y - siteRow[i]);
        offer(y * columns + x, cells + i, leg.altitude_m(1));
      }
  };

  /** Whether a cell is done with now; otherwise it waits for its turn at another altitude, or has no way. */
  const settles = (cell: number, column: number, row: number) => {
    if (isSeen(cell, column, row)) return true;
    if (!repair(cell, column, row)) {
      legAltitude_m[cell] = sign * Infinity;
      anchor[cell] = -1;
      return false;
    }
    const bucket = bucketOf(cell);
    if (bucket <= queue.current) return true;
    queue.put(cell, bucket);
    return false;
  };

  /** Offers the neighbours of a cell its turn point, or itself where its leg lies under its floor. */
  const handOn = (cell: number, column: number, row: number) => {
    const inner = column > 0 && row > 0 && column < columns - 1 && row < rows - 1;
    const handed = inverse && legAltitude_m[cell] < floor_m[cell] ? cell : anchor[cell];
    const x0 = columnOf(handed);
    const y0 = rowOf(handed);
    const end_m = turnAltitude_m(handed);
    for (let i = 0; i < 8; i += 1) {
      const x = column + STEP_X[i];
      const y = row + STEP_Y[i];
      if (!inner && (x < 0 || y < 0 || x >= columns || y >= rows)) continue;
      const neighbour = y * columns + x;
      // What is led there already has nothing new to be offered.
      if (anchor[neighbour] === handed || queue.isDone(neighbour)) continue;
      setLeg(end_m, x - x0, y - y0);
      offer(neighbour, handed, leg.altitude_m(1));
    }
  };

  sites.forEach((_, i) => begin(i));
  let settled = 0;
  for (let cell = queue.take(); cell >= 0; cell = queue.take()) {
    const row = Math.floor(cell / columns);
    const column = cell - row * columns;
    if (!settles(cell, column, row)) continue;
    queue.finish(cell);
    settled += 1;
    if (progress && settled % TELL_EVERY === 0 && !progress(settled / cells)) return null;
    handOn(cell, column, row);
  }
  // What was never settled is out of reach.
  for (let cell = 0; cell < cells; cell += 1)
    if (!queue.isDone(cell)) {
      legAltitude_m[cell] = sign * Infinity;
      anchor[cell] = -1;
    }
  return { legAltitude_m, anchor };
}
