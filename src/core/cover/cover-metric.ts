// What a straight leg over the ground costs in height, by direction and altitude.
//
// A leg that keeps its track at every height covers G(θ, h) metres of ground for each metre of height, whatever wind
// stands at that height: G = (√(V² − w⊥²) + w∥)/sink. S(θ, h) = ∫G dh from the lowest altitude makes any leg exact:
// between the altitudes of its ends S changes by its length. In one wind at all heights S is a straight line, and the
// cost the closed form of a triangle of velocities. Not here: turns, changes of speed, rising and sinking air.
import { clamp } from "../numeric/clamp";

/** Directions of a quarter of the diamond |x| + |y| = 1, between which costs are joined linearly: 2e-5 of them. */
const QUARTER = 128;
const DIRECTIONS = 4 * QUARTER;
/** A leg that needs more height than this is not flown by any aircraft, m. */
export const MOST_HEIGHT_M = 30_000;

/** Ground covered for height lost, by direction of flight (a unit vector) and altitude; 0 or less: no headway. */
export type GroundRatio = (east: number, north: number, altitude_m: number) => number;

/** The cost of legs, tabulated. Altitudes beyond the table are continued with the slope of its ends. */
export interface CoverMetric {
  readonly low_m: number;
  readonly step_m: number;
  readonly levels: number;
  /** S by direction and level, m. */
  readonly reach_m: Float64Array;
  /** Lowest altitude at or above a level where there is no headway; null when there is headway everywhere. */
  readonly wall_m: Float64Array | null;
  /** Where it is the same at every altitude: height for a metre of |x| + |y|, by direction. */
  readonly uniform: Float64Array | null;
  /** Most ground covered for a metre of height, in any direction at any altitude. */
  readonly bestRatio: number;
}

/** Directions of the table: along the diamond, with the first again at the end. */
function directions(): { east: number; north: number }[] {
  return Array.from({ length: DIRECTIONS + 1 }, (_, i) => {
    const turn = i % DIRECTIONS;
    const part = (turn % QUARTER) / QUARTER;
    const [x, y] = [
      [1 - part, part],
      [-part, 1 - part],
      [part - 1, -part],
      [part, part - 1],
    ][Math.floor(turn / QUARTER)];
    const length = Math.hypot(x, y);
    return { east: x / length, north: y / length };
  });
}

/**
 * Tabulates the cost of legs.
 *
 * @param ratio - ground for height
 * @param range - altitudes that count, and the step of the table; `step_m` 0 for a ratio that no altitude changes
 */
export function coverMetric(
  ratio: GroundRatio,
  { low_m, high_m, step_m }: { low_m: number; high_m: number; step_m: number },
): CoverMetric {
  const all = directions();
  if (step_m === 0) {
    let bestRatio = 0;
    const uniform = Float64Array.from(all, ({ east, north }) => {
      const here = ratio(east, north, low_m);
      bestRatio = Math.max(bestRatio, here);
      return here > 0 ? 1 / (here * (Math.abs(east) + Math.abs(north))) : Infinity;
    });
    return { low_m, step_m, levels: 0, reach_m: new Float64Array(0), wall_m: null, uniform, bestRatio };
  }
  const levels = Math.max(2, Math.ceil((high_m - low_m) / step_m) + 1);
  const reach_m = new Float64Array(all.length * levels);
  let bestRatio = 0;
  let walled = false;
  // A height after the other: what is asked of a height is worked out once there.
  for (let level = 0; level < levels; level += 1)
    for (let i = 0; i < all.length; i += 1) {
      const here = ratio(all[i].east, all[i].north, low_m + level * step_m);
      bestRatio = Math.max(bestRatio, here);
      walled ||= !(here > 0);
      reach_m[i * levels + level] = here;
    }
  const wall_m = walled ? wallsOf(reach_m, levels, low_m, step_m) : null;
  // Trapezoids, in the place of what they are made of: the table has half a million entries. What makes no headway
  // adds none.
  for (let first = 0; first < reach_m.length; first += levels) {
    let below = Math.max(reach_m[first], 1e-9);
    let sum_m = 0;
    for (let level = first; level < first + levels; level += 1) {
      const here = Math.max(reach_m[level], 1e-9);
      if (level > first) sum_m += (step_m / 2) * (below + here);
      reach_m[level] = sum_m;
      below = here;
    }
  }
  return { low_m, step_m, levels, reach_m, wall_m, uniform: null, bestRatio };
}

/** Lowest altitude at or above each level where a table of ratios shows no headway. */
function wallsOf(ratios: Float64Array, levels: number, low_m: number, step_m: number): Float64Array {
  const wall_m = new Float64Array(ratios.length);
  for (let first = 0; first < ratios.length; first += levels) {
    let wall = Infinity;
    for (let level = first + levels - 1; level >= first; level -= 1) {
      if (!(ratios[level] > 0)) wall = low_m + (level - first) * step_m;
      wall_m[level] = wall;
    }
  }
  return wall_m;
}

/**
 * A leg in one direction, prepared so that altitudes along it cost little. Made once and set anew for each leg: there
 * are millions of them.
 */
export class CoverLeg {
  private end_m = 0;
  private sign: 1 | -1 = 1;
  private length_m = 0;
  /** Index of the direction before, and how far it is to the next. */
  private at = 0;
  private share = 0;
  private reach = 0;
  private cost_m = 0;

  constructor(private readonly metric: CoverMetric) {}

  /**
   * @param end_m - altitude where the leg must end (`towards`), or where it begins
   * @param dx - metres east that are flown; `dy` north
   */
  set(end_m: number, dx: number, dy: number, towards: boolean): void {
    this.end_m = end_m;
    this.sign = towards ? 1 : -1;
    if (dx === 0 && dy === 0) {
      this.cost_m = this.length_m = 0;
      return;
    }
    const { uniform, levels } = this.metric;
    const sum = Math.abs(dx) + Math.abs(dy);
    // Place along the diamond of the direction, a quarter after the other.
    const part = dy / sum;
    const place = QUARTER * (dx < 0 ? 2 - part : dy < 0 ? 4 + part : part);
    const i = Math.min(Math.floor(place), DIRECTIONS - 1);
    const share = place - i;
    if (uniform) {
      // Infinity times nothing is no number.
      this.cost_m = sum * (share === 0 ? uniform[i] : (1 - share) * uniform[i] + share * uniform[i + 1]);
      return;
    }
    this.at = i * levels;
    this.share = share;
    this.length_m = Math.sqrt(dx * dx + dy * dy);
    const level = (end_m - this.metric.low_m) / this.metric.step_m;
    const j = this.levelOf(level);
    const low = this.reachOf(j);
    this.reach = low + (level - j) * (this.reachOf(j + 1) - low);
  }

  /** Altitude at a share of the leg from where its altitude is given; ±Infinity where there is no headway. */
  altitude_m(share: number): number {
    const { uniform, low_m, step_m } = this.metric;
    if (uniform) return share === 0 ? this.end_m : this.end_m + this.sign * share * this.cost_m;
    if (this.length_m === 0) return this.end_m;
    const wanted = this.reach + this.sign * share * this.length_m;
    // Newton's step from where it begins: S is nearly straight.
    let j = this.levelOf((this.end_m - low_m) / step_m);
    for (let i = 0; i < 2; i += 1) {
      const low = this.reachOf(j);
      j = this.levelOf(j + (wanted - low) / (this.reachOf(j + 1) - low));
    }
    return this.altitudeFrom(wanted, j);
  }

  /** Altitude at its other end, which is near another. */
  endNear_m(near_m: number): number {
    const { uniform, low_m, step_m } = this.metric;
    if (uniform || this.length_m === 0) return this.altitude_m(1);
    return this.altitudeFrom(this.reach + this.sign * this.length_m, this.levelOf((near_m - low_m) / step_m));
  }

  /** Altitude with so much of S under it, looked for from a level to the next. */
  private altitudeFrom(wanted: number, level: number): number {
    const { low_m, step_m, levels } = this.metric;
    let j = level;
    let low = this.reachOf(j);
    let high = this.reachOf(j + 1);
    while (wanted < low && j > 0) {
      j -= 1;
      high = low;
      low = this.reachOf(j);
    }
    while (wanted > high && j < levels - 2) {
      j += 1;
      low = high;
      high = this.reachOf(j + 1);
    }
    const altitude_m = low_m + (j + (wanted - low) / (high - low)) * step_m;
    return this.crossesWall(altitude_m) ? this.sign * Infinity : altitude_m;
  }

  /** Whether there is an altitude without headway between the beginning and another. */
  private crossesWall(altitude_m: number): boolean {
    const { wall_m, low_m, step_m, levels } = this.metric;
    if (!wall_m) return false;
    const [from_m, to_m] = this.sign > 0 ? [this.end_m, altitude_m] : [altitude_m, this.end_m];
    const j = clamp(Math.ceil((from_m - low_m) / step_m), 0, levels - 1);
    return Math.min(wall_m[this.at + j], wall_m[this.at + levels + j]) < to_m;
  }

  private levelOf(level: number): number {
    return level > 0 ? Math.min(Math.floor(level), this.metric.levels - 2) : 0;
  }

  private reachOf(j: number): number {
    const { reach_m, levels } = this.metric;
    const low = reach_m[this.at + j];
    return low + this.share * (reach_m[this.at + levels + j] - low);
  }
}
