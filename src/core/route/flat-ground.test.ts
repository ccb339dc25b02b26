import { describe, expect, it } from "vitest";
import { flatGround } from "./flat-ground";

const ORIGIN = { latitude_deg: -47, longitude_deg: -131 };

describe("ground where no terrain is known", () => {
  it.each([
    ["one point", [{ x_m: 0, y_m: 0 }]],
    [
      "a short flight",
      [
        { x_m: -10_000, y_m: 3000 },
        { x_m: 25_000, y_m: -8000 },
      ],
    ],
    [
      "a long one",
      [
        { x_m: -900_000, y_m: 0 },
        { x_m: 900_000, y_m: 700_000 },
      ],
    ],
  ])("is flat, reaches 40 km about all of %s, and has so many cells as can be worked through", (_, points) => {
    const grid = flatGround(points, 123, ORIGIN, 40_000);
    const { west_m, south_m, cell_m, columns, rows, elevations_m, origin } = grid;
    expect(origin).toBe(ORIGIN);
    expect(elevations_m).toHaveLength(columns * rows);
    expect(new Set(elevations_m)).toEqual(new Set([123]));
    expect(columns * rows).toBeLessThan(1_010_000);
    expect(columns * rows).toBeGreaterThan(300_000);
    expect(cell_m).toBeGreaterThanOrEqual(100);
    for (const { x_m, y_m } of points) {
      expect(x_m - west_m).toBeGreaterThanOrEqual(40_000);
      expect(y_m - south_m).toBeGreaterThanOrEqual(40_000);
      expect(west_m + (columns - 1) * cell_m - x_m).toBeGreaterThanOrEqual(40_000);
      expect(south_m + (rows - 1) * cell_m - y_m).toBeGreaterThanOrEqual(40_000);
    }
  });

  it("has cells of 100 m where those are few enough, and 1,000 by 1,000 of them otherwise", () => {
    const cellOf_m = (about_m: number) => flatGround([{ x_m: 0, y_m: 0 }], 0, ORIGIN, about_m).cell_m;
    expect([10_000, 40_000, 60_000, 200_000].map(cellOf_m)).toEqual([100, 100, 120, 400]);
  });
});
