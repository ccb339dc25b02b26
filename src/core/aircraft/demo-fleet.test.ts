import { readFileSync, readdirSync } from "node:fs";
import path from "node:path";
import { describe, expect, it } from "vitest";
import { demoDeparture } from "../../../demo/demo-departure";
import { demoAircraft } from "../../../demo/read-demo";
import { bestGlide } from "../glide/straight-glide";
import { Aeroplane } from "./aeroplane";
import { AircraftDocument } from "./aircraft-document";
import { cleanGlide } from "./configuration";
import { fitOf, withFit } from "./fitted-aircraft";
import { doubtsAbout } from "./plausibility";
import { polarOf, stallSpeed_mps } from "./polar";
import { MPS_PER_KT } from "../quantities/constants";

const FOLDER = path.resolve(import.meta.dirname, "../../../demo/aircraft");
const documents = readdirSync(FOLDER).map(
  (file) => [file, JSON.parse(readFileSync(path.join(FOLDER, file), "utf8"))] as const,
);

describe("demo fleet", () => {
  it("holds the nine aircraft", () => {
    expect(documents.map(([file]) => file).sort()).toEqual([
      "alder-s1.json",
      "cedar-j2.json",
      "fir-p1.json",
      "hazel-h2.json",
      "hornbeam-t2c.json",
      "larch-t2.json",
      "osier-g1.json",
      "rowan-r1.json",
      "thorn-v12.json",
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
    const aircraft = Aeroplane.parse(documents.find(([name]) => name === file)?.[1]);
    const found = polarOf(aircraft, mass_kg, cleanGlide(aircraft));
    if (!found.ok) throw new Error(found.issue.message);
    expect(bestGlide(found.value.polar).ratio).toBeCloseTo(ratio, 1);
    expect(bestGlide(found.value.polar).eas_mps / MPS_PER_KT).toBeCloseTo(vbg_kt, 1);
    expect(stallSpeed_mps(found.value.polar) / MPS_PER_KT).toBeCloseTo(vs1_kt, 1);
  });

  // √(1/(4·k·CD0)) with k .045 and CD0 .027, feathered, or .040.
  it.each([
    ["feathered", 14.3, 108.2],
    ["windmilling", 11.8, 98.1],
  ] as const)("the turboprop glides %s as its numbers say", (propeller, ratio, vbg_kt) => {
    const aircraft = Aeroplane.parse(documents.find(([name]) => name === "fir-p1.json")?.[1]);
    const found = polarOf(aircraft, 3900, { ...cleanGlide(aircraft), propeller });
    if (!found.ok) throw new Error(found.issue.message);
    const best = bestGlide(found.value.polar);
    expect(best.ratio).toBeCloseTo(ratio, 1);
    expect(best.eas_mps / MPS_PER_KT).toBeCloseTo(vbg_kt, 0);
    expect(stallSpeed_mps(found.value.polar) / MPS_PER_KT).toBeCloseTo(76.5, 1);
  });

  it("gives the jet 17.5 at 182 KEAS and 41 t, 170.5 at 36 t (square root of mass)", () => {
    const aircraft = Aeroplane.parse(documents.find(([name]) => name === "cedar-j2.json")?.[1]);
    const at = (mass_kg: number) => {
      const found = polarOf(aircraft, mass_kg, cleanGlide(aircraft));
      if (!found.ok) throw new Error(found.issue.message);
      return bestGlide(found.value.polar);
    };
    expect(at(41_000).ratio).toBeCloseTo(17.5, 1);
    expect(at(41_000).eas_mps / MPS_PER_KT).toBeCloseTo(182, 0);
    expect(at(36_000).eas_mps / at(41_000).eas_mps).toBeCloseTo(170.5 / 182, 3);
  });

  it.each(["alder-s1", "rowan-r1", "thorn-v12", "larch-t2", "hornbeam-t2c", "cedar-j2"])(
    "%s: book and model agree, and its fit can be taken over without a warning",
    (name) => {
      const aircraft = demoAircraft(name);
      const { handbook, polar } = aircraft;
      expect(doubtsAbout(aircraft)).toEqual([]);
      const fit = fitOf(aircraft);
      if (!fit.ok) throw new Error(fit.issue.message);
      expect(fit.value.doubts).toEqual([]);
      const fitted = withFit(aircraft, fit.value);
      if (!fitted.ok) throw new Error(fitted.issue.message);
      expect(doubtsAbout(fitted.value)).toEqual([]);
      // A printed speed is good to half a knot, a ratio to half a tenth.
      const glide = (of: typeof aircraft) => {
        const found = polarOf(of, handbook.mass_kg, {
          ...cleanGlide(of),
          propeller: of.engines.kind === "jet" ? "none" : handbook.glidePropeller,
        });
        if (!found.ok) throw new Error(found.issue.message);
        return { ...bestGlide(found.value.polar), stall_mps: stallSpeed_mps(found.value.polar) };
      };
      for (const of of [aircraft, fitted.value]) {
        expect(Math.abs(glide(of).eas_mps - (handbook.vbg_mps ?? 0)) / MPS_PER_KT).toBeLessThan(0.5);
        expect(Math.abs(glide(of).ratio - (handbook.bestGlideRatio ?? 0))).toBeLessThan(0.06);
        expect(Math.abs(glide(of).stall_mps - (handbook.vs1_mps ?? 0)) / MPS_PER_KT).toBeLessThan(0.5);
      }
      expect(Math.abs((fitted.value.polar?.cd0 ?? 0) / (polar?.cd0 ?? 1) - 1)).toBeLessThan(0.03);
    },
  );

  // 300 m on a hard runway at sea level: what a powerful single of three tonnes needs; common practice.
  it("gives Thorn a take-off run of about 300 m", () => {
    const { day } = demoDeparture({ aircraft: "thorn-v12", plain: { length_m: 1150, headwind_kt: 0 } });
    expect(day.climb.run_m).toBeGreaterThan(260);
    expect(day.climb.run_m).toBeLessThan(330);
  });

  it("refuses documents that contradict themselves", () => {
    const alder = documents.find(([name]) => name === "alder-s1.json")?.[1];
    const faults = AircraftDocument.safeParse({
      ...alder,
      mass: { ...alder.mass, minimum_kg: 1200 },
      handbook: { ...alder.handbook, vs0_mps: 40 },
      wing: null,
    });
    expect(faults.success).toBe(false);
    expect(faults.error?.issues.map((issue) => issue.path.join("."))).toEqual(
      expect.arrayContaining(["mass.minimum_kg", "handbook.vs0_mps", "wing"]),
    );
  });
});
