import { describe, expect, it } from "vitest";
import { heightPixels } from "./height-pixels";

const grid = {
  west_m: 0,
  south_m: 0,
  cell_m: 100,
  columns: 101,
  rows: 101,
  floor_m: new Float32Array(101 * 101),
};
/** Rising to the east, 10 m a cell; none east of 9 km, nothing known north of 9 km. */
const height_m = Float32Array.from({ length: 101 * 101 }, (_, cell) => {
  const [column, row] = [cell % 101, Math.floor(cell / 101)];
  return row > 90 ? NaN : column > 90 ? Infinity : 10 * column;
});
const view = { west_m: 0, south_m: 0, resolution_m: 50, width: 200, height: 200 };
const pixels = heightPixels({ grid, height_m }, view, [150, 300, 500, 800], [1, 2, 3], [9, 8, 7]);
const pixel = (x_m: number, y_m: number) => {
  const cell = (Math.floor((10_000 - y_m) / 50) * 200 + Math.floor(x_m / 50)) * 4;
  return [...pixels.slice(cell, cell + 4)];
};
const drawn = (from_m: number, to_m: number) =>
  Array.from({ length: Math.round((to_m - from_m) / 50) }, (_, i) => pixel(from_m + 50 * i, 4025)[3]);

describe("heights as pixels", () => {
  it("a line stands between two bands, just where the height is", () => {
    for (const [level_m, x_m] of [
      [150, 1500],
      [300, 3000],
      [500, 5000],
      [800, 8000],
    ])
      expect(drawn(x_m - 100, x_m + 100), `${level_m} m`).toContain(120);
    expect(drawn(3200, 4800)).not.toContain(120);
  });

  it("the higher the band the closer its hatch, and the lowest has none", () => {
    const shares = [
      [100, 1400],
      [1600, 2900],
      [3100, 4900],
      [5100, 7900],
      [8100, 8900],
    ].map(([from_m, to_m]) => {
      const strengths = Array.from({ length: 40 }, (_, i) => 1000 + 150 * i).flatMap((y_m) =>
        Array.from({ length: 16 }, (_, k) => pixel(from_m + ((to_m - from_m) * k) / 16, y_m)[3]),
      );
      return strengths.filter((strength) => strength === 80).length / strengths.length;
    });
    expect(shares[0]).toBe(0);
    shares.slice(1).forEach((share, i) => expect(share).toBeGreaterThan(shares[i]));
  });

  it("the edge of what has a height is strong, beyond it another ink, and where nothing is known nothing", () => {
    expect(drawn(8800, 9100)).toContain(255);
    const beyond = Array.from({ length: 12 }, (_, i) => pixel(9300 + 50 * i, 4025)).filter(
      ([, , , alpha]) => alpha > 0,
    );
    expect(beyond.length).toBeGreaterThan(0);
    for (const found of beyond) expect(found).toEqual([9, 8, 7, 150]);
    const bare = heightPixels({ grid, height_m }, view, [150, 300, 500, 800], [1, 2, 3], null);
    expect(bare[(120 * 200 + 190) * 4 + 3]).toBe(0);
    expect(pixel(4000, 9600)[3]).toBe(0);
    expect(pixel(4000, 4000).slice(0, 3)).toEqual(pixel(4000, 4000)[3] > 0 ? [1, 2, 3] : [0, 0, 0]);
  });
});
