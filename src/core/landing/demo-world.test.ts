// The Tarn Reach is what its description says.
import { describe, expect, it } from "vitest";
import { DEMO_ORIGIN, demoPlaces, demoTerrain } from "../../../demo/read-demo";
import { geodesicBetween } from "../earth/geodesic";
import { magneticVariation } from "../earth/magnetic-variation";
import { degrees, wrapHalfTurn } from "../quantities/angle";
import { isAerodrome } from "../places/place";
import { landingEnds } from "./landing-end";

const places = demoPlaces();
const aerodromes = places.filter(isAerodrome);
const sites = places.filter((place) => !isAerodrome(place));

describe("the Tarn Reach", () => {
  it.each([
    ["Skerrow", "asphalt", 1150, 62],
    ["Cape Orrin", "asphalt", 2100, 118],
    ["Tolvane", "grass", 680, 410],
    ["Brannoc Strip", "gravel", 900, 1240],
    ["Mossgarth", "grass", 600, 35],
  ])("%s: %s, %i m, %i ft", (name, surface, length_m, elevation_ft) => {
    const aerodrome = aerodromes.find((candidate) => candidate.name === name);
    const [runway] = aerodrome?.runways ?? [];
    expect(runway.surface).toBe(surface);
    expect(geodesicBetween(runway.ends[0].threshold, runway.ends[1].threshold).distance_m).toBeCloseTo(length_m, -1);
    expect((aerodrome?.elevation_m ?? NaN) / 0.3048).toBeCloseTo(elevation_ft, 0);
  });

  it("has a helipad and a dozen surveyed sites", () => {
    expect(aerodromes.find((aerodrome) => aerodrome.name === "Lowen Pad")).toMatchObject({
      kind: "helipad",
      runways: [],
    });
    expect(sites).toHaveLength(12);
    expect(new Set(sites.map((site) => site.kind))).toEqual(new Set(["field", "beach"]));
  });

  it("notes say what the hazards and obstacles say", () => {
    for (const site of sites) {
      const { notes, hazards, name } = site;
      if (/power line|a line on/.test(notes)) expect(hazards, name).toContain("power-lines");
      if (/trees/.test(notes)) expect(hazards, name).toContain("trees");
      if (/walkers|path/.test(notes)) expect(hazards, name).toContain("people");
      if (/wall/.test(notes)) expect(hazards, name).toContain("wall");
      if (/Grazed/.test(notes)) expect(hazards, name).toContain("stock");
    }
  });

  it("ends carry what stands before them, and rise one way by what they fall the other", () => {
    const ends = landingEnds(places);
    expect(ends.find((end) => end.name === "Brannoc Strip 15")?.obstacle).toMatchObject({ name: "spur", height_m: 60 });
    expect(ends.filter((end) => end.obstacle !== null).length).toBeGreaterThan(8);
    for (const end of ends) {
      const other = ends.find(
        (candidate) => candidate.id.split(":")[0] === end.id.split(":")[0] && candidate.id !== end.id,
      );
      expect(end.slope, end.name).toBeCloseTo(-(other?.slope ?? NaN), 12);
      expect(end.unprepared || end.hazards.length === 0, end.name).toBe(true);
    }
    expect(ends.find((end) => end.name === "Mill Meadow north-east")?.slope).toBeGreaterThan(0);
  });

  it("numbers its runways by their magnetic direction, to ten degrees", () => {
    for (const end of landingEnds(aerodromes)) {
      const magnetic_rad =
        end.headingTrue_rad - magneticVariation(end.threshold, new Date(Date.UTC(2026, 10, 24))).variation_rad;
      const printed_rad = (Number(end.name.split(" ").at(-1)) * 10 * Math.PI) / 180;
      expect(Math.abs(degrees(wrapHalfTurn(magnetic_rad - printed_rad))), end.name).toBeLessThanOrEqual(5.5);
    }
  });

  it("is about 100 km square with a ridge of 1 900 m and sea round it", () => {
    const { columns, rows, cell_m, elevations_m, origin } = demoTerrain();
    expect(origin).toEqual(DEMO_ORIGIN);
    expect([columns * cell_m, rows * cell_m]).toEqual([100_100, 100_100]);
    const heights = Float32Array.from(elevations_m);
    const highest = heights.reduce((most, z) => Math.max(most, z), 0);
    expect(highest).toBeGreaterThan(1750);
    expect(highest).toBeLessThan(2050);
    const sea = heights.reduce((count, z) => count + (z === 0 ? 1 : 0), 0) / heights.length;
    expect(sea).toBeGreaterThan(0.4);
  });
});
