// Heights over the ground beside what the cover and the cursor say of the same points, and beside the glide's ratio.
import { describe, expect, it } from "vitest";
import { demoAircraft, demoPlaces, demoSituation, demoTerrain } from "../../../demo/read-demo";
import { HOLE_M, type TerrainGrid, elevationAt_m } from "../earth/terrain";
import { routeQuestion } from "./asked-route";
import { quarterTurn_m, routeField } from "./route-field";
import { type RouteHeights, heightsAsked, heightsLeft } from "./route-heights";

const terrain = demoTerrain();
const question = {
  ...routeQuestion(demoSituation(), demoAircraft("alder-s1"), demoPlaces()),
  wind: { surface: null, layers: [] },
};
const fieldOn = (ground: TerrainGrid | null) => {
  const field = routeField(question, ground, terrain.origin, "nominal");
  if (!field.ok) throw new Error(field.issue.message);
  return field.value;
};
const cover = fieldOn(terrain);
const [place] = cover.field.sites;
const at = ({ grid, height_m }: RouteHeights, x_m: number, y_m: number) =>
  height_m[
    Math.round((y_m - grid.south_m) / grid.cell_m) * grid.columns + Math.round((x_m - grid.west_m) / grid.cell_m)
  ];
const left = (altitude_m: number, x_m = place.x_m, y_m = place.y_m, of = cover) => {
  const heights = heightsLeft(question, of, { x_m, y_m, altitude_m });
  if (!heights.ok) throw new Error(heights.issue.message);
  return heights.value;
};
const finite = ({ height_m }: RouteHeights) => height_m.filter(Number.isFinite).length;

describe("heights that a place asks for", () => {
  const asked = heightsAsked(question, cover);

  it("are the cover over the ground, reaction and a quarter of a turn besides", () => {
    const { grid, altitude_m } = cover.field;
    const turn_m = quarterTurn_m(question, cover, question.route.altitude_m);
    expect(turn_m).toBeGreaterThan(20);
    for (let cell = 0; cell < altitude_m.length; cell += 7919) {
      const [x_m, y_m] = [
        grid.west_m + (cell % grid.columns) * grid.cell_m,
        grid.south_m + Math.floor(cell / grid.columns) * grid.cell_m,
      ];
      const ground_m = elevationAt_m(terrain, x_m, y_m) ?? NaN;
      expect(asked.height_m[cell]).toBeCloseTo(altitude_m[cell] + turn_m - ground_m, 1);
    }
  });

  it("overhead are what is wanted there, and rise with the ratio over level ground", () => {
    const flat = fieldOn(null);
    const over = heightsAsked(question, flat);
    const [site] = flat.field.sites;
    const turn_m = quarterTurn_m(question, flat, question.route.altitude_m);
    const { overhead_m } = question.route;
    expect(at(over, site.x_m, site.y_m)).toBeLessThan(
      site.altitude_m - flat.ground.elevations_m[0] + turn_m + flat.ground.cell_m / 9,
    );
    expect(Math.min(...over.height_m.filter((_, cell) => cell % 11 === 0))).toBeGreaterThan(
      overhead_m + question.plan.reserve_m + turn_m - 1,
    );
  });

  it("over a hole of the ground nothing is said", () => {
    const holed = { ...terrain, elevations_m: terrain.elevations_m.slice() };
    holed.elevations_m[500 * terrain.columns + 500] = HOLE_M;
    expect(heightsAsked(question, fieldOn(holed)).height_m[500 * terrain.columns + 500]).toBeNaN();
  });
});

describe("heights that a glide leaves", () => {
  it("are those of the point there, less reaction and turn, and less the farther it goes", () => {
    const [x_m, y_m] = [place.x_m, place.y_m];
    const ground_m = elevationAt_m(terrain, x_m, y_m) ?? NaN;
    const heights = left(3000);
    const here = 3000 - quarterTurn_m(question, cover, 3000) - ground_m;
    // The nearest cell is some metres off.
    expect(Math.abs(at(heights, x_m, y_m) - here)).toBeLessThan(30);
    const sea = Array.from({ length: 12 }, (_, i) => [x_m + 500 * i * Math.cos(i), y_m + 500 * i * Math.sin(i)]);
    for (const [x, y] of sea) {
      const over = (elevationAt_m(terrain, x, y) ?? NaN) + at(heights, x, y);
      const length_m = Math.hypot(x - x_m, y - y_m);
      // In still air at the best ratio, or a little less where it has to go round.
      if (Number.isFinite(over)) expect(over).toBeLessThan(ground_m + here - length_m / cover.glide.ratio + 40);
    }
  });

  it("reach a place where its asked height is there, and farther from higher up", () => {
    const asked = heightsAsked(question, cover);
    const [x_m, y_m] = [place.x_m + 6000, place.y_m + 1000];
    const needed_m = at(asked, x_m, y_m) + (elevationAt_m(terrain, x_m, y_m) ?? NaN);
    const arrivals = [20, -60].map((spare_m) => {
      const heights = left(needed_m + spare_m, x_m, y_m);
      return Math.max(
        ...cover.field.sites.map((site) => at(heights, site.x_m, site.y_m) + groundAt(site) - site.altitude_m),
      );
    });
    expect(arrivals[0]).toBeGreaterThan(-15);
    expect(arrivals[1]).toBeLessThan(0);
    expect(finite(left(2500))).toBeGreaterThan(finite(left(1500)));
  });

  it("below the clearance wanted it glides all the same; nothing comes under the ground", () => {
    const ground_m = groundAt(place);
    const low = left(ground_m + 150);
    expect(finite(low)).toBeGreaterThan(10);
    expect(finite(low)).toBeLessThan(finite(left(ground_m + 600)));
    expect(Math.min(...low.height_m.filter(Number.isFinite))).toBeGreaterThan(-1);
  });

  it("outside the ground that is known there is no glide", () => {
    expect(finite(left(2000, 1e6, 1e6))).toBe(0);
  });
});

function groundAt({ x_m, y_m }: { readonly x_m: number; readonly y_m: number }): number {
  return elevationAt_m(terrain, x_m, y_m) ?? NaN;
}
