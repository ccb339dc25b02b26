import type { Obstacle } from "../situation/take-off-plan";
import type { PathPoint, TakeOffPath } from "./take-off-path";

/** How a way passes over something. */
export interface Clearance {
  readonly obstacle: Obstacle;
  /** Height over it, the decrement taken off; null when the way ends before it. */
  readonly over_m: number | null;
}

/** Height of a way at a distance, between its points; null outside them. */
export function heightAt_m(points: readonly PathPoint[], x_m: number): number | null {
  const after = points.findIndex((point) => point.x_m >= x_m);
  if (after < 0) return null;
  if (after === 0) return points[0].x_m === x_m ? points[0].height_m : null;
  const [a, b] = [points[after - 1], points[after]];
  return a.height_m + ((b.height_m - a.height_m) * (x_m - a.x_m)) / Math.max(b.x_m - a.x_m, 1e-9);
}

/** Decrement of the gradient for the net path of a two-engine transport. 14 CFR 25.115 (memory). */
export const NET_DECREMENT = 0.008;

/**
 * What a way leaves over each obstacle.
 *
 * @param decrement - of the gradient, from where the screen is passed: 0 gross
 */
export function clearances(path: TakeOffPath, obstacles: readonly Obstacle[], decrement: number): Clearance[] {
  const screenX_m = path.events.find((event) => event.kind === "screen")?.point.x_m ?? Infinity;
  return obstacles.map((obstacle) => {
    const height_m = heightAt_m(path.points, obstacle.distance_m);
    return {
      obstacle,
      over_m:
        height_m === null
          ? null
          : height_m - decrement * Math.max(obstacle.distance_m - screenX_m, 0) - obstacle.height_m,
    };
  });
}
