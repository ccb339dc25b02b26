// Straight ahead within 30° of the nose: is there ground in reach that is level enough for long enough? Known of it is
// only what the terrain grid says, its heights. Not here: trees, fences, houses, people: look before the take-off.
import { type TerrainGrid, elevationAt_m } from "../earth/terrain";
import { glidingTurn } from "../glide/gliding-turn";
import { liftCoefficientAt, straightGlide } from "../glide/straight-glide";
import { RHO0 } from "../quantities/constants";
import { airSample, readAir } from "../flight/air-column";
import type { FailureStart } from "./failure-start";
import type { DepartureDay } from "./departure-day";
import type { ToPlane } from "./runway-frame";
import { brakingOn, landingRoll } from "../landing/landing-roll";
import { type DepartureOption, worth_m } from "./option";

/** A stretch of ground to land on. */
export interface Spot {
  /** Touchdown begins here, in the runway's frame. */
  readonly x_m: number;
  readonly y_m: number;
  readonly track_rad: number;
  readonly margin_m: number;
  readonly spare_m: number;
  readonly score_m: number;
}

/** What lies ahead. */
export interface AheadSector {
  /** How far the glide goes straight ahead over level ground. */
  readonly reach_m: number;
  readonly spot: Spot | null;
  /** Part of the sector within reach that is water, 0 to 1; null without terrain. */
  readonly water: number | null;
}

/** The sector and how finely it is looked through. */
const SECTOR_RAD = Math.PI / 6;
const BEARING_STEP_RAD = SECTOR_RAD / 6;
/** From the nose outwards, so that of equal ground the least turn is taken. */
const TURNS_RAD = [0, ...[1, 2, 3, 4, 5, 6].flatMap((step) => [-step * BEARING_STEP_RAD, step * BEARING_STEP_RAD])];
const ALONG_M = 50;
/**
 * Ground is taken for level enough when it slopes less than this; common practice for a forced landing is less still.
 */
const SLOPE = 0.06;
/** Lower than this above mean sea level it is water or beach at high tide. */
const SHORE_M = 1;
/** Fit ground is followed no farther than this beyond the stop. */
const BEYOND_M = 600;
/** Turns toward a bearing are flown with this bank. */
const BANK_RAD = Math.PI / 6;
/** Steps of height in which the glide's distance is summed. */
const HEIGHT_STEP_M = 10;

/**
 * The best spot within 30° of the nose.
 *
 * @param terrain - null when none is known: then only the reach is told
 */
export function aheadSector(
  day: DepartureDay,
  { acting }: FailureStart,
  elevation_m: number,
  terrain: TerrainGrid | null,
  toPlane: ToPlane,
): AheadSector {
  const density = readAir(day.air, acting.height_m, airSample()).density;
  const turnLoss = turnLossPerRadian_m(day, density);
  let best: Spot | null = null;
  let [wet, seen] = [0, 0];
  let reach_m = 0;
  for (const turn of TURNS_RAD) {
    const track_rad = acting.psi_rad + turn;
    const height_m = acting.height_m - Math.abs(turn) * turnLoss;
    const glide = glideAlong(day, height_m, track_rad);
    if (turn === 0) reach_m = glide.reach_m;
    if (!terrain) continue;
    const heights = groundAlong(
      acting.x_m,
      acting.y_m,
      track_rad,
      glide.reach_m + BEYOND_M + glide.need_m,
      terrain,
      toPlane,
    );
    const run = Math.ceil(glide.need_m / ALONG_M);
    for (let d = 0; d * ALONG_M <= glide.reach_m && d < heights.length; d += 1) {
      seen += 1;
      if (!(heights[d] > SHORE_M)) wet += 1;
      const margin_m = height_m * (1 - (d * ALONG_M) / Math.max(glide.reach_m, 1)) - (heights[d] - elevation_m);
      if (margin_m < 0) break;
      // Closer than the steep descent comes down there is no landing.
      if (d * ALONG_M < (height_m - (heights[d] - elevation_m)) * glide.steepRatio) continue;
      const fit = fitCells(heights, d);
      const spare_m = fit * ALONG_M - glide.need_m;
      if (fit < run) continue;
      const score_m = worth_m(margin_m, Math.min(spare_m, BEYOND_M));
      if (!best || score_m > best.score_m)
        best = {
          x_m: acting.x_m + d * ALONG_M * Math.cos(track_rad),
          y_m: acting.y_m + d * ALONG_M * Math.sin(track_rad),
          track_rad,
          margin_m,
          spare_m,
          score_m,
        };
    }
  }
  return { reach_m, spot: best, water: terrain && seen > 0 ? wet / seen : null };
}

/** The sector as an option. */
export function aheadOption(sector: AheadSector): DepartureOption {
  const base = { id: "ahead", kind: "ahead", name: "Ahead, within 30°" } as const;
  const { spot, water } = sector;
  if (spot)
    return {
      ...base,
      score_m: spot.score_m,
      margin_m: spot.margin_m,
      spare_m: spot.spare_m,
      note: "level ground by the terrain alone: trees, fences and people are not known",
    };
  if (water === null)
    return {
      ...base,
      score_m: null,
      margin_m: null,
      spare_m: null,
      note: "no terrain is known: what lies ahead has to be looked at",
    };
  return {
    ...base,
    score_m: -1,
    margin_m: null,
    spare_m: null,
    note: water > 0.5 ? "mostly water in reach: a ditching" : "no level ground of the length needed",
  };
}

/**
 * Distance over the ground of the glide along a track to the runway's level, and what a landing that way needs on rough
 * grass.
 */
function glideAlong(
  day: DepartureDay,
  height_m: number,
  track_rad: number,
): { reach_m: number; need_m: number; steepRatio: number } {
  const cl = liftCoefficientAt(day.polar, day.best_mps) ?? day.polar.clMax;
  const glide = straightGlide(day.polar, cl);
  const air = airSample();
  let reach_m = 0;
  for (let h = height_m; h > 0; h -= HEIGHT_STEP_M) {
    const band = Math.min(HEIGHT_STEP_M, h);
    readAir(day.air, h - band / 2, air);
    const root = Math.sqrt(RHO0 / air.density);
    const along = air.along_mps * Math.cos(track_rad) + air.across_mps * Math.sin(track_rad);
    const across = air.across_mps * Math.cos(track_rad) - air.along_mps * Math.sin(track_rad);
    const horizontal = glide.eas_mps * Math.cos(glide.angle_rad) * root;
    const groundSpeed = Math.sqrt(Math.max(horizontal ** 2 - across ** 2, 0)) + along;
    reach_m += (Math.max(groundSpeed, 0) * band) / (glide.sinkEas_mps * root);
  }
  readAir(day.air, 3, air);
  const tailwind = air.along_mps * Math.cos(track_rad) + air.across_mps * Math.sin(track_rad);
  const roll = landingRoll(day.landing, air.density, tailwind, brakingOn("grass"));
  return { reach_m, need_m: roll.flare_m + roll.roll_m, steepRatio: roll.steepRatio };
}

/** Elevations along a track, a cell apart, as far as the terrain is known. */
function groundAlong(
  x_m: number,
  y_m: number,
  track_rad: number,
  length_m: number,
  terrain: TerrainGrid,
  toPlane: ToPlane,
): number[] {
  const heights: number[] = [];
  for (let d = 0; d <= length_m; d += ALONG_M) {
    const point = toPlane(x_m + d * Math.cos(track_rad), y_m + d * Math.sin(track_rad));
    const elevation = elevationAt_m(terrain, point.x_m, point.y_m);
    if (elevation === null) break;
    heights.push(elevation);
  }
  return heights;
}

/** How many cells from a place on are dry and level. */
function fitCells(heights: readonly number[], from: number): number {
  let count = 0;
  while (from + count + 1 < heights.length && count * ALONG_M < BEYOND_M * 2) {
    const [here, next] = [heights[from + count], heights[from + count + 1]];
    if (!(here > SHORE_M && next > SHORE_M && Math.abs(next - here) <= SLOPE * ALONG_M)) break;
    count += 1;
  }
  return count;
}

function turnLossPerRadian_m(day: DepartureDay, density: number): number {
  const cl = liftCoefficientAt(day.polar, day.best_mps, BANK_RAD) ?? day.polar.clMax / 1.2;
  return glidingTurn(day.polar, cl, BANK_RAD, density).heightPerRadian_m;
}
