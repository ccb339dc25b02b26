// The compiled solver beside the plain one: the same fields over made and over given ground.
import { describe, expect, it, vi } from "vitest";
import { demoTerrain } from "../../../demo/read-demo";
import { HOLE_M, type TerrainGrid } from "../earth/terrain";
import { solveCompiled } from "./compiled-solver";
import { type CoverField, forwardField, inverseField } from "./cover-field";
import { type CoverSite, coverGrid } from "./cover-grid";
import { type CoverMetric, coverMetric } from "./cover-metric";
import { solvePlain } from "./plain-solver";
import type { Solver } from "./solver";

const [columns, rows, cell_m] = [120, 90, 100];
/** Hills, a ridge with a gap, and a few holes. */
function made(): TerrainGrid {
  const elevations_m = new Float32Array(columns * rows);
  for (let row = 0; row < rows; row += 1)
    for (let column = 0; column < columns; column += 1) {
      const hills = 300 + 250 * Math.sin(column / 7) * Math.cos(row / 9) + 90 * Math.sin((column * row) / 150);
      const ridge = Math.abs(column - 60) < 3 && Math.abs(row - 40) > 4 ? 1400 : 0;
      const hole = (column * 31 + row * 17) % 997 === 0;
      elevations_m[row * columns + column] = hole ? HOLE_M : Math.max(hills, ridge);
    }
  return {
    origin: { latitude_deg: 0, longitude_deg: 0 },
    west_m: -6000,
    south_m: -4500,
    cell_m,
    columns,
    rows,
    elevations_m,
  };
}
const one = coverMetric((east, north) => ((Math.sqrt(33 ** 2 - (8 * north) ** 2) + 8 * east) * 9) / 33, {
  low_m: 0,
  high_m: 1,
  step_m: 0,
});
const windy = (calm_mps: number): CoverMetric =>
  coverMetric(
    (east, north, altitude_m) => {
      const [tas, wind] = [33 * (1 + altitude_m / 20_000), calm_mps + altitude_m / 90];
      const forward2 = tas * tas - (wind * north) ** 2;
      return forward2 > 0 ? ((Math.sqrt(forward2) + wind * east) * 9) / tas : 0;
    },
    { low_m: -100, high_m: 6000, step_m: 40 },
  );
const site = (x_m: number, y_m: number, altitude_m: number): CoverSite => ({ x_m, y_m, altitude_m });
const compiled: Solver = (task) => {
  const solved = solveCompiled(task);
  if (solved === undefined) throw new Error("the solver was not compiled");
  return solved;
};
function differs(a: CoverField, b: CoverField): { most_m: number; reached: number } {
  let [most_m, reached] = [0, 0];
  a.altitude_m.forEach((altitude_m, cell) => {
    const other_m = b.altitude_m[cell];
    if (Number.isFinite(altitude_m) !== Number.isFinite(other_m)) most_m = Infinity;
    else if (Number.isFinite(altitude_m)) {
      most_m = Math.max(most_m, Math.abs(altitude_m - other_m));
      reached += 1;
    }
  });
  return { most_m, reached };
}
function value(outcome: ReturnType<typeof inverseField>): CoverField {
  if (!outcome.ok) throw new Error(outcome.issue.message);
  return outcome.value;
}

describe("the compiled solver beside the plain one", () => {
  const ground = made();
  const sites = [site(-4000, -1000, 900), site(4800, 2600, 700), site(130, 77, 1000)];
  const grid = coverGrid(ground, 60, sites);
  it.each([
    ["one wind", one, 2000],
    ["wind by height", windy(3), 2000],
    // As fast as the aircraft from 2,400 m up: walls.
    ["walls of wind", windy(8), 200],
  ])("towards places: %s", (_name, metric, least) => {
    const { most_m, reached } = differs(
      value(inverseField(grid, sites, metric, undefined, compiled)),
      value(inverseField(grid, sites, metric, undefined, solvePlain)),
    );
    expect(most_m).toBeLessThan(0.05);
    expect(reached).toBeGreaterThan(least);
  });

  it.each([
    ["one wind", one],
    ["wind by height", windy(3)],
  ])("from an aircraft: %s", (_name, metric) => {
    const from = site(-2000, 500, 2200);
    const { most_m, reached } = differs(
      value(forwardField(grid, from, metric, undefined, compiled)),
      value(forwardField(grid, from, metric, undefined, solvePlain)),
    );
    expect(most_m).toBeLessThan(0.05);
    expect(reached).toBeGreaterThan(2000);
  });

  it("more places than the queue has room for at first, and a small field after a large one", () => {
    const many = Array.from({ length: 3000 }, (_, i) =>
      site(-5900 + ((i * 379) % 11_700), -4400 + ((i * 241) % 8700), 900 + (i % 7) * 40),
    );
    const crowded = coverGrid(ground, 60, many);
    const few = sites.slice(0, 1);
    for (const [floors, places] of [
      [crowded, many],
      [grid, few],
    ] as const) {
      const [a, b] = [compiled, solvePlain].map((solver) =>
        value(inverseField(floors, places, one, undefined, solver)),
      );
      expect(differs(a, b).most_m).toBeLessThan(0.05);
      expect(a.site).toEqual(b.site);
    }
  });

  it("over the demo world", () => {
    const terrain = demoTerrain();
    const places = Array.from({ length: 12 }, (_, i) =>
      site(-45_000 + i * 8000, -30_000 + ((i * 37) % 60) * 1000, 400),
    );
    const wide = coverGrid(terrain, 60, places);
    const [a, b] = [compiled, solvePlain].map((solver) =>
      value(inverseField(wide, places, windy(3), undefined, solver)),
    );
    const { most_m, reached } = differs(a, b);
    expect(most_m).toBeLessThan(0.05);
    expect(reached).toBeGreaterThan(500_000);
  });

  it("tells how far it is, and ends when it is told to", () => {
    const terrain = demoTerrain();
    const places = [site(0, 0, 500)];
    const wide = coverGrid(terrain, 60, places);
    const told: number[] = [];
    const outcome = inverseField(wide, places, one, (share) => told.push(share) < 3, compiled);
    expect(outcome).toMatchObject({ ok: false, issue: { code: "cancelled" } });
    expect(told).toEqual([...told].sort((a, b) => a - b));
    expect(told).toHaveLength(3);
  });

  it("where nothing can be compiled the plain one does it", async () => {
    vi.resetModules();
    vi.stubGlobal("WebAssembly", {});
    const { inverseField: plain } = await import("./cover-field");
    vi.unstubAllGlobals();
    const outcome = plain(grid, sites, one);
    expect(differs(value(outcome), value(inverseField(grid, sites, one, undefined, solvePlain))).most_m).toBe(0);
  });
});
