// The compiled solver: the plain one's steps over raw memory, three times as fast.
//
// Each field has an instance of its own, whose memory goes with it: 20 bytes a cell, the metric's table and the queue's
// heads besides.
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
  tablePointer(): number;
  wallPointer(): number;
  siteColumnPointer(): number;
  siteRowPointer(): number;
  siteAltitudePointer(): number;
  beginSites(): void;
  run(most: number): number;
  finish(): void;
}

/** Words of a cell: floor, altitude, turn point, and two of the queue. */
const WORDS = 5;

let compiled: WebAssembly.Module | null | undefined;

/** The module; null where none can be made. */
function moduleOf(): WebAssembly.Module | null {
  if (compiled !== undefined) return compiled;
  try {
    const bytes = Uint8Array.from({ length: SOLVER_WASM.length / 2 }, (_, i) =>
      parseInt(SOLVER_WASM.slice(2 * i, 2 * i + 2), 16),
    );
    compiled = new WebAssembly.Module(bytes);
  } catch {
    compiled = null;
  }
  return compiled;
}

/** The table of a metric, and the walls in it. */
function tableOf({ uniform, reach_m, wall_m }: CoverMetric): { table: Float64Array; wall: Float64Array | null } {
  return uniform ? { table: uniform, wall: null } : { table: reach_m, wall: wall_m };
}

/** Solves a field. @returns undefined where it cannot be compiled or has not the memory: the plain one does it then */
export function solveCompiled(task: SolverTask): Solved | null | undefined {
  const made = moduleOf();
  if (!made) return undefined;
  const { inverse, grid, sites, siteColumn, siteRow, metric, first_m, width_m, buckets, progress } = task;
  const { columns, rows, cell_m, floor_m } = grid;
  const cells = columns * rows;
  const { table, wall } = tableOf(metric);
  // Its exports are those of its own source, which a test compiles anew.
  const solver = new WebAssembly.Instance(made).exports as unknown as Compiled;
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
  const { buffer } = solver.memory;
  const numbers = new Float32Array(buffer, solver.cellPointer(), WORDS * cells);
  for (let cell = 0; cell < cells; cell += 1) numbers[WORDS * cell] = floor_m[cell];
  new Float64Array(buffer, solver.tablePointer(), table.length).set(table);
  if (wall) new Float64Array(buffer, solver.wallPointer(), wall.length).set(wall);
  new Float64Array(buffer, solver.siteColumnPointer(), sites.length).set(siteColumn);
  new Float64Array(buffer, solver.siteRowPointer(), sites.length).set(siteRow);
  new Float64Array(buffer, solver.siteAltitudePointer(), sites.length).set(sites.map(({ altitude_m }) => altitude_m));
  solver.beginSites();
  for (let settled = 0; ;) {
    const more = solver.run(TELL_EVERY);
    settled += more;
    if (more < TELL_EVERY) break;
    if (progress && !progress(settled / cells)) return null;
  }
  solver.finish();
  const whole = new Int32Array(buffer, solver.cellPointer(), WORDS * cells);
  const legAltitude_m = new Float32Array(cells);
  const anchor = new Int32Array(cells);
  for (let cell = 0; cell < cells; cell += 1) {
    legAltitude_m[cell] = numbers[WORDS * cell + 1];
    anchor[cell] = whole[WORDS * cell + 2];
  }
  return { legAltitude_m, anchor };
}
