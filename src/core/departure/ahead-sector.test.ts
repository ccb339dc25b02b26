import { describe, expect, it } from "vitest";
import { demoDeparture } from "../../../demo/demo-departure";
import { localPlane } from "../earth/local-plane";
import type { TerrainGrid } from "../earth/terrain";
import { airSample, readAir } from "../flight/air-column";
import { glidingTurn } from "../glide/gliding-turn";
import { bestGlide, liftCoefficientAt, straightGlide } from "../glide/straight-glide";
import { brakingOn, landingRoll } from "../landing/landing-roll";
import { radians } from "../quantities/angle";
import { aheadOption, aheadSector } from "./ahead-sector";
import { failureStart } from "./failure-start";
import { runwayFrame } from "./runway-frame";

const { day, question } = demoDeparture({ mass_kg: 1000, plain: { length_m: 1000, headwind_kt: 0 } });
const plane = localPlane(question.runway.threshold);
const frame = runwayFrame(question.runway, plane);
const CELL = 100;

/** Ground by its place in the runway's frame. */
function ground(elevation: (x: number, y: number) => number): TerrainGrid {
  const size = 161;
  const elevations_m = new Float32Array(size * size);
  const [ahead, right] = [frame(1, 0), frame(0, 1)];
  const origin = frame(0, 0);
  const [ux, uy, vx, vy] = [
    ahead.x_m - origin.x_m,
    ahead.y_m - origin.y_m,
    right.x_m - origin.x_m,
    right.y_m - origin.y_m,
  ];
  for (let row = 0; row < size; row += 1) {
    for (let column = 0; column < size; column += 1) {
      const [x, y] = [-8000 + column * CELL - origin.x_m, -8000 + row * CELL - origin.y_m];
      elevations_m[row * size + column] = elevation(x * ux + y * uy, x * vx + y * vy);
    }
  }
  return {
    origin: question.runway.threshold,
    west_m: -8000,
    south_m: -8000,
    cell_m: CELL,
    columns: size,
    rows: size,
    elevations_m,
  };
}
const look = (terrain: TerrainGrid | null, height_m = 200) => {
  const start = failureStart(day, height_m, "hands-off", 4);
  if (!start) throw new Error("no climb");
  return { start, sector: aheadSector(day, start, 0, terrain, frame) };
};
/** Where the pilot begins to act after a failure at 200 m. */
const startX = look(null).start.acting.x_m;

describe("ahead within 30°", () => {
  it("glides as far as height times ratio in still air", () => {
    const { start, sector } = look(null);
    expect(sector.reach_m / start.acting.height_m).toBeCloseTo(bestGlide(day.polar).ratio, 1);
    expect(sector).toMatchObject({ spot: null, water: null });
    expect(aheadOption(sector)).toMatchObject({
      score_m: null,
      note: "no terrain is known: what lies ahead has to be looked at",
    });
  });

  it("finds level ground in reach, no nearer than the steep descent and long enough", () => {
    const { start, sector } = look(ground(() => 5));
    const { spot } = sector;
    if (!spot) throw new Error("no spot");
    const away = Math.hypot(spot.x_m - start.acting.x_m, spot.y_m - start.acting.y_m);
    expect(away).toBeLessThan(sector.reach_m);
    expect(away).toBeGreaterThan(2 * start.acting.height_m);
    expect(Math.abs(spot.track_rad - start.acting.psi_rad)).toBeLessThanOrEqual(Math.PI / 6 + 1e-9);
    expect(spot.spare_m).toBeGreaterThan(0);
    expect(sector.water).toBe(0);
  });

  it("turns to the land when there is sea straight ahead", () => {
    const { start, sector } = look(ground((_x, y) => (y > 300 ? 10 : 0)));
    expect(sector.spot?.y_m).toBeGreaterThan(250);
    expect(sector.spot?.track_rad).toBeGreaterThan(start.acting.psi_rad);
    expect(sector.water).toBeGreaterThan(0.3);
  });

  it.each([
    ["the sea", () => 0, "mostly water in reach: a ditching"],
    ["a slope of one in ten", (x: number) => 20 + Math.abs(x) / 10, "no level ground of the length needed"],
    ["furrows", (x: number) => 20 + 15 * (Math.round(x / CELL) % 2), "no level ground of the length needed"],
  ])("%s is no place", (_name, elevation, note) => {
    const { sector } = look(ground(elevation));
    expect(sector.spot).toBeNull();
    expect(aheadOption(sector)).toMatchObject({ score_m: -1, note });
  });

  it("a hill ahead leaves less height over it", () => {
    const [flat, raised] = [look(ground(() => 5)).sector.spot, look(ground(() => 40)).sector.spot];
    expect(raised?.margin_m ?? -1).toBeLessThan(flat?.margin_m ?? 0);
  });

  it("by hand: straight ahead, as near as the steep descent comes down, its margin by the share of the glide", () => {
    const { start, sector } = look(ground(() => 5));
    const { acting } = start;
    const air = readAir(day.air, 3, airSample());
    const roll = landingRoll(day.landing, air.density, 0, brakingOn("grass"));
    const nearest = Math.ceil(((acting.height_m - 5) * roll.steepRatio) / 50) * 50;
    const margin = acting.height_m * (1 - nearest / sector.reach_m) - 5;
    // So much is level behind it that 600 m of spare ground bind: a tenth of them is more than the height, or less.
    expect(sector.spot).toEqual({
      x_m: expect.closeTo(acting.x_m + nearest, 3),
      y_m: expect.closeTo(acting.y_m, 3),
      track_rad: expect.closeTo(acting.psi_rad, 9),
      margin_m: expect.closeTo(margin, 2),
      spare_m: expect.closeTo(1200 - roll.flare_m - roll.roll_m, 3),
      score_m: expect.closeTo(Math.min(margin, 60), 2),
    });
  });

  it("by hand: heights are over the runway's level", () => {
    const start = failureStart(day, 200, "hands-off", 4);
    if (!start) throw new Error("no climb");
    const high = aheadSector(
      day,
      start,
      300,
      ground(() => 305),
      frame,
    );
    const low = look(ground(() => 5)).sector;
    expect(high.spot?.margin_m).toBeCloseTo(low.spot?.margin_m ?? NaN, 6);
    expect(high.reach_m).toBe(low.reach_m);
  });

  it("by hand: turning to a strip of land costs height for each radian", () => {
    // Land lies only where 25 to 35° to the right of the nose leads.
    const { start, sector } = look(
      ground((x, y) => {
        const angle = Math.atan2(y, x - startX);
        return angle > radians(22) && angle < radians(40) ? 5 : 0;
      }),
    );
    const { acting } = start;
    const density = readAir(day.air, acting.height_m, airSample()).density;
    const cl = liftCoefficientAt(day.polar, day.best_mps, Math.PI / 6) ?? NaN;
    const loss = glidingTurn(day.polar, cl, Math.PI / 6, density).heightPerRadian_m;
    const { spot } = sector;
    if (!spot) throw new Error("no spot");
    const turn = spot.track_rad - acting.psi_rad;
    expect([25, 30].map(radians)).toContainEqual(expect.closeTo(turn, 9));
    const away = Math.hypot(spot.x_m - acting.x_m, spot.y_m - acting.y_m);
    expect(Math.atan2(spot.y_m - acting.y_m, spot.x_m - acting.x_m)).toBeCloseTo(spot.track_rad, 9);
    const height = acting.height_m - turn * loss;
    const reach = sector.reach_m * (height / acting.height_m);
    // The air is denser lower down: two metres.
    expect(Math.abs(spot.margin_m - (height * (1 - away / reach) - 5))).toBeLessThan(2);
  });

  it("by hand: a headwind shortens the reach by its share, and is behind on the way to the side", () => {
    const windy = demoDeparture({ mass_kg: 1000, plain: { length_m: 1000, headwind_kt: 15, crosswind_kt: 20 } });
    const start = failureStart(windy.day, 200, "hands-off", 4);
    if (!start) throw new Error("no climb");
    const { reach_m } = aheadSector(windy.day, start, 0, null, frame);
    const { acting } = start;
    const cl = liftCoefficientAt(windy.day.polar, windy.day.best_mps) ?? NaN;
    const glide = straightGlide(windy.day.polar, cl);
    let sum = 0;
    for (let h = 0.5; h < acting.height_m; h += 1) {
      const air = readAir(windy.day.air, h, airSample());
      const root = Math.sqrt(1.225 / air.density);
      const [cos, sin] = [Math.cos(acting.psi_rad), Math.sin(acting.psi_rad)];
      const along = air.along_mps * cos + air.across_mps * sin;
      const across = air.across_mps * cos - air.along_mps * sin;
      const speed = Math.sqrt((glide.eas_mps * Math.cos(glide.angle_rad) * root) ** 2 - across ** 2) + along;
      sum += speed / (glide.sinkEas_mps * root);
    }
    expect(Math.abs(reach_m - sum)).toBeLessThan(0.01 * sum);
    expect(reach_m).toBeLessThan(0.75 * (200 * bestGlide(windy.day.polar).ratio));
  });

  it("by hand: ground may rise three metres in fifty, water is what lies no higher than a metre", () => {
    const slope = (share: number) => look(ground((x) => 20 + Math.max(0, x) * share)).sector.spot;
    expect(slope(0.055)).not.toBeNull();
    expect(slope(0.075)).toBeNull();
    expect(look(ground(() => 1.01)).sector).toMatchObject({ water: 0, spot: { margin_m: expect.any(Number) } });
    expect(look(ground(() => 1)).sector).toMatchObject({ water: 1, spot: null });
    // Half the ground in reach: the straight way is wet from 1,200 m on.
    const { start, sector } = look(ground((x) => (x > startX + 1200 ? -5 : 5)));
    expect(sector.water).toBeGreaterThan(0.25);
    expect(sector.water).toBeLessThan(1 - 1200 / sector.reach_m);
    expect(start.acting.x_m).toBeCloseTo(startX, 6);
  });

  it("by hand: a clearing that is too short is none, and spare ground is what is left of it", () => {
    const clearing = (length: number) =>
      look(ground((x) => (x > startX + 1000 && x < startX + 1000 + length ? 5 : 0))).sector;
    const density = readAir(day.air, 3, airSample()).density;
    const roll = landingRoll(day.landing, density, 0, brakingOn("grass"));
    const need = roll.flare_m + roll.roll_m;
    expect(clearing(need - 150).spot).toBeNull();
    const spare = clearing(need + 400).spot?.spare_m ?? NaN;
    expect(spare).toBeGreaterThan(200);
    expect(spare).toBeLessThan(500);
  });

  it.each([
    [{ reach_m: 900, spot: null, water: 0.5 }, -1, "no level ground of the length needed"],
    [{ reach_m: 900, spot: null, water: 0.51 }, -1, "mostly water in reach: a ditching"],
    [
      { reach_m: 900, water: 0.9, spot: { x_m: 1, y_m: 2, track_rad: 0, margin_m: 30, spare_m: 80, score_m: 8 } },
      8,
      "level ground by the terrain alone: trees, fences and people are not known",
    ],
  ])("option %#", (sector, score_m, note) => {
    expect(aheadOption(sector)).toEqual({
      id: "ahead",
      kind: "ahead",
      name: "Ahead, within 30°",
      score_m,
      margin_m: sector.spot?.margin_m ?? null,
      spare_m: sector.spot?.spare_m ?? null,
      note,
    });
  });
});
