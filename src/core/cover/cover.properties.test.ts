// Fields over random hills: every way is flown again in small steps, and what must not raise or lower the cover does
// not.
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { evenly } from "../../../fuzz/evenly";
import { clamp } from "../numeric/clamp";
import type { TerrainGrid } from "../earth/terrain";
import { type CoverField, inverseField } from "./cover-field";
import { type CoverSite, coverGrid, floorAt_m } from "./cover-grid";
import { CoverLeg, type CoverMetric, coverMetric } from "./cover-metric";
import { coverAt, wayFrom } from "./cover-way";
import { floorBlocks } from "./floor-blocks";
import { legClears } from "./leg-clearance";

const SIZE = 70;
const CELL_M = 100;
const TOP_M = 4000;

interface Hills {
  readonly waves: readonly (readonly [number, number, number, number])[];
  readonly wind: readonly [number, number];
  readonly shear: number;
  readonly sites: readonly CoverSite[];
}
const hills = fc.record({
  waves: fc.array(fc.tuple(evenly(0, 350), evenly(-0.12, 0.12), evenly(-0.12, 0.12), evenly(0, 6)), {
    minLength: 1,
    maxLength: 4,
  }),
  wind: fc.tuple(evenly(-12, 12), evenly(-12, 12)),
  shear: evenly(0, 0.0008),
  sites: fc.array(
    fc.record({
      x_m: evenly(300, 6500),
      y_m: evenly(300, 6500),
      altitude_m: evenly(0, 400),
    }),
    { minLength: 1, maxLength: 4 },
  ),
});

const heightOf = ({ waves }: Hills, column: number, row: number) =>
  waves.reduce((sum, [high, a, b, c]) => sum + high * (1 + Math.sin(a * column + b * row + c)), 0);

function terrainOf(of: Hills, more: (column: number, row: number) => number = () => 0): TerrainGrid {
  const elevations_m = Float32Array.from(
    { length: SIZE * SIZE },
    (_, i) => heightOf(of, i % SIZE, Math.floor(i / SIZE)) + more(i % SIZE, Math.floor(i / SIZE)),
  );
  const origin = { latitude_deg: 0, longitude_deg: 0 };
  return { origin, west_m: 0, south_m: 0, cell_m: CELL_M, columns: SIZE, rows: SIZE, elevations_m };
}

/** Ground for height at 30 m/s and 9:1, the wind growing with height. */
const ratioOf =
  ({ wind: [u, v], shear }: Hills, gust_mps = 0) =>
  (east: number, north: number, altitude_m: number) => {
    const grown = 1 + shear * altitude_m * 0.2;
    const along = (u * east + v * north) * grown - gust_mps;
    const across = (v * east - u * north) * grown;
    const forward2 = 900 - across * across;
    return forward2 > 0 ? ((Math.sqrt(forward2) + along) * 9) / 30 : 0;
  };
const metricOf = (of: Hills, gust_mps = 0): CoverMetric =>
  coverMetric(ratioOf(of, gust_mps), { low_m: 0, high_m: TOP_M, step_m: 10 });

/** Places stand on the ground, or over it. */
const onGround = (of: Hills): CoverSite[] =>
  of.sites.map(({ x_m, y_m, altitude_m }) => ({
    x_m,
    y_m,
    altitude_m: heightOf(of, x_m / CELL_M, y_m / CELL_M) + altitude_m + 30,
  }));

function fieldOf(of: Hills, sites: CoverSite[], metric: CoverMetric, terrain = terrainOf(of)): CoverField {
  const field = inverseField(coverGrid(terrain, 60, sites), sites, metric);
  if (!field.ok) throw new Error(field.issue.message);
  return field.value;
}

/** Out of reach is higher than anything else, and as high as itself. */
const most = (altitude_m: number) => Math.min(altitude_m, 1e6);

describe("over any hills, in any wind", () => {
  it("every way, flown in steps of 10 m, keeps over the floor and does not arrive low", () => {
    fc.assert(
      fc.property(hills, (of) => {
        const sites = onGround(of);
        const field = fieldOf(of, sites, metricOf(of));
        const ratio = ratioOf(of);
        for (let i = 0; i < 25; i += 1) {
          const [x_m, y_m] = [200 + ((i * 3571) % 6500), 200 + ((i * 1933) % 6500)];
          const here = coverAt(field, x_m, y_m);
          // Over the table the wind that it ends with goes on; here it grows.
          if (!here || here.altitude_m > TOP_M) continue;
          const way = wayFrom(field, x_m, y_m, here.altitude_m) ?? [];
          let now_m = here.altitude_m;
          for (let leg = 1; leg < way.length; leg += 1) {
            const [a, b] = [way[leg - 1], way[leg]];
            const length_m = Math.hypot(b.x_m - a.x_m, b.y_m - a.y_m);
            const [east, north] = [(b.x_m - a.x_m) / length_m, (b.y_m - a.y_m) / length_m];
            for (let done_m = 0; done_m < length_m;) {
              const step_m = Math.min(10, length_m - done_m);
              // The ratio half-way down the step.
              now_m -= step_m / ratio(east, north, now_m - step_m / 2 / ratio(east, north, now_m));
              done_m += step_m;
              // A way along the border of the grid is beyond it by the last bit.
              const column = clamp((a.x_m + east * done_m) / CELL_M, 0, SIZE - 1);
              const row = clamp((a.y_m + north * done_m) / CELL_M, 0, SIZE - 1);
              expect(now_m).toBeGreaterThan(floorAt_m(field.grid, column, row) - 5);
            }
          }
          expect(now_m).toBeGreaterThan(sites[here.site].altitude_m - 0.5);
        }
      }),
      { numRuns: 12 },
    );
  });

  it("another place never raises it, and higher ground never lowers it", () => {
    fc.assert(
      fc.property(hills, fc.nat(SIZE - 1), fc.nat(SIZE - 1), (of, column, row) => {
        const sites = onGround(of);
        const metric = metricOf(of);
        const terrain = terrainOf(of);
        const fewer = fieldOf(of, sites.slice(0, 1), metric, terrain);
        const more = fieldOf(of, sites, metric, terrain);
        const bump = (x: number, y: number) => 300 * Math.exp(-((x - column) ** 2 + (y - row) ** 2) / 50);
        const higher = fieldOf(of, sites, metric, terrainOf(of, bump));
        for (let cell = 0; cell < SIZE * SIZE; cell += 37) {
          // Clearance tapers about each place: where it does, a place more lowers the floor too.
          expect(most(more.altitude_m[cell])).toBeLessThan(most(fewer.altitude_m[cell]) + 5);
          expect(most(higher.altitude_m[cell])).toBeGreaterThan(most(more.altitude_m[cell]) - 5);
        }
      }),
      { numRuns: 6 },
    );
  });

  it("more wind from ahead never lowers it along a line to one place", () => {
    fc.assert(
      fc.property(hills, evenly(0, 5), (of, gust_mps) => {
        const [site] = onGround(of);
        const flat = terrainOf({ ...of, waves: [] });
        const low = { ...site, altitude_m: 300 };
        const calm = fieldOf(of, [low], metricOf(of), flat);
        const windy = fieldOf(of, [low], metricOf(of, gust_mps), flat);
        for (let cell = 0; cell < SIZE * SIZE; cell += 41)
          expect(most(windy.altitude_m[cell])).toBeGreaterThan(most(calm.altitude_m[cell]) - 0.05);
      }),
      { numRuns: 6 },
    );
  });

  it("a leg flown down and back up costs the same", () => {
    fc.assert(
      fc.property(hills, evenly(200, 3000), evenly(-15_000, 15_000), evenly(-15_000, 15_000), (of, end_m, dx, dy) => {
        const leg = new CoverLeg(metricOf(of));
        leg.set(end_m, dx, dy, true);
        const start_m = leg.altitude_m(1);
        const middle_m = leg.altitude_m(0.4);
        if (!Number.isFinite(start_m)) return;
        leg.set(start_m, dx, dy, false);
        expect(leg.altitude_m(1)).toBeCloseTo(end_m, 6);
        expect(leg.altitude_m(0.6)).toBeCloseTo(middle_m, 6);
      }),
      { numRuns: 25 },
    );
  });

  it("a leg is clear by the highest floors of blocks just where it is cell by cell", () => {
    const [inside, slope] = [evenly(0, SIZE - 1), evenly(0, 200)];
    let [clear, blocked] = [0, 0];
    fc.assert(
      fc.property(
        hills,
        fc.array(fc.tuple(inside, inside, inside, inside, slope), { minLength: 80, maxLength: 120 }),
        (of, legs) => {
          const grid = coverGrid(terrainOf(of), 60, []);
          const blocks = floorBlocks(grid);
          // Under these everything is looked at cell by cell.
          const none = { ...blocks, highest_m: blocks.highest_m.map(() => Infinity) };
          const leg = new CoverLeg(metricOf(of));
          for (const [x0, y0, x1, y1, over_m] of legs) {
            const [dx, dy] = [x1 - x0, y1 - y0];
            leg.set(floorAt_m(grid, x0, y0) + over_m, -dx * CELL_M, -dy * CELL_M, true);
            const seen = legClears({ grid, blocks: none }, leg, x0, y0, dx, dy);
            expect(legClears({ grid, blocks }, leg, x0, y0, dx, dy)).toBe(seen);
            if (seen) clear += 1;
            else blocked += 1;
          }
        },
      ),
      { numRuns: 12 },
    );
    expect(Math.min(clear, blocked)).toBeGreaterThan(10);
  });
});
