import { readFileSync, readdirSync } from "node:fs";
import path from "node:path";
import { describe, expect, it } from "vitest";
import { Aerodrome, Place } from "./place";
import { readPlace } from "./place-versions";

const FOLDER = path.join(import.meta.dirname, "versions");
const fixture = (name: string): Record<string, unknown> =>
  JSON.parse(readFileSync(path.join(FOLDER, `${name}.json`), "utf8"));
const names = readdirSync(FOLDER).map((file) => file.replace(".json", ""));
const opened = (value: unknown) => {
  const read = readPlace(value);
  if (!read.ok) throw new Error(read.issue.message);
  return read.value;
};

describe("places of every version", () => {
  it("there is one at least of each version up to the present", () => {
    const versions = new Set(names.map((name) => Number(name.split("-")[0])));
    expect([...versions].sort()).toEqual(Array.from({ length: Aerodrome.shape.version.value }, (_, i) => i + 1));
  });

  it.each(names)("%s is read, and keeps what it said", (name) => {
    const { version, runways, strip, ...said } = fixture(name);
    const now = opened(fixture(name));
    expect(version).toBe(Number(name.split("-")[0]));
    expect(now).toMatchObject(said);
    expect(now).toMatchObject(JSON.parse(JSON.stringify({ runways, strip })));
    expect(opened(JSON.parse(JSON.stringify(now)))).toEqual(now);
  });

  it("the present version is read without a step", () => {
    for (const name of names.filter((file) => file.startsWith("2")))
      expect(Place.parse(fixture(name))).toEqual(fixture(name));
  });

  it("version 1 can be landed on from both ends, and nobody is said to have looked at it", () => {
    const field = opened(fixture("1-field"));
    expect(field).toMatchObject({ lookedAt: null, lookedBy: "", source: null, outline: null });
    expect("strip" in field && field.strip.ends.every((end) => end.usable && end.circuit === null)).toBe(true);
    expect(opened({ ...fixture("1-aerodrome"), runways: [] })).toMatchObject({ runways: [], notes: "" });
  });

  it.each([
    [{ ...fixture("1-aerodrome"), runways: "none" }, "runways"],
    [{ ...fixture("1-aerodrome"), runways: [null] }, "runways.0"],
    [{ ...fixture("1-aerodrome"), runways: [{ ends: [1, 2] }] }, "runways.0"],
    [{ ...fixture("2-aerodrome"), kind: "airport" }, "kind"],
    [{ ...fixture("2-aerodrome"), colour: "red" }, ""],
    [{ ...fixture("2-water"), strip: { ...(fixture("2-water").strip as object), surface: "grass" } }, "strip.surface"],
    [{ ...fixture("2-field"), strip: { ...(fixture("2-field").strip as object), surface: "water" } }, "strip.surface"],
  ])("damaged: %#", (value, at) => {
    const read = readPlace(value);
    expect(read.ok ? "read" : read.issue.code).toBe("place_invalid");
    expect(read.ok ? "" : read.issue.path).toContain(at);
  });

  it("one of a later program says so", () => {
    const read = readPlace({ ...fixture("2-field"), version: 99 });
    expect(read.ok ? "" : read.issue.code).toBe("future_version");
  });
});
