import { describe, expect, it } from "vitest";
import { DEMO_ORIGIN } from "../../../demo/read-demo";
import type { TerrainGrid } from "../earth/terrain";
import { landAlong_m, nearestShore } from "./shore";

/** Sea with land east of x = 3 km and, lower down, an islet to the north-west. */
function sea(): TerrainGrid {
  const [columns, rows, cell_m] = [101, 101, 100];
  const elevations_m = new Float32Array(columns * rows);
  for (let row = 0; row < rows; row += 1)
    for (let column = 0; column < columns; column += 1)
      if (column * cell_m - 5000 >= 3000) elevations_m[row * columns + column] = 20;
  elevations_m[90 * columns + 10] = 15;
  return { origin: DEMO_ORIGIN, west_m: -5000, south_m: -5000, cell_m, columns, rows, elevations_m };
}

describe("shore", () => {
  it("lies where the land begins, to half a cell", () => {
    expect(Math.abs((landAlong_m(sea(), { x_m: 0, y_m: 0 }, Math.PI / 2) ?? NaN) - 3000)).toBeLessThan(100);
    expect(Math.abs((landAlong_m(sea(), { x_m: 0, y_m: 0 }, Math.PI / 4) ?? NaN) - 3000 * Math.SQRT2)).toBeLessThan(
      150,
    );
  });

  it("is none before the grid ends, and 0 over land", () => {
    expect(landAlong_m(sea(), { x_m: 0, y_m: 0 }, Math.PI)).toBeNull();
    expect(landAlong_m(sea(), { x_m: 4000, y_m: 0 }, 1)).toBe(0);
  });

  it("nearest is the nearest of all directions", () => {
    const found = nearestShore(sea(), { x_m: 0, y_m: 0 });
    expect(Math.abs((found?.bearing_rad ?? 0) - Math.PI / 2)).toBeLessThan(0.2);
    expect(Math.abs((found?.distance_m ?? NaN) - 3000)).toBeLessThan(100);
    expect(nearestShore({ ...sea(), elevations_m: new Float32Array(101 * 101) }, { x_m: 0, y_m: 0 })).toBeNull();
  });
});
