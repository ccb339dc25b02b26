import { describe, expect, it } from "vitest";
import { demoPlaces } from "../../../demo/read-demo";
import { destination, geodesicBetween } from "../earth/geodesic";
import { degrees, radians } from "../quantities/angle";
import type { Aerodrome, LandingSite, StripEnd } from "./place";
import { placeFaults } from "./place-faults";
import {
  compassPoint,
  magneticHeading_rad,
  runwayNumber,
  stripLine,
  thresholdsFrom,
  withDesignators,
} from "./strip-line";

const DAY = new Date(Date.UTC(2026, 10, 24));
const places = demoPlaces();
const skerrow = places.find(({ name }) => name === "Skerrow") as Aerodrome;
const field = places.find(({ name }) => name === "Long Acre") as LandingSite;
const [runway] = skerrow.runways;
const [a, b] = runway.ends;

const said = (place: Aerodrome | LandingSite) =>
  placeFaults(place, DAY).map(({ severity, path, message }) => `${severity} ${path}: ${message}`);
const changed = (first: Partial<StripEnd>, second: Partial<StripEnd> = {}, more: object = {}): Aerodrome => ({
  ...skerrow,
  runways: [
    {
      ...runway,
      ...more,
      ends: [
        { ...a, ...first },
        { ...b, ...second },
      ],
    },
  ],
});
const declared = (change: Partial<NonNullable<StripEnd["declared"]>>) => ({
  declared: { tora_m: 1150, toda_m: 1200, asda_m: 1150, lda_m: 1150, ...change },
});
const away = (length_m: number) => ({ threshold: destination(a.threshold, radians(137.8), length_m) });

describe("what cannot be true of a place", () => {
  it("nothing is wrong with the demo's", () => {
    for (const place of places)
      expect(
        placeFaults(place, DAY).filter(({ severity }) => severity === "fault"),
        place.name,
      ).toEqual([]);
  });

  it.each([
    ["a runway of 5 m", changed({}, away(5)), "fault runways.0.ends: The thresholds lie 5 m apart"],
    ["one of 7 km", changed({}, away(7000)), "fault runways.0.ends: The thresholds lie 7000 m apart"],
    ["one of 50 km", changed({}, away(50_000)), "fault runways.0.ends: The thresholds lie 50 km apart"],
    [
      "crossed ends",
      changed({ threshold: b.threshold }, { threshold: a.threshold }),
      "fault runways.0.ends.0: 11 lies where one lands towards 290° magnetic: the thresholds are crossed.",
    ],
    [
      "crossed displaced thresholds",
      changed({ displaced_m: 600 }, { displaced_m: 600 }),
      "fault runways.0.ends.0.displaced_m: The displaced thresholds cross",
    ],
    [
      "a missing position",
      changed({ threshold: { latitude_deg: 0, longitude_deg: 0 } }),
      "fault runways.0.ends: 0° north 0° east is open sea",
    ],
    [
      "an aerodrome nowhere",
      { ...skerrow, position: { latitude_deg: 0, longitude_deg: 0 } },
      "fault position: 0° north 0° east",
    ],
    [
      "a runway of another aerodrome",
      { ...skerrow, position: destination(skerrow.position, 1, 9000) },
      "fault runways.0: This runway lies 9 km from Skerrow",
    ],
    ["two ends of one name", changed({ designator: "29" }), "fault runways.0.ends: Both ends have the same name."],
    ["wider than long", changed({}, away(100), { width_m: 120 }), "fault runways.0.width_m: It is wider"],
    ["a cliff", changed({ elevation_m: 400 }), "fault runways.0.ends: It rises 33 %"],
    ["a steep one", changed({ elevation_m: 118.9 }), "caution runways.0.ends: It rises 8.7 %"],
    [
      "a number that is off",
      changed({ designator: "09" }),
      "caution runways.0.ends.0: 09 lands towards 110° magnetic as it is drawn.",
    ],
    ["TODA below TORA", changed(declared({ toda_m: 1100 })), "fault runways.0.ends.0.declared.toda_m: TODA"],
    ["ASDA below TORA", changed(declared({ asda_m: 1100 })), "fault runways.0.ends.0.declared.asda_m: ASDA"],
    ["LDA beyond the end", changed(declared({ lda_m: 1180 })), "declared.lda_m: LDA is more than the 1150 m"],
    [
      "LDA over a displaced threshold",
      changed({ ...declared({ lda_m: 1150 }), displaced_m: 200 }),
      "declared.lda_m: LDA is more than the 950 m",
    ],
    ["TORA beyond the end", changed(declared({ tora_m: 1170, asda_m: 1170 })), "declared.tora_m: TORA is more"],
  ])("%s", (_, place, says) => {
    expect(said(place).join("\n")).toContain(says);
  });

  it("declared distances that fit are none, nor is a number of which variation has moved on", () => {
    expect(said(changed(declared({})))).toEqual([]);
    expect(said(changed({ designator: "12" }, { designator: "30" }))).toEqual([]);
  });

  it("two runways may not share a name; a beach may be long", () => {
    expect(said({ ...skerrow, runways: [runway, { ...runway, id: "other" }] }).join()).toContain(
      "Two ends are called 11.",
    );
    const long = (length_m: number): LandingSite => {
      const [first, second] = field.strip.ends;
      const [, threshold] = thresholdsFrom(first.threshold, 1, length_m);
      return { ...field, strip: { ...field.strip, ends: [first, { ...second, threshold }] } };
    };
    expect(said(long(12_000))).toEqual([]);
    expect(said(long(21_000)).join()).toContain("apart: is a sign or a digit wrong?");
  });

  it("an outline that crosses itself is told", () => {
    const corner = (north: number, east: number) => ({
      latitude_deg: -47 + north / 1000,
      longitude_deg: -131 + east / 1000,
    });
    const outline = (...corners: [number, number][]) => ({ ...field, outline: corners.map(([n, e]) => corner(n, e)) });
    expect(said(outline([0, 0], [4, 0], [4, 4], [0, 4]))).toEqual([]);
    expect(said(outline([0, 0], [4, 4], [4, 0], [0, 4])).join()).toContain(
      "fault outline: The outline crosses itself.",
    );
  });
});

describe("how a strip lies", () => {
  it("length and directions are the geodesic's, to a millimetre and both ways", () => {
    const line = stripLine(runway.ends);
    const back = geodesicBetween(b.threshold, a.threshold);
    expect(line.length_m).toBeCloseTo(back.distance_m, 6);
    expect(line.headingsTrue_rad[1]).toBeCloseTo(back.azimuthStart_rad, 9);
    expect(geodesicBetween(a.threshold, line.middle).distance_m).toBeCloseTo(line.length_m / 2, 6);
    expect(stripLine([a, { ...b, elevation_m: a.elevation_m + 11.5 }]).slope).toBeCloseTo(0.01, 4);
    expect(stripLine([a, a]).slope).toBe(0);
  });

  it("one end, a direction and a length make the other", () => {
    const [, other] = thresholdsFrom(a.threshold, 2, 700);
    const line = geodesicBetween(a.threshold, other);
    expect([line.distance_m, line.azimuthStart_rad]).toEqual([expect.closeTo(700, 6), expect.closeTo(2, 9)]);
  });

  it.each([
    [4, "36"],
    [5.1, "01"],
    [94.9, "09"],
    [355.1, "36"],
    [354.9, "35"],
  ])("%f° magnetic is runway %s", (heading_deg, number) => {
    expect(runwayNumber(radians(heading_deg))).toBe(number);
  });

  it("numbers are magnetic, points of the compass true, each where one lands towards", () => {
    const heading = magneticHeading_rad(a.threshold, stripLine(runway.ends).headingsTrue_rad[0], DAY);
    expect(degrees(heading)).toBeGreaterThan(105);
    expect(degrees(heading)).toBeLessThan(115);
    expect(withDesignators(runway, true, DAY).ends.map((end) => end.designator)).toEqual(["11", "29"]);
    expect(withDesignators(field.strip, false, DAY).ends.map((end) => end.designator)).toEqual(
      field.strip.ends.map((end) => end.designator),
    );
    expect([0, 44, 181, 337].map((heading_deg) => compassPoint(radians(heading_deg)))).toEqual([
      "north",
      "north-east",
      "south",
      "north-west",
    ]);
  });
});
