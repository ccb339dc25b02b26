import { isAerodrome } from "../places/place";
import { XMLParser } from "fast-xml-parser";
import { beforeAll, describe, expect, it } from "vitest";
import { DEMO_ORIGIN, demoAircraft, demoPlaces, demoSituation, demoTerrain } from "../../../demo/read-demo";

import { destination, geodesicBetween } from "../earth/geodesic";
import { localPlane } from "../earth/local-plane";
import { type TerrainGrid, elevationAt_m } from "../earth/terrain";
import { degrees } from "../quantities/angle";
import { landingEnds } from "./landing-end";
import { pathGeoJson } from "./path-geojson";
import { pathGpx } from "./path-gpx";
import { type Reach, reachOf } from "./reach";
import { type ReachQuestion, reachQuestion } from "./reach-question";
import { reachWorking } from "./reach-working";

const alder = demoAircraft("alder-s1");
const places = demoPlaces();
const aerodromes = places.filter(isAerodrome);
const sites = places.filter((place) => !isAerodrome(place));
const ends = landingEnds(places);
const QUESTION = reachQuestion(demoSituation(), alder, ends);
let terrain: TerrainGrid;
beforeAll(() => {
  terrain = demoTerrain();
});

function reach(change: Partial<ReachQuestion> = {}, ground: TerrainGrid | null = terrain): Reach {
  const found = reachOf({ ...QUESTION, ...change }, ground);
  if (!found.ok) throw new Error(found.issue.message);
  return found.value;
}

const endOf = (found: Reach, name: string) => {
  const end = found.ends.find((candidate) => candidate.name === name);
  if (!end) throw new Error(`no end ${name}`);
  return end;
};

describe("landing ends", () => {
  it("come from both ends of every strip, with the direction from threshold to threshold", () => {
    expect(ends).toHaveLength(
      2 * (aerodromes.reduce((sum, aerodrome) => sum + aerodrome.runways.length, 0) + sites.length),
    );
    const skerrow = ends.find((end) => end.name === "Skerrow 11");
    expect(skerrow).toMatchObject({ unprepared: false, surface: "asphalt" });
    expect(skerrow?.length_m).toBeCloseTo(1150, -1);
    // The designator is magnetic: variation here is about 28° east.
    expect(degrees(skerrow?.headingTrue_rad ?? 0)).toBeCloseTo(138, 0);
    // Aimed into the strip, at most 200 m.
    expect(geodesicBetween(skerrow?.threshold ?? DEMO_ORIGIN, skerrow?.aim ?? DEMO_ORIGIN).distance_m).toBeCloseTo(
      200,
      3,
    );
  });

  it("stand on level ground", () => {
    const plane = localPlane(DEMO_ORIGIN);
    for (const end of ends) {
      const at = plane.toPlane(end.aim);
      expect(Math.abs((elevationAt_m(terrain, at.x_m, at.y_m) ?? NaN) - end.elevation_m), end.name).toBeLessThan(2);
    }
  });
});

describe("reach", () => {
  it("lists what is in reach first, by the height left, with the direction and distance of each", () => {
    const found = reach();
    const reached = found.ends.filter((end) => end.status === "reached");
    expect(found.ends.slice(0, reached.length)).toEqual(reached);
    const margins = reached.map((end) => end.path?.margin_m ?? NaN);
    expect(margins).toEqual([...margins].sort((a, b) => b - a));
    for (const { bearingTrue_rad, distance_m, endId } of found.ends) {
      const aim = ends.find((end) => end.id === endId)?.aim ?? QUESTION.position;
      const there = destination(QUESTION.position, bearingTrue_rad, distance_m);
      expect([there.latitude_deg, there.longitude_deg]).toEqual([
        expect.closeTo(aim.latitude_deg, 9),
        expect.closeTo(aim.longitude_deg, 9),
      ]);
    }
  });

  it("gains what is gained in height when the air and wind are the same up there", () => {
    const calm = { wind: { surface: null, layers: [] } };
    const low = endOf(reach(calm), "Skerrow 11").path?.margin_m ?? NaN;
    const high = endOf(reach({ ...calm, altitude_m: QUESTION.altitude_m + 100 }), "Skerrow 11").path?.margin_m ?? NaN;
    // Turns are wider in thinner air: a metre or two of the hundred.
    expect(high - low).toBeGreaterThan(97);
    expect(high - low).toBeLessThan(101);
  });

  it("head and crosswind belong to the landing direction: 250° at 14 kt on a runway of 138° true", () => {
    const end = endOf(reach(), "Skerrow 11");
    expect(end.tailwind_mps).toBeCloseTo(-7.2 * Math.cos((112 * Math.PI) / 180), 0);
    expect(end.crosswind_mps).toBeCloseTo(7.2 * Math.sin((112 * Math.PI) / 180), 0);
    expect(endOf(reach(), "Skerrow 29").tailwind_mps).toBeCloseTo(-end.tailwind_mps, 1);
  });

  it("spends the reserve before it says short", () => {
    const spare = endOf(reach({}, null), "Skerrow 29").path?.margin_m ?? NaN;
    const altitude_m = QUESTION.altitude_m - spare - 30;
    expect(endOf(reach({ altitude_m }, null), "Skerrow 29").status).toBe("reserve");
    expect(endOf(reach({ altitude_m: altitude_m - 60 }, null), "Skerrow 29").status).toBe("short");
  });

  it("finds ground in the way, and takes another way round when one is clear", () => {
    // A wall of 2,000 m across the straight line from the aircraft to Skerrow.
    const wall = { ...terrain, elevations_m: Float32Array.from(terrain.elevations_m) };
    const plane = localPlane(DEMO_ORIGIN);
    const from = plane.toPlane(QUESTION.position);
    const to = plane.toPlane(ends.find((end) => end.name === "Skerrow 11")?.aim ?? DEMO_ORIGIN);
    const middle = { x: (from.x_m + to.x_m) / 2, y: (from.y_m + to.y_m) / 2 };
    for (let row = 0; row < wall.rows; row += 1) {
      for (let column = 0; column < wall.columns; column += 1) {
        const x = wall.west_m + column * wall.cell_m - middle.x;
        const y = wall.south_m + row * wall.cell_m - middle.y;
        if (Math.hypot(x, y) < 300) wall.elevations_m[row * wall.columns + column] = 2000;
      }
    }
    const end = endOf(reach({}, wall), "Skerrow 11");
    expect(end.status).toBe("terrain");
    expect(end.clearance?.least_m ?? 0).toBeLessThan(-1000);
    expect(endOf(reach(), "Skerrow 11").clearance?.least_m ?? -1).toBeGreaterThan(0);
  });

  it("flying the wind-corrected speed never leaves less over a long straight into wind", () => {
    const far = {
      altitude_m: 1800,
      heading_rad: 4.4,
      wind: { surface: { from_rad: 4.36, speed_mps: 11 }, layers: [] },
      position: localPlane(DEMO_ORIGIN).toLatLon({ x_m: 16_000, y_m: -14_000 }),
    };
    const book = endOf(reach(far, null), "Skerrow 29").path?.margin_m ?? NaN;
    const corrected =
      endOf(reach({ ...far, plan: { ...QUESTION.plan, glideSpeed: "wind" } }, null), "Skerrow 29").path?.margin_m ??
      NaN;
    expect(corrected).toBeGreaterThan(book + 10);
  });

  it("says what is wrong instead of guessing", () => {
    const found = reachOf({ ...QUESTION, aircraft: { ...QUESTION.aircraft, polar: null } }, null);
    expect(found.ok ? "" : found.issue.code).toBe("no_polar");
    const doubled = { altitude_m: 900, from_rad: 1, speed_mps: 5 };
    const layers = reachOf({ ...QUESTION, wind: { surface: null, layers: [doubled, doubled] } }, null);
    expect(layers.ok ? "" : layers.issue.code).toBe("layers_repeat");
    const storm = reach({ wind: { surface: { from_rad: 2.4, speed_mps: 60 }, layers: [] } });
    expect(storm.ends.every((end) => end.status === "none" && end.issue !== null)).toBe(true);
  });

  it("shows the whole account in its working, and every number is a number", () => {
    const found = reach();
    for (const end of found.ends) {
      const steps = reachWorking(QUESTION, found, end);
      expect(
        steps.every((step) => typeof step.value === "string" || Number.isFinite(step.value)),
        end.name,
      ).toBe(true);
    }
    const end = endOf(found, "Skerrow 11");
    const steps = reachWorking(QUESTION, found, end).filter((step) => step.figure === "margin");
    const value = (symbol: string) => Number(steps.find((step) => step.symbol === symbol)?.value);
    const spent = steps.filter((step) => step.symbol === "−").reduce((sum, step) => sum + Number(step.value), 0);
    expect(value("have") - spent).toBeCloseTo(value("left"), 6);
    // Each ledger entry has lines of its own.
    const figures = new Set(reachWorking(QUESTION, found, end).map((step) => step.figure));
    for (const entry of end.path?.ledger ?? []) expect(figures).toContain(entry.name);
  });
});

describe("a path leaves", () => {
  it("as GeoJSON whose lines join and end at the aim point (RFC 7946)", () => {
    const end = endOf(reach(), "Skerrow 11");
    const { features } = pathGeoJson(end, DEMO_ORIGIN);
    expect(features.map((feature) => feature.properties.part)).toEqual([
      "Reaction",
      "Turn 1",
      "Straight",
      "Turn 2",
      "Final",
    ]);
    features
      .slice(1)
      .forEach((feature, i) =>
        expect(feature.geometry.coordinates[0]).toEqual(features[i].geometry.coordinates.at(-1)),
      );
    const [longitude_deg = 0, latitude_deg = 0] = features.at(-1)?.geometry.coordinates.at(-1) ?? [];
    const aim = ends.find((candidate) => candidate.name === "Skerrow 11")?.aim ?? DEMO_ORIGIN;
    expect(geodesicBetween(aim, { latitude_deg, longitude_deg }).distance_m).toBeLessThan(1);
  });

  it("as a GPX 1.1 track with heights and times that go on", () => {
    const end = endOf(reach(), "Skerrow 11");
    const start = new Date("2026-11-24T12:00:00Z");
    const { gpx } = new XMLParser({ ignoreAttributes: false }).parse(pathGpx(end, DEMO_ORIGIN, start));
    expect(gpx["@_xmlns"]).toBe("http://www.topografix.com/GPX/1/1");
    const points: { ele: number; time: string }[] = gpx.trk.trkseg.trkpt;
    expect(points[0]).toMatchObject({ ele: 701, time: start.toISOString() });
    expect(Date.parse(points.at(-1)?.time ?? "") - start.getTime()).toBeCloseTo((end.path?.time_s ?? 0) * 1000, -3);
    expect(points.every((point, i) => i === 0 || point.ele <= points[i - 1].ele)).toBe(true);
  });
});
