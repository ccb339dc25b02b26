import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { geodesicBetween } from "../earth/geodesic";
import { magneticVariation } from "../earth/magnetic-variation";
import { degrees, wrapHalfTurn } from "../quantities/angle";
import { type Aerodrome, isAerodrome, stripsOf } from "./place";
import { guessColumns, guessUnits, placesOfTable } from "./place-table";
import { stripLine } from "./strip-line";

const DAY = new Date(Date.UTC(2026, 10, 24));
let ids = 0;
const reading = (units: { elevation: "m" | "ft"; length: "m" | "ft" } = { elevation: "m", length: "m" }) => ({
  newId: () => `id-${(ids += 1)}`,
  day: DAY,
  units,
});
function table(text: string, units = reading().units) {
  const [header, ...rows] = text.split("\n").map((line) => line.split("|").map((cell) => cell.trim()));
  return placesOfTable(rows, guessColumns(header), reading(units));
}
const only = (text: string, units = reading().units) => {
  const { places, faults } = table(text, units);
  expect(faults).toEqual([]);
  expect(places).toHaveLength(1);
  return places[0].place;
};

describe("columns are known by their names", () => {
  it.each([
    [
      "Name,Lat,Lon,Elev (ft),RWY,Length [m],Surface",
      { name: 0, latitude: 1, longitude: 2, elevation: 3, runway: 4, length: 5, surface: 6 },
    ],
    ["ident;x", { name: 0, longitude: 1 }],
    [
      "name,latitude_deg,longitude_deg,elevation_m,direction_true,length_m,width_m,remarks",
      { name: 0, latitude: 1, longitude: 2, elevation: 3, direction: 4, length: 5, width: 6, notes: 7 },
    ],
    ["Platz,Breite,Länge,Höhe,Richtung", { name: 0, latitude: 1, longitude: 2, elevation: 3, direction: 4 }],
    ["lat1,lon1,lat2,lon2,colour", { latitude1: 0, longitude1: 1, latitude2: 2, longitude2: 3 }],
  ])("%s", (header, columns) => {
    expect(guessColumns(header.split(/[,;]/))).toEqual(columns);
  });

  it("units are said beside a name or are metres", () => {
    const header = ["name", "elevation_ft", "length (m)"];
    expect(guessUnits(header, guessColumns(header))).toEqual({ elevation: "ft", length: "m" });
    expect(guessUnits(["left", "lift"], {})).toEqual({ elevation: "m", length: "m" });
  });
});

describe("places from rows", () => {
  it("a runway of a number and a length lies about the position, in its magnetic direction", () => {
    const place = only(
      "name|lat|lon|elev|rwy|length|width|surface|notes\nHome|47.5|8.25|432|9/27|800|25|Grass|by the river",
    ) as Aerodrome;
    const [runway] = place.runways;
    const line = stripLine(runway.ends);
    expect(line.length_m).toBeCloseTo(800, 3);
    expect(geodesicBetween(line.middle, { latitude_deg: 47.5, longitude_deg: 8.25 }).distance_m).toBeLessThan(0.01);
    const { variation_rad } = magneticVariation({ latitude_deg: 47.5, longitude_deg: 8.25 }, DAY);
    expect(degrees(wrapHalfTurn(line.headingsTrue_rad[0] - variation_rad))).toBeCloseTo(90, 1);
    expect(place).toMatchObject({ name: "Home", elevation_m: 432, notes: "by the river", kind: "aerodrome" });
    expect(runway).toMatchObject({ width_m: 25, surface: "grass" });
    expect(runway.ends.map(({ designator }) => designator)).toEqual(["09", "27"]);
  });

  it("feet, a decimal comma, a unit behind the figure and a true direction are understood", () => {
    const place = only("name|position|elevation|direction|length\nHome|47°30′N 8°15′E|62 ft|45,5|0,8 km") as Aerodrome;
    const line = stripLine(place.runways[0].ends);
    expect(place.elevation_m).toBeCloseTo(18.9, 1);
    expect(line.length_m).toBeCloseTo(800, 3);
    expect(degrees(line.headingsTrue_rad[0])).toBeCloseTo(45.5, 1);
    const feet = only("name|lat|lon|elev|direction|length\nHome|47,5|8,25|1000|90|2000", {
      elevation: "ft",
      length: "ft",
    });
    expect(isAerodrome(feet) && feet.elevation_m).toBeCloseTo(304.8, 6);
    expect(stripLine(stripsOf(feet)[0].ends).length_m).toBeCloseTo(609.6, 3);
  });

  it("two ends say it all; rows of one name are one aerodrome; a place without a runway is a place", () => {
    const { places, faults } = table(
      [
        "name|kind|lat|lon|lat1|lon1|lat2|lon2",
        "Home||||47.5|8.24|47.5|8.26",
        "Home||||47.49|8.25|47.51|8.25",
        "",
        "Pad|heliport|47.6|8.3||||",
        "Meadow|field|||47.55|8.20|47.55|8.21",
        "Lake|Water|||47.55|8.20|47.55|8.22",
      ].join("\n"),
    );
    expect(faults).toEqual([]);
    expect(places.map(({ line, place }) => [line, place.kind, stripsOf(place).length])).toEqual([
      [2, "aerodrome", 2],
      [5, "helipad", 0],
      [6, "field", 1],
      [7, "water", 1],
    ]);
    expect(places[2].place.lookedAt).toBeNull();
  });

  it.each([
    ["|47.5|8.25|400|09/27|800|", "A name is needed."],
    ["Home||8.25|400|09/27|800|", "A position is needed."],
    ["Home|8.25|147.5|high|09/27|800|", "The elevation “high” is not a number."],
    ["Home|147.5|8.25|400|09/27|800|", "exchanged"],
    ["Home|47.5|8.25|400|09/27|5|", "The thresholds lie 5 m apart"],
    ["Home|47.5|8.25|400|09/27|50 km|", "apart: is a sign or a digit wrong?"],
    ["Home|47.5|8.25|400|09/27|long|", "The length “long” is not a number."],
    ["Home|47.5|8.25|400|09/27|800|lava", "The surface “lava” is not known"],
    ["Home|47.5|8.25|40000|09/27|800|", "No ground is higher"],
    ["Home|47.5|8.25|400|09/09|800|", "Both ends have the same name."],
    ["Home|47.5|8.25|400|27/09|800|", ""],
    ["Home|0|0|400|09/27|800|", "open sea off Africa"],
  ])("%s: %s", (row, says) => {
    const { places, faults } = table(`name|lat|lon|elev|rwy|length|surface\n${row}`);
    if (says === "") expect(faults).toEqual([]);
    else {
      expect(places).toEqual([]);
      expect(faults).toEqual([{ line: 2, message: expect.stringContaining(says) }]);
    }
  });

  it.each([
    ["Home|400|800", "not 0 to 360°"],
    ["Home|east|800", "not 0 to 360°"],
    ["Home|-1|800", "not 0 to 360°"],
  ])("direction %s", (row, says) => {
    const { faults } = table(`name|direction|length|lat|lon\n${row}|47|8`);
    expect(faults[0].message).toContain(says);
  });

  it("a field without ends is a fault; a second runway that cannot be joined leaves the first", () => {
    expect(table("name|kind|lat|lon\nMeadow|field|47|8").faults[0].message).toContain("needs two ends");
    const { places, faults } = table("name|lat1|lon1|lat2|lon2\nHome|47.5|8.24|47.5|8.26\nHome|48.5|8.24|48.5|8.26");
    expect(places.map(({ place }) => stripsOf(place).length)).toEqual([1]);
    expect(faults).toEqual([{ line: 3, message: expect.stringContaining("lies 111 km from Home") }]);
  });

  it("of 500 rows with 20 faults 480 are read, each fault by its line", () => {
    const rows = Array.from({ length: 500 }, (_, i) =>
      i % 25 === 7 ? `Field ${i}|95|8|400|09/27|800` : `Field ${i}|${40 + i / 100}|8|400|09/27|800`,
    );
    const { places, faults } = table(`name|lat|lon|elev|rwy|length\n${rows.join("\n")}`);
    expect([places.length, faults.length]).toEqual([480, 20]);
    expect(faults.map(({ line }) => line)).toEqual(Array.from({ length: 20 }, (_, i) => 25 * i + 9));
  });

  it("answers any cells, and keeps no place that is at fault (property)", () => {
    const cell = fc.oneof(
      fc.string({ maxLength: 12 }),
      fc.double().map(String),
      fc.constantFrom("09/27", "12 ft", "", "47,5"),
    );
    fc.assert(
      fc.property(fc.array(fc.array(cell, { maxLength: 9 }), { maxLength: 6 }), (rows) => {
        const columns = {
          name: 0,
          latitude: 1,
          longitude: 2,
          elevation: 3,
          runway: 4,
          length: 5,
          direction: 6,
          surface: 7,
          kind: 8,
        };
        const { places, faults } = placesOfTable(rows, columns, reading());
        expect(places.length + faults.length).toBeLessThanOrEqual(rows.length);
      }),
      { numRuns: 300, seed: 76 },
    );
  });
});
