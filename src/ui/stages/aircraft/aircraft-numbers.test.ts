import { describe, expect, it } from "vitest";
import { demoAircraft } from "../../../../demo/read-demo";
import { newAircraft } from "@/core/aircraft/new-aircraft";
import { doubtsAbout } from "@/core/aircraft/plausibility";
import { cleanGlide } from "@/core/aircraft/configuration";
import { polarOf, stallSpeed_mps } from "@/core/aircraft/polar";
import { bestGlide } from "@/core/glide/straight-glide";
import { polarCurve } from "./curves";
import { fittingConfiguration } from "./fitting-configuration";
import { massRows } from "./mass-rows";
import { faultAt, missingFigures, noteAt } from "./notes";
import { formatSi } from "@/core/quantities/units";
import type { Edited } from "./useEdited";

const alder = demoAircraft("alder-s1");
const larch = demoAircraft("larch-t2");

describe("speeds by mass", () => {
  const rows = massRows(alder);

  it("run from the maximum to the minimum mass in round steps", () => {
    expect(rows[0].mass_kg).toBe(1100);
    expect(rows[rows.length - 1].mass_kg).toBe(680);
    for (const row of rows.slice(1, -1)) expect(row.mass_kg % 100).toBe(0);
    expect(rows.length).toBeGreaterThanOrEqual(4);
    expect(rows.length).toBeLessThanOrEqual(9);
  });

  it("go with the root of the mass while the ratio stays", () => {
    for (const row of rows) {
      const scale = Math.sqrt(row.mass_kg / 1100);
      expect(row.best_mps / rows[0].best_mps).toBeCloseTo(scale, 6);
      expect(row.vs1_mps / rows[0].vs1_mps).toBeCloseTo(scale, 6);
      expect(row.ratio).toBeCloseTo(rows[0].ratio, 9);
      expect(row.vs0_mps).toBeLessThan(row.vs1_mps);
      expect(row.leastSink_mps).toBeLessThan(row.best_mps);
    }
  });

  it("are none without a polar", () => {
    expect(massRows(newAircraft("New"))).toEqual([]);
    expect(massRows(demoAircraft("cedar-j2")).length).toBeGreaterThan(3);
  });
});

describe("curve of a polar", () => {
  const found = polarOf(alder, 1000, cleanGlide(alder));
  if (!found.ok) throw new Error("a polar");
  const { polar } = found.value;

  it("goes from the stall to the speed asked for and is touched by the best glide's tangent", () => {
    const curve = polarCurve(polar, 60);
    // A steep glide carries a little of the weight on its drag, so it stalls a hair slower than level flight.
    expect(curve[0].eas_mps / stallSpeed_mps(polar)).toBeCloseTo(1, 2);
    expect(curve[curve.length - 1].eas_mps).toBeCloseTo(60, 6);
    const best = bestGlide(polar);
    const slope = best.sinkEas_mps / best.eas_mps;
    for (const point of curve) expect(point.sink_mps / point.eas_mps).toBeGreaterThanOrEqual(slope - 1e-9);
  });
});

describe("a configuration for another aircraft", () => {
  const everything = { propeller: "feathered", flap: 3, gearDown: true, slip: 0.5, items: ["cowl", "door"] } as const;

  it("keeps what the aircraft can have", () => {
    expect(fittingConfiguration(larch, { ...everything, items: [...everything.items] })).toEqual(everything);
  });

  it("drops what it cannot", () => {
    expect(fittingConfiguration(alder, { ...everything, items: [...everything.items] })).toEqual({
      propeller: "windmilling",
      flap: 0,
      gearDown: true,
      slip: 0.5,
      items: [],
    });
    const jet = fittingConfiguration(demoAircraft("cedar-j2"), { ...everything, items: ["speedbrake"] });
    expect(jet.items).toEqual(["speedbrake"]);
    expect(polarOf(demoAircraft("cedar-j2"), 41_000, jet).ok).toBe(true);
  });

  it("always has a polar for every aircraft with a wing", () => {
    for (const name of ["alder-s1", "rowan-r1", "larch-t2", "hornbeam-t2c", "cedar-j2", "thorn-v12"]) {
      const document = demoAircraft(name);
      expect(
        polarOf(
          document,
          document.mass.usual_kg,
          fittingConfiguration(document, { ...everything, items: [...everything.items] }),
        ).ok,
        name,
      ).toBe(true);
    }
  });
});

describe("notes beside fields", () => {
  const wrong = { ...alder, limits: { ...alder.limits, vne_mps: 40 } };
  const edited = {
    document: wrong,
    faults: [{ code: "too_small", path: "name", message: "An aircraft needs a name." }],
    doubts: doubtsAbout(wrong),
  } as unknown as Edited;

  it("put what is refused before what looks wrong, each at its place", () => {
    expect(faultAt(edited, "name")).toBe("An aircraft needs a name.");
    expect(faultAt(edited, "limits.vne_mps")).toBeNull();
    expect(noteAt(edited, "limits.vne_mps")).toBe("V_NE is not above V_A.");
    expect(noteAt(edited, "limits.va_mps")).toBeUndefined();
  });
});

describe("a blank aeroplane", () => {
  it("does not fit: what is missing is named; a whole one misses nothing", () => {
    expect(missingFigures(newAircraft("New"))).toEqual(["the wing", "the clean stall", "best glide"]);
    expect(missingFigures(demoAircraft("thorn-v12"))).toEqual([]);
  });

  it("a doubt speaks the reader's units", () => {
    const alder = demoAircraft("alder-s1");
    const odd = { ...alder, limits: { ...alder.limits, va_mps: 30 } };
    const [doubt] = doubtsAbout(odd, (si) => formatSi("speed", "kmh", si)).filter(
      ({ path }) => path === "limits.va_mps",
    );
    expect(doubt.message).toMatch(/here \d+\skm\/h; 108\skm\/h is off/);
    expect(
      doubtsAbout(odd)
        .map(({ message }) => message)
        .join(" "),
    ).not.toContain("m/s");
  });
});
