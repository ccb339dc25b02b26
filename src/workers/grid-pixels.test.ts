import { describe, expect, it } from "vitest";
import { betweenCells, eachPixel, hatch, painted } from "./grid-pixels";

const grid = { west_m: 1000, south_m: 2000, cell_m: 100, columns: 4, rows: 3 };
/** East by north of the grid's own corner, m: bilinear values of it are exact. */
const values = Float32Array.from({ length: 12 }, (_, cell) => 100 * (cell % 4) + 1000 * Math.floor(cell / 4));

describe("pixels over a grid", () => {
  it("are told the cells they lie between; those beside the grid are not told", () => {
    const view = { west_m: 900, south_m: 1900, resolution_m: 50, width: 12, height: 9 };
    const told: number[] = [];
    eachPixel(grid, view, (pixel, cell, east, north) => {
      told.push(pixel);
      const [x_m, y_m] = [900 + ((pixel % 12) + 0.5) * 50, 1900 + (9 - Math.floor(pixel / 12) - 0.5) * 50];
      expect(betweenCells(values, 4, cell, east, north)).toBeCloseTo(x_m - 1000 + 10 * (y_m - 2000), 3);
    });
    // Three cells of two pixels each way, and two.
    expect(told).toHaveLength(6 * 4);
    expect(new Set(told).size).toBe(24);
  });

  it("a cell without weight does not count, be it infinite or not known", () => {
    const odd = Float32Array.of(5, Infinity, 7, NaN);
    expect(betweenCells(odd, 2, 0, 0, 0)).toBe(5);
    expect(betweenCells(odd, 2, 0, 0, 0.5)).toBe(6);
    expect(betweenCells(odd, 2, 0, 0.5, 0)).toBe(Infinity);
    expect(betweenCells(odd, 2, 0, 0.5, 0.5)).toBeNaN();
  });

  it("a hatch stands on the ground: moved with the view it is the same, and its share is one line in so many", () => {
    const view = { west_m: -300, south_m: 250, resolution_m: 50, width: 90, height: 60 };
    const [here, moved] = [hatch(view, 1.1, 8), hatch({ ...view, west_m: view.west_m + 7 * 50 }, 1.1, 8)];
    let drawn = 0;
    for (let row = 0; row < 60; row += 1)
      for (let column = 0; column < 80; column += 1) {
        expect(moved(column, row)).toBe(here(column + 7, row));
        drawn += Number(here(column, row));
      }
    expect(drawn / (60 * 80)).toBeCloseTo(1 / 8, 2);
  });

  it("a colour stands in its pixel as red, green, blue and how strong", () => {
    const pixels = Uint32Array.of(0, painted([1, 200, 3], 255));
    expect([...new Uint8Array(pixels.buffer)]).toEqual([0, 0, 0, 0, 1, 200, 3, 255]);
  });
});
