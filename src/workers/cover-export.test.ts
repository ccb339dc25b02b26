// The cover as files, read back: the grid by the project's own reader, the areas by looking what they enclose.
import { describe, expect, it } from "vitest";
import { inverseField } from "@/core/cover/cover-field";
import { coverGrid } from "@/core/cover/cover-grid";
import { coverMetric } from "@/core/cover/cover-metric";
import { readEsriAscii } from "@/core/earth/esri-ascii";
import { localPlane } from "@/core/earth/local-plane";
import { coverAreas, coverAscii } from "./cover-export";

const origin = { latitude_deg: -47, longitude_deg: -131 };
const plane = localPlane(origin);
const [columns, rows, cell_m] = [81, 61, 250];
const terrain = {
  origin,
  west_m: -10_000,
  south_m: -7500,
  cell_m,
  columns,
  rows,
  elevations_m: new Float32Array(columns * rows),
};
// Ten metres of ground for each of height: round the site circles, 3,048 m for every thousand feet.
const metric = coverMetric(() => 10, { low_m: 0, high_m: 1, step_m: 0 });
const outcome = inverseField(coverGrid(terrain, 0, []), [{ x_m: 0, y_m: 0, altitude_m: 0 }], metric);
if (!outcome.ok) throw new Error(outcome.issue.message);
const field = outcome.value;

describe("the cover as files", () => {
  it("as a grid is read back as it was, cell by cell", () => {
    const back = readEsriAscii(coverAscii(field), origin);
    if (!back.ok) throw new Error(back.issue.message);
    const { grid } = back.value;
    expect([grid.columns, grid.rows, grid.cell_m]).toEqual([columns, rows, cell_m]);
    expect([grid.west_m, grid.south_m]).toEqual([terrain.west_m, terrain.south_m]);
    for (const cell of [0, 1, columns, 2000, columns * rows - 1])
      expect(Math.abs(grid.elevations_m[cell] - field.altitude_m[cell])).toBeLessThan(0.6);
  });

  it("says where no altitude helps", () => {
    const altitude_m = Float32Array.from(field.altitude_m);
    altitude_m[0] = Infinity;
    expect(
      coverAscii({ ...field, altitude_m })
        .trimEnd()
        .split("\n")
        .at(-1),
    ).toMatch(/^-9999 \d/);
  });

  it("as areas lies on the circles that the glide makes", () => {
    const { features } = JSON.parse(coverAreas(field, plane)) as {
      features: { properties: { fromAltitude_ft: number }; geometry: { coordinates: number[][][][] } }[];
    };
    expect(features.map(({ properties }) => properties.fromAltitude_ft).slice(0, 4)).toEqual([0, 1000, 2000, 3000]);
    const [ring] = features[2].geometry.coordinates[0];
    expect(ring.length).toBeGreaterThan(50);
    for (const [longitude_deg, latitude_deg] of ring) {
      const { x_m, y_m } = plane.toPlane({ latitude_deg, longitude_deg });
      expect(Math.abs(Math.hypot(x_m, y_m) - 6096)).toBeLessThan(30);
    }
  });

  it("of nothing in reach is an empty collection", () => {
    const altitude_m = new Float32Array(columns * rows).fill(Infinity);
    expect(JSON.parse(coverAreas({ ...field, altitude_m }, plane))).toEqual({
      type: "FeatureCollection",
      features: [],
    });
  });
});
