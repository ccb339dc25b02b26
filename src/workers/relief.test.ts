import { describe, expect, it } from "vitest";
import type { TerrainGrid } from "@/core/earth/terrain";
import { type ReliefPalette, reliefPixels } from "./relief";

const PALETTE: ReliefPalette = {
  sea: [1, 2, 3],
  coast: [9, 9, 9],
  contour: [0, 0, 0],
  bands: [
    [100, 100, 100],
    [200, 200, 200],
  ],
  shade: 0.5,
};

/** A plane that rises to the east by `slope` and stands at `base` in the west. */
function grid(base: number, slope: number): TerrainGrid {
  const elevations_m = new Float32Array(400);
  for (let i = 0; i < 400; i += 1) elevations_m[i] = base + slope * (i % 20) * 100;
  return {
    origin: { latitude_deg: -47, longitude_deg: -131 },
    west_m: 0,
    south_m: 0,
    cell_m: 100,
    columns: 20,
    rows: 20,
    elevations_m,
  };
}
const VIEW = { west_m: 500, south_m: 500, resolution_m: 50, width: 8, height: 8 };
const pixel = (pixels: Uint8ClampedArray, column: number, row: number) =>
  Array.from(pixels.subarray((row * 8 + column) * 4, (row * 8 + column) * 4 + 4));

describe("relief", () => {
  it("paints the sea, and flat ground in the colour of its band", () => {
    expect(pixel(reliefPixels(grid(0, 0), VIEW, PALETTE), 3, 3)).toEqual([1, 2, 3, 255]);
    expect(pixel(reliefPixels(grid(20, 0), VIEW, PALETTE), 3, 3)).toEqual([100, 100, 100, 255]);
    expect(pixel(reliefPixels(grid(60, 0), VIEW, PALETTE), 3, 3)).toEqual([200, 200, 200, 255]);
  });

  it("is sea outside the grid", () => {
    expect(pixel(reliefPixels(grid(60, 0), { ...VIEW, west_m: -50_000 }, PALETTE), 3, 3)).toEqual([1, 2, 3, 255]);
  });

  it("shades what faces away from the light in the north-west", () => {
    // Rising to the east it faces west, towards the light; falling to the east it faces away.
    const facing = pixel(reliefPixels(grid(260, 0.02), VIEW, PALETTE), 1, 1)[0];
    const away = pixel(reliefPixels(grid(340, -0.02), VIEW, PALETTE), 1, 1)[0];
    expect(facing).toBeGreaterThan(away);
  });

  it("draws the coast where land meets sea", () => {
    const half = grid(0, 0);
    for (let i = 0; i < 400; i += 1) if (i % 20 > 7) (half.elevations_m as Float32Array)[i] = 30;
    const pixels = reliefPixels(half, VIEW, PALETTE);
    expect(Array.from({ length: 8 }, (_, column) => pixel(pixels, column, 4)[0])).toContain(9);
  });
});
