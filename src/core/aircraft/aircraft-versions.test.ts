import { readFileSync, readdirSync } from "node:fs";
import path from "node:path";
import { describe, expect, it } from "vitest";

import { AircraftDocument } from "./aircraft-document";
import { readAircraft } from "./aircraft-versions";
import { cleanGlide } from "./configuration";
import { polarOf } from "./polar";
import { bestGlide } from "../glide/straight-glide";

const FOLDER = path.join(import.meta.dirname, "versions");
const fixture = (name: string): Record<string, unknown> =>
  JSON.parse(readFileSync(path.join(FOLDER, `${name}.json`), "utf8"));
const read = (name: string): AircraftDocument => {
  const found = readAircraft(fixture(name));
  if (!found.ok) throw new Error(`${name}: ${found.issue.message}`);
  return found.value;
};

describe("aircraft documents of every version", () => {
  const names = readdirSync(FOLDER).map((file) => file.replace(".json", ""));

  it("there is one at least of each version up to the present", () => {
    const versions = new Set(names.map((name) => Number(name.split("-")[0])));
    expect([...versions].sort()).toEqual(Array.from({ length: AircraftDocument.shape.version.value }, (_, i) => i + 1));
  });

  it.each(names)("%s is read, and keeps what it said", (name) => {
    const old = fixture(name);
    const now = read(name);
    expect(old.version).toBe(Number(name.split("-")[0]));
    expect(now).toMatchObject({ name: old.name, mass: old.mass, wing: old.wing, limits: old.limits });
    expect(now.handbook).toMatchObject(old.handbook as object);
    expect(readAircraft(JSON.parse(JSON.stringify(now)))).toEqual({ ok: true, value: now });
  });

  // A field that is added must make a version: the newest fixture would not be read otherwise.
  it("the present version is read without a step", () => {
    const { version } = AircraftDocument.shape;
    const newest = names.filter((name) => name.startsWith(String(version.value)));
    for (const name of newest) expect(AircraftDocument.parse(fixture(name))).toEqual(fixture(name));
  });

  it("a jet of version 1 glides as it did, and its dead engines drag once", () => {
    const cedar = read("1-cedar-j2");
    const { polar, engines, wing } = fixture("1-cedar-j2") as never as {
      polar: { deadPropeller: { windmilling: number } };
      engines: { count: number };
      wing: { area_m2: number };
    };
    expect(cedar.polar?.deadPropeller).toBeNull();
    expect(cedar.engines.kind === "jet" && cedar.engines.deadDragArea_m2).toBeCloseTo(
      (polar.deadPropeller.windmilling * wing.area_m2) / engines.count,
      9,
    );
    const found = polarOf(cedar, 41_000, cleanGlide(cedar));
    expect(found.ok && bestGlide(found.value.polar).ratio).toBeCloseTo(17.5, 1);
  });

  it("what version 2 could leave out is nothing, not something", () => {
    const { causeFlow: _flow, ...old } = fixture("2-cedar-j2");
    const found = readAircraft(old);
    expect(found.ok && [found.value.causeFlow, found.value.handbook.glidePoints]).toEqual([null, []]);
  });

  it("a piston engine of version 4 is one that turns a propeller, with a carburettor, and carries no loading", () => {
    const larch = read("4-larch-t2");
    const { engines } = fixture("4-larch-t2") as { engines: object };
    expect(larch.engines).toEqual({ ...engines, kind: "propeller", fuelSystem: "carburettor" });
    expect([larch.loading, larch.airspeedCalibration]).toEqual([null, null]);
    expect(read("1-cedar-j2").engines.kind).toBe("jet");
  });

  it("a turboprop with two engines is refused, an engine of version 4’s kind in version 5 too", () => {
    const fir = fixture("5-fir-p1") as { engines: object };
    expect(readAircraft({ ...fir, engines: { ...fir.engines, count: 2 } })).toMatchObject({
      ok: false,
      issue: { message: expect.stringContaining("turboprop has one engine") },
    });
    expect(readAircraft({ ...fir, engines: { ...fir.engines, kind: "piston" } }).ok).toBe(false);
  });

  it("one of a later version is refused with its number", () => {
    expect(readAircraft({ ...fixture("3-cedar-j2"), version: 9 })).toMatchObject({
      ok: false,
      issue: { code: "future_version", path: "version", message: expect.stringContaining("version 9") },
    });
  });
});
