import { readFileSync, readdirSync } from "node:fs";
import path from "node:path";
import { describe, expect, it } from "vitest";

import { Aeroplane } from "./aeroplane";
import { isAeroplane } from "./aircraft-kind";
import { AircraftDocument } from "./aircraft-document";
import { readAircraft } from "./aircraft-versions";
import { cleanGlide } from "./configuration";
import { polarOf } from "./polar";
import { bestGlide } from "../glide/straight-glide";

const FOLDER = path.join(import.meta.dirname, "versions");
const fixture = (name: string): Record<string, unknown> =>
  JSON.parse(readFileSync(path.join(FOLDER, `${name}.json`), "utf8"));
const PRESENT = Aeroplane.shape.version.value;
const read = (name: string): AircraftDocument => {
  const found = readAircraft(fixture(name));
  if (!found.ok) throw new Error(`${name}: ${found.issue.message}`);
  return found.value;
};
const aeroplane = (name: string): Aeroplane => Aeroplane.parse(read(name));

describe("aircraft documents of every version", () => {
  const names = readdirSync(FOLDER).map((file) => file.replace(".json", ""));

  it("there is one at least of each version up to the present", () => {
    const versions = new Set(names.map((name) => Number(name.split("-")[0])));
    expect([...versions].sort()).toEqual(Array.from({ length: PRESENT }, (_, i) => i + 1));
  });

  it.each(names)("%s is read, and keeps what it said", (name) => {
    const old = fixture(name);
    const now = read(name);
    expect(old.version).toBe(Number(name.split("-")[0]));
    expect(now.name).toBe(old.name);
    if (isAeroplane(now)) {
      expect(now).toMatchObject({ mass: old.mass, wing: old.wing, limits: old.limits });
      expect(now.handbook).toMatchObject(old.handbook as object);
    }
    expect(readAircraft(JSON.parse(JSON.stringify(now)))).toEqual({ ok: true, value: now });
  });

  // A field that is added must make a version: the newest fixture would not be read otherwise.
  it("the present version is read without a step", () => {
    const newest = names.filter((name) => name.startsWith(`${PRESENT}-`));
    for (const name of newest) expect(AircraftDocument.parse(fixture(name))).toEqual(fixture(name));
  });

  it("a jet of version 1 glides as it did, and its dead engines drag once", () => {
    const cedar = aeroplane("1-cedar-j2");
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
    expect(found).toMatchObject({ ok: true, value: { causeFlow: null, handbook: { glidePoints: [] } } });
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

  it("a rotorcraft of version 5 keeps rotor, ratings and glide, and has what is usual of the rest", () => {
    const hazel = read("5-hazel-h2");
    const old = fixture("5-hazel-h2") as { engines: { ratings: object[] } };
    expect(hazel).toMatchObject({
      category: "helicopter",
      mass: { maximum_kg: 3000, minimum_kg: 1800, usual_kg: 2800 },
      engines: { count: 2, ratings: old.engines.ratings },
      rotor: { radius_m: 5.3, flatPlate_m2: 1.3, inducedFactor: 1.15 },
      handbook: { bestRangeSpeed_mps: 38.5833, bestRangeRatio: 4, vToss_mps: null },
      limits: { vne_mps: 74.5944 },
    });
    expect(hazel.category === "helicopter" && hazel.engines.ratings.map(({ uses }) => uses)).toEqual([3, 3, 3, null]);
    const osier = read("5-osier-g1");
    expect(osier).toMatchObject({
      category: "gyroplane",
      rotor: { radius_m: 4.2, polarInertia_kgm2: 205 },
      body: { flatPlateAlong_m2: 0.85, flatPlateAcross_m2: 1.7, stoppedPropeller_m2: 0.198 },
      handbook: { bestGlideRatio: 3.5, verticalSink_mps: null },
    });
    expect(osier.category === "gyroplane" && osier.engines.power_W).toBe(73_500);
  });

  it("one that was only called a helicopter, with wings and no rotor, is read as one of the usual kind", () => {
    const called = readAircraft({ ...fixture("5-alder-s1"), category: "helicopter" });
    expect(called).toMatchObject({ ok: true, value: { engines: { kind: "turboshaft" }, rotor: { blades: 4 } } });
    const gyro = readAircraft({ ...fixture("5-fir-p1"), category: "gyroplane" });
    expect(gyro).toMatchObject({ ok: true, value: { category: "gyroplane", rotor: { blades: 2 } } });
  });

  it("one of a later version is refused with its number", () => {
    expect(readAircraft({ ...fixture("3-cedar-j2"), version: 9 })).toMatchObject({
      ok: false,
      issue: { code: "future_version", path: "version", message: expect.stringContaining("version 9") },
    });
  });
});
