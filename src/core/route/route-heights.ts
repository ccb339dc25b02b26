// Heights over the ground everywhere about a flight: what is asked for so that a place is in reach, and what a glide
// from a point of it leaves. Reaction and a quarter of a turn are counted, since the heading is not known.
import { forwardField } from "../cover/cover-field";
import { type CoverGrid, coverGrid, floorAt_m } from "../cover/cover-grid";
import { NO_GROUND_M, type TerrainGrid } from "../earth/terrain";
import { type Outcome, success } from "../outcome";
import type { FlightPoint } from "./route-answer";
import { type RouteField, quarterTurn_m } from "./route-field";
import type { RouteQuestion } from "./route-question";

/** Heights by cell of a grid. */
export interface RouteHeights {
  readonly grid: CoverGrid;
  /** Over the ground, m; NaN where nothing is known of the ground. */
  readonly height_m: Float32Array;
}

/** Height over the ground at which a place comes into reach; ∞ where none ever does. */
export function heightsAsked(
  question: Pick<RouteQuestion, "pilot" | "air" | "route">,
  cover: RouteField,
): RouteHeights {
  const turn_m = quarterTurn_m(question, cover, question.route.altitude_m);
  return overGround(cover.field.grid, cover.ground, (cell) => cover.field.altitude_m[cell] + turn_m);
}

/**
 * Height over the ground that a glide from a point of the flight leaves; −∞ where it does not come.
 *
 * @returns failures of `forwardField`
 */
export function heightsLeft(
  question: Pick<RouteQuestion, "pilot" | "air" | "plan">,
  cover: RouteField,
  { x_m, y_m, altitude_m }: Pick<FlightPoint, "altitude_m"> & { readonly x_m: number; readonly y_m: number },
): Outcome<RouteHeights> {
  const { field, ground } = cover;
  const from = { x_m, y_m, altitude_m: altitude_m - quarterTurn_m(question, cover, altitude_m) };
  const { west_m, south_m, cell_m } = field.grid;
  const low = !(from.altitude_m >= floorAt_m(field.grid, (x_m - west_m) / cell_m, (y_m - south_m) / cell_m));
  // Who is too low for the clearance wanted begins without it.
  const grid = low ? coverGrid(ground, cover.flat ? 0 : question.plan.clearance_m, [...field.sites, from]) : field.grid;
  const left = forwardField(grid, from, field.metric);
  if (!left.ok) return left;
  return success(overGround(grid, ground, (cell) => left.value.altitude_m[cell]));
}

function overGround(
  grid: CoverGrid,
  { elevations_m }: TerrainGrid,
  altitudeOf: (cell: number) => number,
): RouteHeights {
  const height_m = new Float32Array(grid.columns * grid.rows);
  for (let cell = 0; cell < height_m.length; cell += 1)
    height_m[cell] = elevations_m[cell] < NO_GROUND_M ? NaN : altitudeOf(cell) - elevations_m[cell];
  return { grid, height_m };
}
