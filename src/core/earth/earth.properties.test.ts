import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { wrapHalfTurn } from "../quantities/angle";
import { readEsriAscii, writeEsriAscii } from "./esri-ascii";
import { destination, geodesicBetween } from "./geodesic";
import { localPlane } from "./local-plane";
import { type TerrainGrid, elevationAt_m } from "./terrain";

const places = fc.record({
  latitude_deg: fc.integer({ min: -800, max: 800 }).map((value) => value / 10),
  longitude_deg: fc.integer({ min: -1800, max: 1800 }).map((value) => value / 10),
});
const bearings = fc.integer({ min: 0, max: 627 }).map((value) => value / 100);

describe("the Earth (property)", () => {
  it("a destination lies as far and in the direction it was sent, across the date line too", () => {
    fc.assert(
      fc.property(places, bearings, fc.integer({ min: 1, max: 200_000 }), (from, bearing, distance_m) => {
        const line = geodesicBetween(from, destination(from, bearing, distance_m));
        expect(line.distance_m).toBeCloseTo(distance_m, 5);
        expect(Math.abs(wrapHalfTurn(line.azimuthStart_rad - bearing))).toBeLessThan(1e-6);
      }),
      { numRuns: 200, seed: 60 },
    );
  });

  it("a nautical mile is a minute of latitude to a per cent (definition)", () => {
    fc.assert(
      fc.property(places, (from) => {
        const north = destination(from, 0, 1852);
        expect(Math.abs((north.latitude_deg - from.latitude_deg) * 60 - 1)).toBeLessThan(0.01);
      }),
      { numRuns: 50, seed: 61 },
    );
  });

  it("plane and Earth go there and back, and distances across 50 km agree to a few parts in 100 000", () => {
    fc.assert(
      fc.property(places, bearings, bearings, fc.integer({ min: 10, max: 50_000 }), (origin, a, b, away) => {
        const plane = localPlane(origin);
        const first = destination(origin, a, away);
        const second = destination(origin, b, 0.7 * away);
        const [p, q] = [plane.toPlane(first), plane.toPlane(second)];
        expect(geodesicBetween(plane.toLatLon(p), first).distance_m).toBeLessThan(1e-4);
        const apart = geodesicBetween(first, second).distance_m;
        fc.pre(apart > 1);
        expect(Math.abs(Math.hypot(p.x_m - q.x_m, p.y_m - q.y_m) / apart - 1)).toBeLessThan(3e-5);
      }),
      { numRuns: 150, seed: 62 },
    );
  });
});

describe("terrain (property)", () => {
  const grids = fc
    .tuple(fc.integer({ min: 2, max: 9 }), fc.integer({ min: 2, max: 9 }), fc.integer({ min: 10, max: 500 }))
    .chain(([columns, rows, cell_m]) =>
      fc
        .array(fc.integer({ min: -400, max: 4000 }), { minLength: columns * rows, maxLength: columns * rows })
        .map((values): TerrainGrid => ({
          origin: { latitude_deg: -47, longitude_deg: -131 },
          west_m: -300,
          south_m: 200,
          cell_m,
          columns,
          rows,
          elevations_m: Float32Array.from(values),
        })),
    );

  it("files go out and come back the same", () => {
    fc.assert(
      fc.property(grids, (grid) => {
        expect(readEsriAscii(writeEsriAscii(grid), grid.origin)).toEqual({
          ok: true,
          value: { grid, missingCells: 0 },
        });
      }),
      { numRuns: 60, seed: 63 },
    );
  });

  it("heights between points lie between the heights of the points", () => {
    fc.assert(
      fc.property(grids, fc.integer({ min: 0, max: 1000 }), fc.integer({ min: 0, max: 1000 }), (grid, u, v) => {
        const z = elevationAt_m(
          grid,
          grid.west_m + ((grid.columns - 1) * grid.cell_m * u) / 1000,
          grid.south_m + ((grid.rows - 1) * grid.cell_m * v) / 1000,
        );
        expect(z).not.toBeNull();
        expect(z ?? NaN).toBeGreaterThanOrEqual(Math.min(...grid.elevations_m) - 1e-6);
        expect(z ?? NaN).toBeLessThanOrEqual(Math.max(...grid.elevations_m) + 1e-6);
      }),
      { numRuns: 200, seed: 64 },
    );
  });

  it("a file cut off anywhere is refused, never half read", () => {
    const text = writeEsriAscii({
      origin: { latitude_deg: 0, longitude_deg: 0 },
      west_m: 0,
      south_m: 0,
      cell_m: 100,
      columns: 5,
      rows: 4,
      elevations_m: Float32Array.from({ length: 20 }, (_, i) => 100 + i),
    });
    // The last three digits may go without harm to the count of numbers.
    for (let cut = 0; cut < text.length - 4; cut += 1)
      expect(readEsriAscii(text.slice(0, cut), { latitude_deg: 0, longitude_deg: 0 }).ok, `cut at ${cut}`).toBe(false);
  });
});
