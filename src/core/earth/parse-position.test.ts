import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { evenly } from "../../../fuzz/evenly";
import { formatLatitude, formatLongitude } from "./coordinates";
import { parsePosition } from "./parse-position";

const [LATITUDE, LONGITUDE] = [-(47 + 6 / 60 + 54 / 3600), -(130 + 58 / 60 + 42 / 3600)];

describe("a position as people write it", () => {
  it.each([
    "47°06.9′S 130°58.7′W",
    "47° 06' 54\" S, 130° 58' 42\" W",
    "47º06’54”S 130º58’42”W",
    "47°06''54 S 130°58''42 W".replaceAll("''", "'"),
    "-47.115 -130.978333",
    "−47.115, −130.978333",
    "-47.115,-130.978333",
    "-47.115; -130.978333",
    "-47,115; -130,978333",
    "-47,115 / -130,978333",
    "47.115 S 130.978333 W",
    "47,115 S 130,978333 W",
    "S47.115 W130.978333",
    "S 47 06.9 W 130 58.7",
    "S47 6 54 W130 58 42",
    "470654S1305842W",
    "470654S 1305842W",
    "S4706.9 W13058.7",
    "W130 58.7 S47 06.9",
    "lat: -47.115 lon: -130.978333",
    "-47 06 54 -130 58 42",
    "-47 06.9 -130 58.7",
  ])("%s", (text) => {
    const read = parsePosition(text);
    if (!read.ok) throw new Error(read.issue.message);
    expect(read.value.latitude_deg).toBeCloseTo(LATITUDE, 5);
    expect(read.value.longitude_deg).toBeCloseTo(LONGITUDE, 5);
  });

  it.each([
    ["", "A position is needed"],
    ["here", "not a position"],
    ["47", "needs a latitude and a longitude"],
    ["-130.978, -47.115", "exchanged"],
    ["91 N 20 E", "A latitude is −90 to 90°"],
    ["20 N 181 E", "A longitude is −180 to 180°"],
    ["47 N 20 N", "Both angles are a latitude"],
    ["47 60 N 20 0 E", "less than 60"],
    ["47 0 60 N 20 0 0 E", "less than 60"],
    ["47.5 30 N 20 0 E", "only the last part"],
    ["-47 S 20 E", "a sign or a letter"],
    ["47 N", "needs a latitude and a longitude"],
    ["1 2 3", "needs a latitude and a longitude"],
    ["1 2 3 4 5 6 7 8", "needs a latitude and a longitude"],
    ["1..2, 3", "is not an angle"],
    [`${"1".repeat(100)}, 2`, "not a position"],
  ])("%j: %s", (text, says) => {
    const read = parsePosition(text);
    expect(read.ok ? read.value : read.issue.message).toContain(says);
  });

  it("reads what charts print, to their tenth of a minute (property)", () => {
    fc.assert(
      fc.property(evenly(-90, 90), evenly(-180, 180), (latitude_deg, longitude_deg) => {
        const read = parsePosition(`${formatLatitude(latitude_deg)} ${formatLongitude(longitude_deg)}`);
        expect(read.ok && Math.abs(read.value.latitude_deg - latitude_deg)).toBeLessThan(0.05 / 60 + 1e-9);
        expect(read.ok && Math.abs(read.value.longitude_deg - longitude_deg)).toBeLessThan(0.05 / 60 + 1e-9);
      }),
      { numRuns: 200, seed: 71 },
    );
  });

  it("answers any text, and never with an angle that is none (property)", () => {
    fc.assert(
      fc.property(fc.stringMatching(/^[0-9NSEW°'".,;+\- /]{0,40}$/), (text) => {
        const read = parsePosition(text);
        if (!read.ok) return;
        expect(Math.abs(read.value.latitude_deg)).toBeLessThanOrEqual(90);
        expect(Math.abs(read.value.longitude_deg)).toBeLessThanOrEqual(180);
      }),
      { numRuns: 2000, seed: 72 },
    );
  });
});
