// What a solver of fields is given, and what it gives back.
import type { Progress } from "../calculation";
import type { CoverGrid, CoverSite } from "./cover-grid";
import type { CoverMetric } from "./cover-metric";
import type { FloorBlocks } from "./floor-blocks";

/** A field to be solved. */
export interface SolverTask {
  readonly inverse: boolean;
  readonly grid: CoverGrid;
  readonly blocks: FloorBlocks;
  readonly sites: readonly CoverSite[];
  /** Places of the sites in cells, with fractions. */
  readonly siteColumn: Float64Array;
  readonly siteRow: Float64Array;
  readonly metric: CoverMetric;
  /** Key of the first bucket, width of each, and how many there are. */
  readonly first_m: number;
  readonly width_m: number;
  readonly buckets: number;
  readonly progress?: Progress;
}

/** A field that was solved. */
export interface Solved {
  /** By cell: altitude of its leg, raised to the floor; ±∞ where nothing is reached. */
  readonly altitude_m: Float32Array;
  /** Its turn point: a cell, or a site as cells + its index; −1. */
  readonly anchor: Int32Array;
  /** The site at the end of its turn points, as an index; −1. */
  readonly site: Int16Array;
}

/** Solves a field. @returns null when it was cancelled */
export type Solver = (task: SolverTask) => Solved | null;

/** Progress is told every so many cells. */
export const TELL_EVERY = 1 << 15;
