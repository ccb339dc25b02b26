// The field against closed forms: triangles of velocities, straight lines past a wall's end, tapers. Worked out apart
// from the code, by the formula T = d²/(d·W + √((d·W)² + (v² − |W|²)d²)).
import { describe, expect, it } from "vitest";
import { HOLE_M, type TerrainGrid } from "../earth/terrain";
import { coverGrid } from "./cover-grid";
import { type CoverField, forwardField, inverseField } from "./cover-field";
import { type CoverMetric, coverMetric } from "./cover-metric";

const ORIGIN = { latitude_deg: 0, longitude_deg: 0 };
const [V, SINK] = [28, 0.7];

/** Ground for height in one wind (blowing to). */
function wind(east_mps: number, north_mps: number): CoverMetric {
  return coverMetric(
    (east, north) => {
      const along = east_mps * east + north_mps * north;
      const across = north_mps * east - east_mps * north;
      const forward2 = V * V - across * across;
      return forward2 > 0 ? (Math.sqrt(forward2) + along) / SINK : 0;
    },
    { low_m: 0, high_m: 0, step_m: 0 },
  );
}
const CALM = wind(0, 0);

/** Cells of 100 m, by column and row. */
function ground(columns: number, rows: number, elevation_m: (column: number, row: number) => number): TerrainGrid {
  const elevations_m = Float32Array.from({ length: columns * rows }, (_, i) =>
    elevation_m(i % columns, Math.floor(i / columns)),
  );
  return { origin: ORIGIN, west_m: 0, south_m: 0, cell_m: 100, columns, rows, elevations_m };
}
const site = (column: number, row: number, altitude_m: number) => ({ x_m: 100 * column, y_m: 100 * row, altitude_m });

function solved(outcome: ReturnType<typeof inverseField>): CoverField {
  if (!outcome.ok) throw new Error(outcome.issue.message);
  return outcome.value;
}
const at = ({ altitude_m, grid }: CoverField, column: number, row: number) => altitude_m[row * grid.columns + column];
const flat = (size: number) =>
  coverGrid(
    ground(size, size, () => 0),
    0,
    [],
  );

describe("the lowest altitude to be in reach from", () => {
  it("is exact over flat ground in still air, 50 km out", () => {
    const field = solved(inverseField(flat(1024), [site(512, 512, 1000)], CALM));
    expect(at(field, 812, 912)).toBeCloseTo(2250, 1);
    expect(Math.abs(at(field, 974, 703) - 2249.81)).toBeLessThan(0.05);
    expect(Math.abs(at(field, 12, 519) - 2250.12)).toBeLessThan(0.05);
  });

  it("is that of the triangle of velocities in wind, towards the place", () => {
    const field = solved(inverseField(flat(701), [site(350, 350, 1000)], wind(10, 0)));
    expect(Math.abs(at(field, 50, 350) - 1552.63)).toBeLessThan(0.05);
    expect(Math.abs(at(field, 650, 350) - 2166.67)).toBeLessThan(0.05);
    expect(Math.abs(at(field, 350, 650) - 1802.96)).toBeLessThan(0.05);
    expect(Math.abs(at(field, 650, 650) - 2483.34)).toBeLessThan(0.05);
  });

  it.each([
    ["in still air", CALM, 1957.74],
    ["with 10 m/s to the east", wind(10, 0), 2397.59],
    ["with 8 m/s to the north", wind(0, 8), 2070.07],
  ])("goes round the ends of a gap in a wall %s", (_, metric, expected) => {
    const wall = ground(600, 600, (column, row) => (column === 300 && (row < 400 || row > 410) ? 3000 : 0));
    const field = solved(inverseField(coverGrid(wall, 0, []), [site(150, 150, 500)], metric));
    expect(Math.abs(at(field, 450, 150) - expected)).toBeLessThan(1.5);
  });

  it("puts the border of two places where both cost the same", () => {
    const field = solved(inverseField(flat(512), [site(100, 256, 500), site(400, 256, 800)], CALM));
    expect(at(field, 310, 256)).toBeCloseTo(1025, 1);
    expect([field.site[256 * 512 + 308], field.site[256 * 512 + 312]]).toEqual([0, 1]);
  });

  it("keeps clear of the ground, by nothing near the place and by all of it farther out", () => {
    // By 0.5 to 2.5 km from none to 150 m: 75 m at 1.5 km; farther out the glide is higher than that.
    const grid = coverGrid(
      ground(301, 3, () => 0),
      150,
      [site(0, 1, 0)],
    );
    const field = solved(inverseField(grid, [site(0, 1, 100)], CALM));
    expect(at(field, 0, 1)).toBeCloseTo(100, 2);
    expect(at(field, 15, 1)).toBeCloseTo(137.5, 1);
    expect(at(field, 25, 1)).toBeCloseTo(162.5, 1);
    expect(at(field, 100, 1)).toBeCloseTo(350, 1);
    // A place without height to spare: here the floor decides.
    const low = solved(inverseField(grid, [site(0, 1, 0)], CALM));
    expect(at(low, 15, 1)).toBeCloseTo(75, 1);
    expect(at(low, 25, 1)).toBeCloseTo(150, 1);
  });

  it("has no answer where the wind blows harder than the aircraft flies", () => {
    // Wind 35 to the east, place at the origin of the offsets: only what lies within asin(28/35) = 53.13° upwind of it
    // reaches it.
    const field = solved(inverseField(flat(401), [site(200, 200, 500)], wind(35, 0)));
    expect(Math.abs(at(field, 100, 200) - 611.11)).toBeLessThan(0.5);
    const off = (angle_deg: number) =>
      at(
        field,
        Math.round(200 - 150 * Math.cos((angle_deg * Math.PI) / 180)),
        Math.round(200 + 150 * Math.sin((angle_deg * Math.PI) / 180)),
      );
    expect(Number.isFinite(off(51))).toBe(true);
    expect(off(55)).toBe(Infinity);
    expect(at(field, 300, 200)).toBe(Infinity);
  });

  it("knows nothing of ground that is not known", () => {
    const holed = ground(101, 101, (column, row) => (column === 50 && row !== 0 ? HOLE_M : 0));
    const field = solved(inverseField(coverGrid(holed, 50, []), [site(20, 50, 300)], CALM));
    expect(at(field, 50, 50)).toBe(Infinity);
    // Round the end of what is not known, by the one row that is.
    const straight = 300 + (60 * 100) / 40;
    expect(at(field, 80, 50)).toBeGreaterThan(straight + 50);
    expect(inverseField(coverGrid(holed, 50, []), [], CALM)).toMatchObject({ ok: false, issue: { code: "no_places" } });
  });
});

describe("the altitude left of a glide", () => {
  it("does not get out of a bowl", () => {
    const bowl = ground(512, 512, (column, row) => {
      const away = Math.hypot(column - 256, row - 256) / 10;
      return away >= 5 && away <= 6 ? 2000 : 300;
    });
    const field = solved(forwardField(coverGrid(bowl, 0, []), site(256, 256, 1500), CALM));
    const outside = field.altitude_m.filter((altitude_m, cell) => {
      const away = Math.hypot((cell % 512) - 256, Math.floor(cell / 512) - 256) / 10;
      return away > 6.1 && altitude_m !== -Infinity;
    });
    expect(outside).toHaveLength(0);
    expect(at(field, 296, 256)).toBeCloseTo(1400, 1);
  });

  it("reaches a place from its lowest altitude with a little more, and not with a little less", () => {
    const hills = ground(200, 200, (column, row) => 900 * Math.sin(column / 17) * Math.cos(row / 23) + 300);
    const grid = coverGrid(hills, 60, [site(160, 170, 0)]);
    const metric = wind(7, -4);
    const place = site(160, 170, 900);
    const field = solved(inverseField(grid, [place], metric));
    for (const [column, row] of [
      [20, 30],
      [60, 150],
      [100, 90],
      [180, 20],
      [150, 160],
    ]) {
      const lowest_m = at(field, column, row);
      const left = (more_m: number) =>
        at(solved(forwardField(grid, site(column, row, lowest_m + more_m), metric)), 160, 170);
      expect(left(2)).toBeGreaterThanOrEqual(900);
      expect(left(-20)).toBeLessThan(900);
    }
  });
});
