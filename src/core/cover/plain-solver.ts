// The plain solver of fields: what the compiled one (assembly/cover-solver.ts) does too, step by step the same.
import { BucketQueue } from "./bucket-queue";
import { CoverLeg } from "./cover-metric";
import { GRAZE_M, legClears } from "./leg-clearance";
import { type Solved, type SolverTask, TELL_EVERY } from "./solver";

/** Steps to the eight neighbours: straight ones first. */
const STEP_X = Int32Array.of(1, 0, -1, 0, 1, -1, -1, 1);
const STEP_Y = Int32Array.of(0, 1, 0, -1, 1, 1, -1, -1);

/** A cell that waits, one that sees its turn point, and one whose leg lies under its floor: it is a turn point. */
const OPEN = 0;
const SEES = 1;
const TURNS = 2;

/** Settles every cell in the order of its altitude. @returns null when it was cancelled */
export function solvePlain({
  inverse,
  grid,
  blocks,
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
  const ground = { grid, blocks };
  const sign = inverse ? 1 : -1;
  /** Altitude of each cell's leg, not yet raised to the floor. */
  const legAltitude_m = new Float32Array(cells).fill(sign * Infinity);
  const anchor = new Int32Array(cells).fill(-1);
  const site = new Int16Array(cells).fill(-1);
  const state = new Uint8Array(cells);
  const queue = new BucketQueue(buckets);
  const leg = new CoverLeg(metric);

  const altitudeOf = (cell: number) =>
    inverse && legAltitude_m[cell] < floor_m[cell] ? floor_m[cell] : legAltitude_m[cell];
  const bucketOf = (altitude_m: number) => (sign * altitude_m - first_m) / width_m;

  /** From a cell to each of its neighbours. */
  const step = STEP_X.map((dx, i) => dx + STEP_Y[i] * columns);
  const isOutside = (column: number, row: number) => column < 0 || row < 0 || column >= columns || row >= rows;

  // The turn point that is looked at.
  let [turnColumn, turnRow, turn_m] = [0, 0, 0];
  const setTurn = (turn: number) => {
    turnColumn = turn < cells ? turn % columns : siteColumn[turn - cells];
    turnRow = turn < cells ? Math.floor(turn / columns) : siteRow[turn - cells];
    turn_m = turn < cells ? altitudeOf(turn) : sites[turn - cells].altitude_m;
  };
  /** Sets the leg between a turn point and a cell that lies so many cells from it. */
  const setLeg = (end_m: number, dx: number, dy: number) =>
    leg.set(end_m, -sign * dx * cell_m, -sign * dy * cell_m, inverse);

  /** Leads a cell to a turn point where that is better than what it has. */
  const offer = (cell: number, turn: number, altitude_m: number) => {
    if (!(sign * altitude_m < sign * legAltitude_m[cell])) return;
    if (floor_m[cell] === Infinity || (!inverse && altitude_m < floor_m[cell])) return;
    legAltitude_m[cell] = altitude_m;
    anchor[cell] = turn;
    queue.put(cell, bucketOf(altitudeOf(cell)));
  };
  const middleFloor_m = (cell: number, dx: number, dy: number) =>
    (floor_m[cell] + floor_m[cell + dx] + floor_m[cell + dy * columns] + floor_m[cell + dy * columns + dx]) / 4;

  /** Whether a neighbour that is done with sees a turn point. */
  const sees = (neighbour: number, turn: number) => anchor[neighbour] === turn && state[neighbour] === SEES;
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

  /** Whether a cell can fly straight to its turn point, which is set. */
  const isSeen = (cell: number, turn: number, column: number, row: number) => {
    const dx = column - turnColumn;
    const dy = row - turnRow;
    if (dx >= -1 && dx <= 1 && dy >= -1 && dy <= 1) {
      if (turn >= cells || dx === 0 || dy === 0) return true;
      // Across a corner the ground is highest half-way: the mean of its four corners.
      setLeg(turn_m, dx, dy);
      return leg.altitude_m(0.5) >= middleFloor_m(cell, -dx, -dy) - GRAZE_M;
    }
    if (seenByNeighbours(cell, turn, dx, dy)) return true;
    setLeg(turn_m, dx, dy);
    return legClears(ground, leg, turnColumn, turnRow, dx, dy);
  };

  /** Leads the leg of a cell that is blocked to the best of its neighbours. */
  const repair = (cell: number, column: number, row: number) => {
    let [best_m, bestTurn] = [sign * Infinity, -1];
    for (let i = 0; i < 8; i += 1) {
      const [dx, dy] = [STEP_X[i], STEP_Y[i]];
      if (isOutside(column + dx, row + dy)) continue;
      const neighbour = cell + step[i];
      if (state[neighbour] === OPEN) continue;
      const end_m = altitudeOf(neighbour);
      setLeg(end_m, -dx, -dy);
      let altitude_m = leg.endNear_m(end_m);
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
    setTurn(cells + i);
    for (let y = Math.ceil(turnRow - 1); y <= turnRow + 1; y += 1)
      for (let x = Math.ceil(turnColumn - 1); x <= turnColumn + 1; x += 1) {
        if (isOutside(x, y)) continue;
        setLeg(turn_m, x - turnColumn, y - turnRow);
        offer(y * columns + x, cells + i, leg.altitude_m(1));
      }
  };

  const forget = (cell: number) => {
    legAltitude_m[cell] = sign * Infinity;
    anchor[cell] = -1;
  };

  /** Whether a cell is done with now; otherwise it waits for its turn at another altitude, or has no way. */
  const settles = (cell: number, column: number, row: number) => {
    const turn = anchor[cell];
    setTurn(turn);
    if (isSeen(cell, turn, column, row)) return true;
    if (!repair(cell, column, row)) {
      forget(cell);
      return false;
    }
    setTurn(anchor[cell]);
    const bucket = bucketOf(altitudeOf(cell));
    if (bucket < queue.current + 1) return true;
    queue.put(cell, bucket);
    return false;
  };

  /** Offers the neighbours of a cell the turn point that is set. */
  const handOn = (cell: number, handed: number, column: number, row: number) => {
    const inner = column > 0 && row > 0 && column < columns - 1 && row < rows - 1;
    const [dx, dy] = [column - turnColumn, row - turnRow];
    for (let i = 0; i < 8; i += 1) {
      if (!inner && isOutside(column + STEP_X[i], row + STEP_Y[i])) continue;
      const neighbour = cell + step[i];
      // What is led there already has nothing new to be offered.
      if (anchor[neighbour] === handed || state[neighbour] !== OPEN) continue;
      setLeg(turn_m, dx + STEP_X[i], dy + STEP_Y[i]);
      offer(neighbour, handed, leg.endNear_m(legAltitude_m[cell]));
    }
  };

  for (let i = 0; i < sites.length; i += 1) begin(i);
  let settled = 0;
  for (let cell = queue.take(); cell >= 0; cell = queue.take()) {
    // Done with by a better offer, or waiting for its turn further on.
    if (state[cell] !== OPEN || !(bucketOf(altitudeOf(cell)) < queue.current + 1)) continue;
    const row = Math.floor(cell / columns);
    const column = cell - row * columns;
    if (!settles(cell, column, row)) continue;
    const turn = anchor[cell];
    const under = inverse && legAltitude_m[cell] < floor_m[cell];
    state[cell] = under ? TURNS : SEES;
    site[cell] = turn < cells ? site[turn] : turn - cells;
    settled += 1;
    if (progress && settled % TELL_EVERY === 0 && !progress(settled / cells)) return null;
    if (under) setTurn(cell);
    handOn(cell, under ? cell : turn, column, row);
  }
  // What was never settled is out of reach; what was is raised to the floor.
  for (let cell = 0; cell < cells; cell += 1)
    if (state[cell] === OPEN) forget(cell);
    else legAltitude_m[cell] = altitudeOf(cell);
  return { altitude_m: legAltitude_m, anchor, site };
}
