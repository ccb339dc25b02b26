import { readFileSync, readdirSync } from "node:fs";
import path from "node:path";
import { describe, expect, it } from "vitest";
import { bestGlide } from "../glide/straight-glide";
import { AircraftDocument } from "./aircraft-document";
import { cleanGlide } from "./configuration";
import { polarOf, stallSpeed_mps } from "./polar";
import { MPS_PER_KT } from "../quantities/constants";

const FOLDER = path.resolve(import.meta.dirname, "../../../demo/aircraft");
const documents = readdirSync(FOLDER).map((file) => [file, JSON.parse(readFileSync(path.join(FOLDER, file), "utf8"))] as const);

describe("demo fleet", () => {
  it("holds the eight aircraft", () => {
    expect(documents.map(([file]) => file).sort()).toEqual([
      "alder-s1.json", "cedar-j2.json", "hazel-h2.json", "hornbeam-t2c.json", "larch-t2.json", "osier-g1.json", "rowan-r1.json", "thorn-v12.json",
    ]);
  });

  it.each(documents)("%s is a valid document and survives a round trip unchanged", (_, document) => {
    expect(AircraftDocument.parse(document)).toEqual(document);
  });

  // Figures that follow from the invented numbers: (L/D)max, best glide and clean stall at maximum mass.
  it.each([
    ["alder-s1.json", 1100, 9.0, 66.7, 51.9],
    ["rowan-r1.json", 1650, 9.98, 89.9, 65.2],
  ])("%s glides as its handbook says", (file, mass_kg, ratio, vbg_kt, vs1_kt) => {
    const aircraft = AircraftDocument.parse(documents.find(([name]) => name === file)?.[1]);
    const found = polarOf(aircraft, mass_kg, cleanGlide(aircraft));
    if (!found.ok) throw new Error(found.issue.message);
    expect(bestGlide(found.value.polar).ratio).toBeCloseTo(ratio, 1);
    expect(bestGlide(found.value.polar).eas_mps / MPS_PER_KT).toBeCloseTo(vbg_kt, 1);
    expect(stallSpeed_mps(found.value.polar) / MPS_PER_KT).toBeCloseTo(vs1_kt, 1);
  });

  it("gives the jet 17.5 at 182 KEAS and 41 t, 170.5 at 36 t (square root of mass)", () => {
    const aircraft = AircraftDocument.parse(documents.find(([name]) => name === "cedar-j2.json")?.[1]);
    const at = (mass_kg: number) => {
      const found = polarOf(aircraft, mass_kg, cleanGlide(aircraft));
      if (!found.ok) throw new Error(found.issue.message);
      return bestGlide(found.value.polar);
    };
    expect(at(41_000).ratio).toBeCloseTo(17.5, 1);
    expect(at(41_000).eas_mps / MPS_PER_KT).toBeCloseTo(182, 0);
    expect(at(36_000).eas_mps / at(41_000).eas_mps).toBeCloseTo(170.5 / 182, 3);
  });

  it("refuses documents that contradict themselves", () => {
    const alder = documents.find(([name]) => name === "alder-s1.json")?.[1];
    const faults = AircraftDocument.safeParse({ ...alder, mass: { ...alder.mass, minimum_kg: 1200 }, handbook: { ...alder.handbook, vs0_mps: 40 }, wing: null });
    expect(faults.success).toBe(false);
    expect(faults.error?.issues.map((issue) => issue.path.join("."))).toEqual(expect.arrayContaining(["mass.minimum_kg", "handbook.vs0_mps", "wing"]));
  });
});
