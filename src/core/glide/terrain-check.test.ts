import { describe, expect, it } from "vitest";
import type { TerrainGrid } from "../earth/terrain";
import type { PathPoint } from "./glide-path";
import { taperedClearance_m, terrainClearance } from "./terrain-check";

/** Flat at `elevation_m`, 20 km square, with one hill of 500 m at 5 km north. */
function ground(elevation_m: number): TerrainGrid {
  const elevations_m = new Float32Array(201 * 201).fill(elevation_m);
  elevations_m[150 * 201 + 100] = 500;
  return {
    origin: { latitude_deg: -47, longitude_deg: -131 },
    west_m: -10_000,
    south_m: -10_000,
    cell_m: 100,
    columns: 201,
    rows: 201,
    elevations_m,
  };
}

/** Straight down from the north to the target at the origin. */
function descent(from_m: number, altitude_m: number): PathPoint[] {
  return Array.from({ length: 101 }, (_, i) => ({
    x_m: 0,
    y_m: from_m * (1 - i / 100),
    altitude_m: altitude_m * (1 - i / 100),
    time_s: i,
    entry: 0,
  }));
}

describe("clearance wanted", () => {
  // The taper of the cover computation: 150 m tapered between 500 m and 2,500 m.
  it.each([
    [0, 0],
    [500, 0],
    [1500, 75],
    [2500, 150],
    [10_000, 150],
  ])("at %i m from the landing place %i m of 150", (distance_m, wanted_m) => {
    expect(taperedClearance_m(150, distance_m)).toBeCloseTo(wanted_m, 9);
  });
});

describe("path over terrain", () => {
  it("finds the place where it is nearest to the ground, with the clearance wanted there", () => {
    const found = terrainClearance(ground(0), descent(8000, 900), { x_m: 0, y_m: 0 }, 100);
    // Over the hill, a spike of one point: 562.5 m less 500 m of hill less the clearance; a look at most 12.5 m beside
    // its tip.
    expect(found.least_m ?? NaN).toBeGreaterThan(-37.6);
    expect(found.least_m ?? NaN).toBeLessThan(-37.5 + 62.5);
    expect(Math.abs(descent(8000, 900)[found.index].y_m - 5000)).toBeLessThan(100);
    expect(found.unknown).toBe(0);
  });

  it("is clear when it is high enough, by the least there is", () => {
    // Without the hill in the way, the taper decides: nothing is wanted at 500 m, where it is 56 m high.
    const found = terrainClearance(ground(0), descent(4000, 450), { x_m: 0, y_m: 0 }, 0);
    expect(found.least_m).toBeGreaterThan(50);
    expect(found.least_m).toBeLessThan(62);
  });

  it("leaves the landing place itself to the ledger", () => {
    const found = terrainClearance(ground(30), descent(400, 45), { x_m: 0, y_m: 0 }, 100);
    expect(found.least_m).toBeNull();
  });

  it("counts points beyond the grid and guesses nothing there", () => {
    const found = terrainClearance(ground(0), descent(20_000, 2200), { x_m: 0, y_m: 0 }, 0);
    expect(found.unknown).toBe(50);
    expect(
      terrainClearance(ground(0), [{ x_m: 50_000, y_m: 0, altitude_m: 1, time_s: 0, entry: 0 }], { x_m: 0, y_m: 0 }, 0),
    ).toEqual({ least_m: null, index: 0, unknown: 1 });
  });
});
