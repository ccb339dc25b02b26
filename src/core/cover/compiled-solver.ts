// The compiled solver: the plain one's steps over raw memory, almost three times as fast.
//
// Its memory (16 bytes a cell, and the metric's table, the queue and the highest floors of blocks besides) is kept for
// the next field: to ask for it anew would cost a tenth of the work.
import type { CoverMetric } from "./cover-metric";
import { type Solved, type SolverTask, TELL_EVERY } from "./solver";
import { SOLVER_WASM } from "./solver-wasm";

interface Compiled {
  readonly memory: { readonly buffer: ArrayBuffer };
  begin(
    columns: number,
    rows: number,
    cell_m: number,
    inverse: boolean,
    sites: number,
    first_m: number,
    width_m: number,
    buckets: number,
    low_m: number,
    step_m: number,
    levels: number,
    uniform: boolean,
    walled: boolean,
  ): number;
  cellPointer(): number;
  blockPointer(): number;
  tablePointer(): number;
  wallPointer(): number;
  siteColumnPointer(): number;
  siteRowPointer(): number;
  siteAltitudePointer(): number;
  beginSites(): void;
  run(most: number): number;
}

/** Words of a cell: floor, altitude, turn point; the last holds its site, and above it whether it is settled. */
const WORDS = 4;

let solver: Compiled | null | undefined;

/** The solver; null where none can be made. */
function compiledSolver(): Compiled | null {
  if (solver !== undefined) return solver;
  try {
    const bytes = Uint8Array.from({ length: SOLVER_WASM.length / 2 }, (_, i) =>
      parseInt(SOLVER_WASM.slice(2 * i, 2 * i + 2), 16),
    );
    // Its exports are those of its own source, which a test compiles anew.
    solver = new WebAssembly.Instance(new WebAssembly.Module(bytes)).exports as unknown as Compiled;
  } catch {
    solver = null;
  }
  return solver;
}

/** The table of a metric, and the walls in it. */
function tableOf({ uniform, reach_m, wall_m }: CoverMetric): { table: Float64Array; wall: Float64Array | null } {
  return uniform ? { table: uniform, wall: null } : { table: reach_m, wall: wall_m };
}

/** Solves a field. @returns undefined where it cannot be compiled or has not the memory: the plain one does it then */
export function solveCompiled(task: SolverTask): Solved | null | undefined {
  const solver = compiledSolver();
  if (!solver) return undefined;
  const { inverse, grid, blocks, sites, siteColumn, siteRow, metric, first_m, width_m, buckets, progress } = task;
  const { columns, rows, cell_m } = grid;
  const cells = columns * rows;
  const { table, wall } = tableOf(metric);
  const { low_m, step_m, levels, uniform } = metric;
  const begun = solver.begin(
    columns,
    rows,
    cell_m,
    inverse,
    sites.length,
    first_m,
    width_m,
    buckets,
    low_m,
    step_m,
    levels,
    uniform !== null,
    wall !== null,
  );
  if (!begun) return undefined;
  const { memory } = solver;
  fill(memory.buffer, solver.cellPointer(), task);
  new Float32Array(memory.buffer, solver.blockPointer(), blocks.highest_m.length).set(blocks.highest_m);
  new Float64Array(memory.buffer, solver.tablePointer(), table.length).set(table);
  if (wall) new Float64Array(memory.buffer, solver.wallPointer(), wall.length).set(wall);
  new Float64Array(memory.buffer, solver.siteColumnPointer(), sites.length).set(siteColumn);
  new Float64Array(memory.buffer, solver.siteRowPointer(), sites.length).set(siteRow);
  new Float64Array(memory.buffer, solver.siteAltitudePointer(), sites.length).set(
    sites.map(({ altitude_m }) => altitude_m),
  );
  solver.beginSites();
  for (let settled = 0; ;) {
    const more = solver.run(TELL_EVERY);
    if (more < 0) return undefined;
    settled += more;
    if (more < TELL_EVERY) break;
    if (progress && !progress(settled / cells)) return null;
  }
  // Its memory may have grown since: another buffer.
  return read(memory.buffer, solver.cellPointer(), task);
}

/** Puts the floors in; nothing is led anywhere yet. */
function fill(buffer: ArrayBuffer, at: number, { inverse, grid: { floor_m } }: SolverTask): void {
  const numbers = new Float32Array(buffer, at, WORDS * floor_m.length);
  const whole = new Int32Array(buffer, at, WORDS * floor_m.length);
  const none = inverse ? Infinity : -Infinity;
  for (let cell = 0; cell < floor_m.length; cell += 1) {
    numbers[WORDS * cell] = floor_m[cell];
    numbers[WORDS * cell + 1] = none;
    whole[WORDS * cell + 2] = -1;
    whole[WORDS * cell + 3] = 0;
  }
}

/** Takes what was solved out, raised to the floors. */
function read(buffer: ArrayBuffer, at: number, { inverse, grid: { floor_m } }: SolverTask): Solved {
  const cells = floor_m.length;
  const numbers = new Float32Array(buffer, at, WORDS * cells);
  const whole = new Int32Array(buffer, at, WORDS * cells);
  const altitude_m = new Float32Array(cells);
  const anchor = new Int32Array(cells);
  const site = new Int16Array(cells);
  const none = inverse ? Infinity : -Infinity;
  for (let cell = 0; cell < cells; cell += 1) {
    const last = whole[WORDS * cell + 3];
    const done = last >>> 16 !== 0;
    const leg_m = numbers[WORDS * cell + 1];
    altitude_m[cell] = !done ? none : inverse && leg_m < floor_m[cell] ? floor_m[cell] : leg_m;
    anchor[cell] = done ? whole[WORDS * cell + 2] : -1;
    site[cell] = done ? last : -1;
  }
  return { altitude_m, anchor, site };
}
