// The ground under a flight: a grid of heights, made level around runways, and water where the grid has none above the
// sea. Reading runs inside a step: + − × ÷ and √ only.
import { type TerrainGrid, elevationAt_m } from "../earth/terrain";
import type { Ground } from "./flight";

/** Level ground: along a line, of an elevation. */
export interface LevelStrip {
  readonly north_m: number;
  readonly east_m: number;
  /** From there, as shares of north and east, so long. */
  readonly along: readonly [north: number, east: number];
  readonly length_m: number;
  readonly elevation_m: number;
}

/** So far beside a strip it is level; farther out the grid's own heights. */
const [LEVEL_M, GRID_M] = [150, 500];

/**
 * Ground of a grid; where it knows nothing, of the elevation given.
 *
 * @param elevation_m - where the grid has no height, and without a grid
 * @param strips - at most a few: each is looked at each time
 */
export function groundOf(grid: TerrainGrid | null, elevation_m: number, strips: readonly LevelStrip[]): Ground {
  const bare = (north_m: number, east_m: number) => (grid ? elevationAt_m(grid, east_m, north_m) : null) ?? elevation_m;
  return {
    height: (north_m, east_m) => {
      let height_m = Math.max(bare(north_m, east_m), grid ? 0 : -1000);
      for (const strip of strips) {
        const n = north_m - strip.north_m;
        const e = east_m - strip.east_m;
        const along = n * strip.along[0] + e * strip.along[1];
        const across = e * strip.along[0] - n * strip.along[1];
        const past = along < 0 ? -along : along > strip.length_m ? along - strip.length_m : 0;
        const away = Math.sqrt(past * past + across * across);
        if (away >= GRID_M) continue;
        const t = away <= LEVEL_M ? 0 : (away - LEVEL_M) / (GRID_M - LEVEL_M);
        const share = t * t * (3 - 2 * t);
        height_m = strip.elevation_m + (height_m - strip.elevation_m) * share;
      }
      return height_m;
    },
    water: (north_m, east_m) => {
      if (!grid) return false;
      for (const strip of strips) {
        const n = north_m - strip.north_m;
        const e = east_m - strip.east_m;
        const along = n * strip.along[0] + e * strip.along[1];
        const across = e * strip.along[0] - n * strip.along[1];
        if (Math.abs(across) < LEVEL_M && along > -LEVEL_M && along < strip.length_m + LEVEL_M) return false;
      }
      return bare(north_m, east_m) <= 0;
    },
  };
}
