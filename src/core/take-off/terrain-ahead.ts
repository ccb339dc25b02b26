import type { LocalPlane } from "../earth/local-plane";
import { type TerrainGrid, lineProfile } from "../earth/terrain";
import { runwayFrame } from "../departure/runway-frame";
import type { LandingEnd } from "../landing/landing-end";
import type { Obstacle } from "../situation/take-off-plan";

/** Ground under the straight way out, from the beginning of the runway. */
export interface GroundPoint {
  readonly distance_m: number;
  /** Above the runway; null outside the terrain. */
  readonly height_m: number | null;
}

/** The way out is looked at as far as this, at this spacing, m. */
const FAR_M = 15_000;
const SPACING_M = 150;
/** Ground less than this above the runway is the aerodrome's own, m. */
const LEVEL_M = 6;

/** Ground along the runway's line beyond its end. */
export function groundUnderDeparture(runway: LandingEnd, grid: TerrainGrid, plane: LocalPlane): GroundPoint[] {
  const frame = runwayFrame(runway, plane);
  return lineProfile(grid, frame(0, 0), frame(FAR_M, 0), SPACING_M).map(({ distance_m, elevation_m }) => ({
    distance_m,
    height_m: elevation_m === null ? null : elevation_m - runway.elevation_m,
  }));
}

/** The same as obstacles: every point that stands above the runway, beyond its end. */
export function groundObstacles(ground: readonly GroundPoint[], length_m: number): Obstacle[] {
  return ground.flatMap(({ distance_m, height_m }) =>
    height_m !== null && height_m > LEVEL_M && distance_m > length_m ? [{ name: "ground", distance_m, height_m }] : [],
  );
}
