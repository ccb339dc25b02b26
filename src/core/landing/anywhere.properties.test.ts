// One geometry, anywhere on the Earth: the same answer.
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { DEMO_ORIGIN, demoAircraft, demoPlaces, demoSituation } from "../../../demo/read-demo";
import { type LatLon, destination, geodesicBetween } from "../earth/geodesic";
import { localPlane } from "../earth/local-plane";
import { type TerrainGrid, elevationAt_m } from "../earth/terrain";
import { terrainAbout } from "../earth/terrain-about";
import { PLANE_REACH_M, planeOrigin } from "../earth/working-plane";
import { M_PER_FT } from "../quantities/constants";
import { aimPoint_m, landingEnds } from "./landing-end";
import { reachOf } from "./reach";
import { reachQuestion } from "./reach-question";

const [END] = landingEnds(demoPlaces());
const QUESTION = reachQuestion(demoSituation(), demoAircraft("alder-s1"), []);
/** Glides of some kilometres in wind that changes with height. */
const WIND = {
  surface: { from_rad: 0.6, speed_mps: 9 },
  layers: [{ altitude_m: 2000, from_rad: 1.4, speed_mps: 16 }],
};

interface Geometry {
  readonly bearing_rad: number;
  readonly away_m: number;
  readonly runway_rad: number;
  readonly heading_rad: number;
}

/** What is left on arriving at a runway that lies so and so from a place, in a plane about an origin. */
function margin(position: LatLon, origin: LatLon, geometry: Geometry): number {
  const threshold = destination(position, geometry.bearing_rad, geometry.away_m);
  // Directions at the runway are those that an observer there would give, whatever the meridians do on the way.
  const line = geodesicBetween(position, threshold);
  const turned = line.azimuthEnd_rad - line.azimuthStart_rad;
  const headingTrue_rad = geometry.runway_rad + turned;
  const end = {
    ...END,
    threshold,
    headingTrue_rad,
    length_m: 900,
    aim: destination(threshold, headingTrue_rad, aimPoint_m(900)),
    elevation_m: 50,
  };
  const reach = reachOf(
    {
      ...QUESTION,
      position,
      altitude_m: 1500,
      headingTrue_rad: geometry.heading_rad,
      wind: WIND,
      ends: [{ ...end, headingTrue_rad: ((headingTrue_rad % (2 * Math.PI)) + 2 * Math.PI) % (2 * Math.PI) }],
    },
    null,
    origin,
  );
  if (!reach.ok) throw new Error(reach.issue.message);
  return reach.value.ends[0].path?.margin_m ?? NaN;
}

const geometries = fc.record({
  bearing_rad: fc.integer({ min: 0, max: 628 }).map((value) => value / 100),
  away_m: fc.integer({ min: 2000, max: 12_000 }),
  runway_rad: fc.integer({ min: 0, max: 628 }).map((value) => value / 100),
  heading_rad: fc.integer({ min: 0, max: 628 }).map((value) => value / 100),
});
const origins = fc.oneof(
  fc.record({
    latitude_deg: fc.integer({ min: -900, max: 900 }).map((value) => value / 10),
    longitude_deg: fc.integer({ min: -1800, max: 1800 }).map((value) => value / 10),
  }),
  fc.constantFrom(
    { latitude_deg: 90, longitude_deg: 0 },
    { latitude_deg: -90, longitude_deg: 45 },
    { latitude_deg: 89.99, longitude_deg: 180 },
    { latitude_deg: 0, longitude_deg: 180 },
    { latitude_deg: -17, longitude_deg: -179.99 },
    { latitude_deg: 47, longitude_deg: 179.99 },
  ),
);

describe("one geometry over the globe (property)", () => {
  it("leaves the same height within a foot, up to 100 km from the origin of the plane", () => {
    fc.assert(
      fc.property(
        origins,
        fc.integer({ min: 0, max: 628 }),
        fc.integer({ min: 0, max: PLANE_REACH_M }),
        geometries,
        (origin, hundredths, off_m, geometry) => {
          const there = destination(origin, hundredths / 100, off_m);
          // At a pole every direction is south: a place a metre beside it has a north.
          const position = Math.abs(there.latitude_deg) > 89.9999 ? destination(origin, 0, 20) : there;
          const reference = margin(position, position, geometry);
          expect(reference).not.toBeNaN();
          expect(Math.abs(margin(position, origin, geometry) - reference) / M_PER_FT).toBeLessThan(1);
        },
      ),
      { numRuns: 120, seed: 74 },
    );
  });

  it("the plane that is chosen always serves the place", () => {
    fc.assert(
      fc.property(origins, origins, fc.boolean(), (position, terrain, near) => {
        const ground = near ? destination(position, 1, 60_000) : terrain;
        const chosen = planeOrigin(position, ground);
        expect(geodesicBetween(chosen, position).distance_m).toBeLessThanOrEqual(PLANE_REACH_M);
        if (near) expect(chosen).toBe(ground);
        expect(planeOrigin(position, null).latitude_deg).toBeLessThanOrEqual(90);
      }),
      { numRuns: 200, seed: 75 },
    );
  });
});

describe("terrain of another plane", () => {
  /** Ground whose height says where it lies: a metre for each kilometre east and ten for each north. */
  const wide: TerrainGrid = (() => {
    const [columns, rows, cell_m] = [801, 401, 1000];
    return {
      origin: DEMO_ORIGIN,
      west_m: -400_000,
      south_m: -200_000,
      cell_m,
      columns,
      rows,
      elevations_m: Float32Array.from(
        { length: columns * rows },
        (_, i) => (i % columns) + 10 * Math.floor(i / columns),
      ),
    };
  })();
  const own = localPlane(DEMO_ORIGIN);
  const heightAt = (grid: TerrainGrid, place: LatLon) => {
    const at = localPlane(grid.origin).toPlane(place);
    return elevationAt_m(grid, at.x_m, at.y_m);
  };

  it("stays as it is near its origin, and is laid about the place farther out", () => {
    expect(terrainAbout(wide, destination(DEMO_ORIGIN, 1, 99_000))).toBe(wide);
    const place = own.toLatLon({ x_m: 250_000, y_m: 60_000 });
    const laid = terrainAbout(wide, place);
    if (!laid) throw new Error("no ground");
    expect(geodesicBetween(laid.origin, place).distance_m).toBeLessThan(50_000);
    for (const [east_m, north_m] of [
      [0, 0],
      [-80_000, 30_000],
      [70_000, -90_000],
    ]) {
      const there = own.toLatLon({ x_m: 250_000 + east_m, y_m: 60_000 + north_m });
      expect(heightAt(laid, there)).toBeCloseTo(heightAt(wide, there) ?? NaN, 0);
    }
  });

  it("knows nothing beyond the edge, and is not there at all far away", () => {
    const edge = own.toLatLon({ x_m: 390_000, y_m: 0 });
    const laid = terrainAbout(wide, edge);
    if (!laid) throw new Error("no ground");
    expect(heightAt(laid, own.toLatLon({ x_m: 398_000, y_m: 0 }))).not.toBeNull();
    expect(heightAt(laid, own.toLatLon({ x_m: 402_000, y_m: 0 }))).toBeNull();
    expect(terrainAbout(wide, { latitude_deg: 40, longitude_deg: 10 })).toBeNull();
  });
});
