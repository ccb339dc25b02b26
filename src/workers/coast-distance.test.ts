import { describe, expect, it } from "vitest";
import type { TerrainGrid } from "@/core/earth/terrain";
import { coastDistance } from "./coast-distance";

/** Land east of a column. */
const grid = (columns: number, rows: number, landFrom: number): TerrainGrid => ({
  origin: { latitude_deg: 0, longitude_deg: 0 },
  west_m: 0,
  south_m: 0,
  cell_m: 100,
  columns,
  rows,
  elevations_m: Int16Array.from({ length: columns * rows }, (_, i) => (i % columns >= landFrom ? 10 : 0)),
});

describe("distance from the coast", () => {
  it("grows by a cell on land, falls by a cell at sea, and ends at 2,500 m", () => {
    const away = coastDistance(grid(60, 3, 30));
    expect([away[29], away[28], away[30], away[31], away[35]]).toEqual([-100, -200, 100, 200, 600]);
    expect([away[0], away[59]]).toEqual([-2500, 2500]);
  });

  it("goes round corners by the diagonal, and is far where there is none", () => {
    const island = { ...grid(9, 9, 9), elevations_m: Int16Array.from({ length: 81 }, (_, i) => (i === 40 ? 5 : 0)) };
    const away = coastDistance(island);
    expect(away[40]).toBe(100);
    expect(away[40 + 9 + 1]).toBeCloseTo(-100 * Math.SQRT2, 3);
    expect(away[40 + 3]).toBeCloseTo(-300, 3);
    expect([...coastDistance(grid(4, 4, 0))].every((m) => m === 2500)).toBe(true);
  });
});
