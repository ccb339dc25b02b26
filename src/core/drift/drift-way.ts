// A way on one engine, flown: how high the gross and the net path are along it, over what ground, and for how long.
import type { PlanePoint } from "../earth/local-plane";
import type { WindVector } from "../air/wind";
import { groundSpeed_mps } from "../air/wind-triangle";
import type { CoverField } from "../cover/cover-field";
import { type CoverGrid, floorAt_m } from "../cover/cover-grid";
import { CoverLeg, type CoverMetric } from "../cover/cover-metric";
import { wayFrom } from "../cover/cover-way";
import { legClears } from "../cover/leg-clearance";
import type { Corridor } from "./corridor";
import type { OneEnginePath } from "./one-engine-path";

/** A point of the way. */
export interface FlownPoint extends PlanePoint {
  /** From its beginning. */
  readonly distance_m: number;
  readonly time_s: number;
  readonly gross_m: number;
  readonly net_m: number;
  /** Lowest altitude that is wanted there; Infinity where the ground is not known. */
  readonly floor_m: number;
}

/** What a way is flown over and with. */
export interface WayGround {
  readonly path: OneEnginePath;
  readonly gross: CoverMetric;
  readonly net: CoverMetric;
  readonly grid: CoverGrid;
  readonly wind: (altitude_m: number) => WindVector;
}

/** Steps along a way, m: where it is looked at for ground, and where only its time is asked. */
const STEP_M = 250;
export const COARSE_M = 2500;
/** A leg that is longer is looked at in no more steps than one of this length, m. */
const LONG_M = 1e6;

/**
 * Flies a way from an altitude at which the propeller is feathered.
 *
 * @param turns - from where it begins to where it ends, at least two points
 */
export function flyWay(ground: WayGround, turns: readonly PlanePoint[], from_m: number, step_m = STEP_M): FlownPoint[] {
  const { path, grid, wind } = ground;
  const [gross, net] = [new CoverLeg(ground.gross), new CoverLeg(ground.net)];
  const floor = ({ x_m, y_m }: PlanePoint) =>
    floorAt_m(grid, (x_m - grid.west_m) / grid.cell_m, (y_m - grid.south_m) / grid.cell_m);
  const first = turns[0];
  const flown: FlownPoint[] = [
    { x_m: first.x_m, y_m: first.y_m, distance_m: 0, time_s: 0, gross_m: from_m, net_m: from_m, floor_m: floor(first) },
  ];
  turns.slice(1).forEach((turn, i) => {
    const from = turns[i];
    const begun = flown[flown.length - 1];
    const [dx, dy] = [turn.x_m - from.x_m, turn.y_m - from.y_m];
    const length_m = Math.hypot(dx, dy);
    if (length_m === 0) return;
    gross.set(begun.gross_m, dx, dy, false);
    net.set(begun.net_m, dx, dy, false);
    const steps = Math.max(1, Math.ceil(Math.min(length_m, LONG_M) / step_m));
    let { time_s } = begun;
    for (let k = 1; k <= steps; k += 1) {
      const point = { x_m: from.x_m + (dx * k) / steps, y_m: from.y_m + (dy * k) / steps };
      const gross_m = gross.altitude_m(k / steps);
      const { tas_mps } = path.at(gross_m);
      time_s += length_m / steps / groundSpeed_mps(tas_mps, wind(gross_m), dx / length_m, dy / length_m);
      flown.push({
        ...point,
        distance_m: begun.distance_m + (length_m * k) / steps,
        time_s,
        gross_m,
        net_m: net.altitude_m(k / steps),
        floor_m: floor(point),
      });
    }
  });
  return flown;
}

/**
 * The turns of the way to an alternate: straight where that clears, or else as its field leads.
 *
 * @returns null where the field leads nowhere
 */
export function turnsTo(
  { field, spot }: { readonly field: CoverField; readonly spot: PlanePoint },
  from: PlanePoint,
  from_m: number,
): PlanePoint[] | null {
  const { grid, metric, sites } = field;
  const [dx, dy] = [spot.x_m - from.x_m, spot.y_m - from.y_m];
  const leg = new CoverLeg(metric);
  leg.set(from_m, dx, dy, false);
  const { west_m, south_m, cell_m } = grid;
  const clear =
    leg.altitude_m(1) >= sites[0].altitude_m &&
    legClears(field, leg, (from.x_m - west_m) / cell_m, (from.y_m - south_m) / cell_m, dx / cell_m, dy / cell_m);
  return clear ? [from, spot] : wayFrom(field, from.x_m, from.y_m, from_m);
}

/** Where a way is nearest to what is wanted, in height. */
export function closestOf(flown: readonly FlownPoint[]): FlownPoint {
  return flown.reduce((least, point) => (point.net_m - point.floor_m < least.net_m - least.floor_m ? point : least));
}

/** Highest ground that counts at a point; null outside and where it is not known. */
export function groundOf({ ground_m, ...grid }: Corridor, { x_m, y_m }: PlanePoint): number | null {
  const at = floorAt_m(
    { ...grid, floor_m: ground_m },
    (x_m - grid.west_m) / grid.cell_m,
    (y_m - grid.south_m) / grid.cell_m,
  );
  return at === Infinity ? null : at;
}
