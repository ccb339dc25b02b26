import { describe, expect, it } from "vitest";
import { degrees, wrapHalfTurn } from "../quantities/angle";
import { readEsriAscii, writeEsriAscii } from "./esri-ascii";
import { destination, geodesicBetween } from "./geodesic";
import { localPlane } from "./local-plane";
import { magneticVariation } from "./magnetic-variation";
import { type TerrainGrid, elevationAt_m, lineProfile } from "./terrain";

const ORIGIN = { latitude_deg: -47, longitude_deg: -131 };

describe("geodesic", () => {
  it("40.6N 73.8W to 51.6N 0.5W (GeographicLib documentation)", () => {
    const line = geodesicBetween(
      { latitude_deg: 40.6, longitude_deg: -73.8 },
      { latitude_deg: 51.6, longitude_deg: -0.5 },
    );
    expect(line.distance_m).toBeCloseTo(5_551_759.4, 3);
    expect(degrees(line.azimuthStart_rad)).toBeCloseTo(51.198883, 6);
    expect(degrees(line.azimuthEnd_rad)).toBeCloseTo(107.821777, 6);
  });

  it("goes there and back", () => {
    const there = destination(ORIGIN, 2, 40_000);
    expect(geodesicBetween(ORIGIN, there).distance_m).toBeCloseTo(40_000, 6);
  });
});

describe("local plane", () => {
  const plane = localPlane(ORIGIN);

  it("round-trips, and keeps distances from the origin", () => {
    const point = { x_m: 31_000, y_m: -22_000 };
    const place = plane.toLatLon(point);
    expect(plane.toPlane(place).x_m).toBeCloseTo(point.x_m, 6);
    expect(plane.toPlane(place).y_m).toBeCloseTo(point.y_m, 6);
    expect(geodesicBetween(ORIGIN, place).distance_m).toBeCloseTo(Math.hypot(31_000, 22_000), 6);
  });

  it("leans from true north by about the longitude difference times the sine of the latitude, with its sign", () => {
    const place = plane.toLatLon({ x_m: 40_000, y_m: 0 });
    const expected_deg = -(place.longitude_deg - ORIGIN.longitude_deg) * Math.sin((-47 * Math.PI) / 180);
    // The spherical rule of thumb, to a few hundredths of a degree.
    expect(Math.abs(degrees(plane.convergence_rad(place)))).toBeGreaterThan(0.3);
    expect(Math.abs(Math.abs(degrees(plane.convergence_rad(place))) - Math.abs(expected_deg) / 1)).toBeLessThan(0.05);
    expect(plane.convergence_rad(ORIGIN)).toBeCloseTo(0, 9);
  });

  it("a true course drawn in the plane is the course plus the lean", () => {
    const place = plane.toLatLon({ x_m: 30_000, y_m: 20_000 });
    const ahead = plane.toPlane(destination(place, 1, 500));
    const here = plane.toPlane(place);
    expect(
      wrapHalfTurn(Math.atan2(ahead.x_m - here.x_m, ahead.y_m - here.y_m) - 1 - plane.convergence_rad(place)),
    ).toBeCloseTo(0, 4);
  });
});

describe("magnetic variation", () => {
  it("1.28° E at 80N 0E on 2025.0 (WMM2025 report, from memory); the package carries WMM-2025", () => {
    const found = magneticVariation({ latitude_deg: 80, longitude_deg: 0 }, new Date(Date.UTC(2025, 0, 1)));
    expect(degrees(found.variation_rad)).toBeCloseTo(1.28, 2);
    expect(found).toMatchObject({ model: "WMM-2025", epoch_year: 2025, warning: null });
  });

  it("warns outside the model's years", () => {
    expect(magneticVariation(ORIGIN, new Date(Date.UTC(2033, 5, 1))).warning).toContain("outside");
    expect(magneticVariation(ORIGIN, new Date(Date.UTC(2026, 10, 24))).warning).toBeNull();
  });
});

describe("terrain", () => {
  const grid: TerrainGrid = {
    origin: ORIGIN,
    west_m: 0,
    south_m: 0,
    cell_m: 100,
    columns: 3,
    rows: 2,
    elevations_m: new Float32Array([0, 100, 200, 100, 200, 400]),
  };

  it("is bilinear between points and unknown outside", () => {
    expect(elevationAt_m(grid, 0, 0)).toBe(0);
    expect(elevationAt_m(grid, 200, 100)).toBe(400);
    expect(elevationAt_m(grid, 50, 50)).toBe(100);
    expect(elevationAt_m(grid, 150, 50)).toBe(225);
    for (const [x, y] of [
      [-1, 0],
      [0, 101],
      [200.01, 0],
      [NaN, 0],
    ])
      expect(elevationAt_m(grid, x, y)).toBeNull();
  });

  it("samples a profile with both ends", () => {
    const profile = lineProfile(grid, { x_m: 0, y_m: 0 }, { x_m: 200, y_m: 0 }, 60);
    expect(profile).toHaveLength(5);
    expect(profile[0]).toEqual({ distance_m: 0, elevation_m: 0 });
    expect(profile[4]).toEqual({ distance_m: 200, elevation_m: 200 });
    expect(() => lineProfile(grid, { x_m: 0, y_m: 0 }, { x_m: 1, y_m: 0 }, 0)).toThrow("lineProfile");
  });

  it("writes and reads an Esri ASCII grid unchanged", () => {
    const read = readEsriAscii(writeEsriAscii(grid), ORIGIN);
    if (!read.ok) throw new Error(read.issue.message);
    expect(read.value.grid).toEqual(grid);
  });

  it("lays a grid of degrees on a plane", () => {
    // Elevation equal to the column, 0.01° cells: the height at a place is its longitude.
    const rows = Array.from({ length: 21 }, () => Array.from({ length: 21 }, (_, i) => i * 10).join(" ")).join("\n");
    const read = readEsriAscii(`ncols 21\nnrows 21\nxllcenter -131.1\nyllcenter -47.1\ncellsize 0.01\n${rows}\n`, null);
    if (!read.ok) throw new Error(read.issue.message);
    const plane = localPlane(read.value.grid.origin);
    const at = plane.toPlane({ latitude_deg: -47.03, longitude_deg: -131.05 });
    expect(elevationAt_m(read.value.grid, at.x_m, at.y_m)).toBeCloseTo(50, 0);
  });

  it.each([
    ["a slope across a wide grid of fine cells", 60.5, 10, 0.002],
    ["a grid across 180° of longitude", -17, 179.9, 0.001],
    ["coarse cells, wider than the nodes are apart", 47, 5, 0.02],
  ])("lays %s on a plane to a hundredth of a cell", (_, latitude_deg, longitude_deg, cell_deg) => {
    const count = 201;
    // The height of a point is its column plus its row, so that a height says where the point lies.
    const rows = Array.from({ length: count }, (_, row) =>
      Array.from({ length: count }, (_, column) => 10 * column + (count - 1 - row)).join(" "),
    ).join("\n");
    const header = `ncols ${count}\nnrows ${count}\nxllcenter ${longitude_deg}\nyllcenter ${latitude_deg}\ncellsize ${cell_deg}\n`;
    const read = readEsriAscii(header + rows, null);
    if (!read.ok) throw new Error(read.issue.message);
    const { grid } = read.value;
    const plane = localPlane(grid.origin);
    for (const [across, j] of [
      [0.1, 31],
      [0.5, 100],
      [0.85, 12],
      [0.3, 190],
    ]) {
      const i = Math.round(across * grid.columns);
      const { latitude_deg: north, longitude_deg: east } = plane.toLatLon({
        x_m: grid.west_m + i * grid.cell_m,
        y_m: grid.south_m + j * grid.cell_m,
      });
      const column = ((east - longitude_deg + 540) % 360) - 180;
      const expected = (10 * column + (north - latitude_deg)) / cell_deg;
      expect(grid.elevations_m[j * grid.columns + i] - expected).toBeCloseTo(0, 1);
    }
  });

  it.each([
    ["near a pole", "xllcorner 0\nyllcorner 89.9\ncellsize 0.001", null, "Beyond 85°"],
    ["of cells without size", "xllcorner 0\nyllcorner 10\ncellsize 1e-300", null, "at least"],
    ["as wide as a continent", "xllcorner 0\nyllcorner 10\ncellsize 10", null, "1 000 km"],
    ["that begins in another country", "xllcorner 3e6\nyllcorner 0\ncellsize 100", ORIGIN, "1 000 km"],
  ])("refuses a grid %s", (_, frame, origin, says) => {
    const read = readEsriAscii(`ncols 2\nnrows 2\n${frame}\n1 2 3 4`, origin);
    expect(read.ok ? "" : read.issue.message).toContain(says);
  });

  it("counts missing cells as sea", () => {
    const read = readEsriAscii(
      "ncols 2\nnrows 2\nxllcorner 0\nyllcorner 0\ncellsize 100\nNODATA_value -9999\n-9999 5\n6 7\n",
      ORIGIN,
    );
    if (!read.ok) throw new Error(read.issue.message);
    expect(read.value.missingCells).toBe(1);
    expect(Array.from(read.value.grid.elevations_m)).toEqual([6, 7, 0, 5]);
  });

  const header = "ncols 2\nnrows 2\nxllcorner 0\nyllcorner 0\ncellsize 100\n";
  it.each([
    ["", "terrain_header"],
    ["ncols 2", "terrain_truncated"],
    ["ncols two\n", "terrain_header"],
    ["ncols 2\nnrows 2\ncellsize 100\n1 2 3 4", "terrain_header"],
    [`${header}1 2\n3`, "terrain_truncated"],
    [`${header}1 2\n3 x`, "terrain_value"],
    [`${header}1 2\n3 4 5`, "terrain_value"],
    [`${header}1 2\n3 12000`, "terrain_value"],
    ["ncols 99999\nnrows 99999\nxllcorner 0\nyllcorner 0\ncellsize 100\n1", "terrain_too_large"],
    ["ncols 2\nnrows 2\nxllcorner 0\nyllcorner 0\ncellsize 0\n1 2 3 4", "terrain_header"],
    ["ncols 2\nnrows 2\nxllcorner 0\nyllcorner 0\ncellsize 0.001\n1 2 3 4", "terrain_header"],
  ])("refuses the damaged file %j", (text, code) => {
    const read = readEsriAscii(text, ORIGIN);
    expect(read.ok ? "" : read.issue.code).toBe(code);
  });

  it("tells a file of metres from one of degrees", () => {
    const read = readEsriAscii("ncols 2\nnrows 2\nxllcorner -50000\nyllcorner -50000\ncellsize 100\n1 2 3 4", null);
    expect(read.ok ? "" : read.issue.message).toContain("degrees");
  });
});
