// Fields over a grid, by straight legs between turn points ("any-angle"): the lowest altitude from which some place is
// in reach (inverse), and the altitude left everywhere of a glide from one place (forward).
//
// Cells are settled in the order of their altitude. Each knows its turn point, to which it flies straight; a cell whose
// leg lies under its floor becomes a turn point itself, and so does the best neighbour of a cell whose leg is blocked.
// Altitudes are exact along legs; what is approximate is where legs may turn: on the cells of the grid.
//
// The idea is that of A. Nash et al., Theta*: Any-Angle Path Planning on Grids (AAAI 2007), with the buckets of
// R. B. Dial, Algorithm 360 (Comm. ACM 12, 1969) (both from memory).
import { type Outcome, failure, success } from "../outcome";
import type { Progress } from "../calculation";
import type { CoverGrid, CoverSite } from "./cover-grid";
import { solveCompiled } from "./compiled-solver";
import { type FloorBlocks, floorBlocks } from "./floor-blocks";
import { type CoverMetric, MOST_HEIGHT_M } from "./cover-metric";
import { solvePlain } from "./plain-solver";
import type { Solver, SolverTask } from "./solver";

/** A solved field. */
export interface CoverField {
  /** Towards the places, or from one. */
  readonly kind: "inverse" | "forward";
  readonly grid: CoverGrid;
  /** Its highest floors: for the many legs that are looked at over it. */
  readonly blocks: FloorBlocks;
  readonly metric: CoverMetric;
  readonly sites: readonly CoverSite[];
  /** By cell: lowest altitude to be in reach from (inverse; ∞: none), altitude left (forward; −∞: not reached). */
  readonly altitude_m: Float32Array;
  /** By cell: the turn point that its leg leads to (or comes from): a cell, or a place as cells + its index; −1. */
  readonly anchor: Int32Array;
  /** By cell: which place, as an index; −1: none. */
  readonly site: Int16Array;
}

/** Buckets for the cheapest step to a neighbour. */
const BUCKETS_A_STEP = 4;
/** A grid larger than this is not worked through at once. */
const MOST_CELLS = 4_200_000;
const CANCELLED = "The work was cancelled.";

/**
 * The lowest altitude everywhere from which one of the places is in reach.
 *
 * @param progress - told how far it is; returns false to cancel
 * @param solver - the plain one for comparison; both give the same
 * @returns `no_places`, `grid_too_large`, `cancelled`
 */
export function inverseField(
  grid: CoverGrid,
  sites: readonly CoverSite[],
  metric: CoverMetric,
  progress?: Progress,
  solver: Solver = solveBest,
): Outcome<CoverField> {
  if (sites.length === 0) return failure("no_places", "No landing place counts: there is nothing to be in reach of.");
  return solve("inverse", grid, sites, metric, solver, progress);
}

/** The altitude left everywhere of a glide from one place and altitude. @see inverseField */
export function forwardField(
  grid: CoverGrid,
  from: CoverSite,
  metric: CoverMetric,
  progress?: Progress,
  solver: Solver = solveBest,
): Outcome<CoverField> {
  return solve("forward", grid, [from], metric, solver, progress);
}

/** The compiled solver, or the plain one where that cannot be. */
function solveBest(task: SolverTask) {
  const solved = solveCompiled(task);
  return solved === undefined ? solvePlain(task) : solved;
}

function solve(
  kind: CoverField["kind"],
  grid: CoverGrid,
  sites: readonly CoverSite[],
  metric: CoverMetric,
  solver: Solver,
  progress?: Progress,
): Outcome<CoverField> {
  const { columns, rows, cell_m } = grid;
  const cells = columns * rows;
  if (cells > MOST_CELLS)
    return failure("grid_too_large", `The terrain has ${cells} cells; at most ${MOST_CELLS} are worked through.`);
  const inverse = kind === "inverse";
  const sign = inverse ? 1 : -1;
  // Narrower than the cheapest step to a neighbour, so that what lies on the way to a turn point is done with first.
  const blocks = floorBlocks(grid);
  const width_m = cell_m / metric.bestRatio / BUCKETS_A_STEP;
  const solved = solver({
    inverse,
    grid,
    blocks,
    sites,
    siteColumn: Float64Array.from(sites, ({ x_m }) => (x_m - grid.west_m) / cell_m),
    siteRow: Float64Array.from(sites, ({ y_m }) => (y_m - grid.south_m) / cell_m),
    metric,
    first_m: Math.min(...sites.map((site) => sign * site.altitude_m)),
    width_m,
    buckets: Math.ceil(MOST_HEIGHT_M / width_m) + 1,
    progress,
  });
  if (!solved) return failure("cancelled", CANCELLED);
  return success({ kind, grid, blocks, metric, sites, ...solved });
}
