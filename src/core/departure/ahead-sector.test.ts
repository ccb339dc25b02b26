import { describe, expect, it } from "vitest";
import { demoDeparture } from "../../../demo/demo-departure";
import { localPlane } from "../earth/local-plane";
import type { TerrainGrid } from "../earth/terrain";
import { bestGlide } from "../glide/straight-glide";
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
});
