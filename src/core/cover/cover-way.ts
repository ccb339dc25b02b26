// The lowest altitude at a point between the cells of a field, and the way from there.
import { type CoverField } from "./cover-field";
import { floorAt_m } from "./cover-grid";
import { CoverLeg } from "./cover-metric";
import { legClears } from "./leg-clearance";

/** What a field tells of a point. */
export interface CoverHere {
  /** Lowest altitude from which a place is in reach. */
  readonly altitude_m: number;
  /** What the first turn costs besides. */
  readonly price_m: number;
  /** Index of that place. */
  readonly site: number;
  /** First turn point of the way: a cell, or a place as cells + its index. */
  readonly turn: number;
  /** The ground decides: it is too near below, or stands in the straight way to the place. */
  readonly groundDecides: boolean;
}

/** A point of a way, going down. */
export interface WayPoint {
  readonly x_m: number;
  readonly y_m: number;
  readonly altitude_m: number;
}

/** More turn points than this no way has: one leads to the next, each nearer to the place. */
const MOST_TURNS = 2000;
/** The shown way is shortened by looking this far ahead at once. */
const LOOK_AHEAD = 60;

interface Turn {
  readonly column: number;
  readonly row: number;
  readonly altitude_m: number;
}

function turnOf({ grid, sites, altitude_m }: CoverField, turn: number): Turn {
  const cells = grid.columns * grid.rows;
  if (turn < cells)
    return { column: turn % grid.columns, row: Math.floor(turn / grid.columns), altitude_m: altitude_m[turn] };
  const site = sites[turn - cells];
  return {
    column: (site.x_m - grid.west_m) / grid.cell_m,
    row: (site.y_m - grid.south_m) / grid.cell_m,
    altitude_m: site.altitude_m,
  };
}

/** Where a turn point lies in the plane, and the altitude over it. */
export function turnPoint(field: CoverField, turn: number): WayPoint {
  const { column, row, altitude_m } = turnOf(field, turn);
  const { west_m, south_m, cell_m } = field.grid;
  return { x_m: west_m + column * cell_m, y_m: south_m + row * cell_m, altitude_m };
}

/** Cells at which other turn points are looked for, where a first turn has a price: in eight directions, so far out. */
const ABOUT = [4, 12, 30].flatMap((away) =>
  [-1, 0, 1].flatMap((dx) => [-1, 0, 1].map((dy) => [dx * away, dy * away] as const)),
);

/**
 * The lowest altitude at a point of the plane (inverse fields).
 *
 * @param price_m - what the first turn towards a point costs besides; a place straight ahead may then be the better one
 * @returns null outside the grid, over unknown ground, and where no place is ever in reach
 */
export function coverAt(
  field: CoverField,
  x_m: number,
  y_m: number,
  price_m: ((turn: WayPoint) => number) | null = null,
): CoverHere | null {
  const { grid, anchor, site, metric } = field;
  const { columns, rows, cell_m } = grid;
  const cells = columns * rows;
  const column = (x_m - grid.west_m) / cell_m;
  const row = (y_m - grid.south_m) / cell_m;
  const floor_m = floorAt_m(grid, column, row);
  if (floor_m === Infinity) return null;
  const leg = new CoverLeg(metric);
  const [i, j] = [Math.min(Math.floor(column), columns - 2), Math.min(Math.floor(row), rows - 2)];
  const corners = [j * columns + i, j * columns + i + 1, (j + 1) * columns + i, (j + 1) * columns + i + 1].filter(
    (cell) => anchor[cell] >= 0,
  );
  let [best_m, bestTurn, bestPriced_m] = [Infinity, -1, Infinity];
  const tryTurn = (turn: number, look: boolean) => {
    const { column: x0, row: y0, altitude_m: end_m } = turnOf(field, turn);
    const [dx, dy] = [column - x0, row - y0];
    leg.set(end_m, -dx * cell_m, -dy * cell_m, true);
    const start_m = leg.altitude_m(1);
    const priced_m = start_m + (price_m ? price_m(turnPoint(field, turn)) : 0);
    if (priced_m < bestPriced_m && (!look || legClears(field, leg, x0, y0, dx, dy)))
      [best_m, bestTurn, bestPriced_m] = [start_m, turn, priced_m];
  };
  const about = price_m
    ? ABOUT.flatMap(([dx, dy]) => {
        const [x, y] = [i + dx, j + dy];
        const cell = x < 0 || y < 0 || x >= columns || y >= rows ? -1 : y * columns + x;
        return cell >= 0 && anchor[cell] >= 0 ? [cell] : [];
      })
    : [];
  for (const turn of new Set([...corners, ...about].map((cell) => anchor[cell]))) tryTurn(turn, true);
  // Seen from none of its corners' turn points, it goes by a corner.
  if (bestTurn < 0) for (const cell of corners) tryTurn(cell, false);
  if (bestTurn < 0) return null;
  return {
    altitude_m: Math.max(best_m, floor_m),
    price_m: bestPriced_m - best_m,
    site: bestTurn >= cells ? bestTurn - cells : site[bestTurn],
    turn: bestTurn,
    groundDecides: floor_m > best_m || bestTurn < cells,
  };
}

/**
 * The way from a point at an altitude, as straight as that altitude allows: turn points that need not be flown are left
 * out.
 *
 * @returns from the point to the place, going down; null where `coverAt` is
 */
export function wayFrom(field: CoverField, x_m: number, y_m: number, altitude_m: number): WayPoint[] | null {
  const here = coverAt(field, x_m, y_m);
  if (!here) return null;
  const { grid, anchor, metric } = field;
  const cells = grid.columns * grid.rows;
  const turns: Turn[] = [];
  for (let turn = here.turn; turns.length < MOST_TURNS; turn = anchor[turn]) {
    turns.push(turnOf(field, turn));
    if (turn >= cells) break;
  }
  const leg = new CoverLeg(metric);
  const way: WayPoint[] = [{ x_m, y_m, altitude_m }];
  let [column, row] = [(x_m - grid.west_m) / grid.cell_m, (y_m - grid.south_m) / grid.cell_m];
  let now_m = altitude_m;
  const legTo = ({ column: x, row: y }: Turn) => {
    leg.set(now_m, (x - column) * grid.cell_m, (y - row) * grid.cell_m, false);
    return leg.altitude_m(1);
  };
  for (let next = 0; next < turns.length;) {
    let chosen = next;
    for (let i = Math.min(turns.length - 1, next + LOOK_AHEAD); i > next; i -= 1) {
      const turn = turns[i];
      if (!(legTo(turn) >= turn.altitude_m - 1e-6)) continue;
      if (!legClears(field, leg, column, row, turn.column - column, turn.row - row)) continue;
      chosen = i;
      break;
    }
    const turn = turns[chosen];
    now_m = legTo(turn);
    [column, row] = [turn.column, turn.row];
    way.push({ x_m: grid.west_m + column * grid.cell_m, y_m: grid.south_m + row * grid.cell_m, altitude_m: now_m });
    next = chosen + 1;
  }
  return way;
}
