import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { evenly } from "../../../fuzz/evenly";
import { demoAircraft } from "../../../demo/read-demo";
import { cleanGlide } from "./configuration";
import { levelTurnLoadFactor, polarOf, stallSpeed_mps } from "./polar";
import { bestGlide } from "../glide/straight-glide";

const alder = demoAircraft("alder-s1");
const larch = demoAircraft("larch-t2");

function polar(aircraft: typeof alder, mass_kg: number, change: Partial<ReturnType<typeof cleanGlide>> = {}) {
  const found = polarOf(aircraft, mass_kg, { ...cleanGlide(aircraft), ...change });
  if (!found.ok) throw new Error(found.issue.message);
  return found.value;
}

describe("polar of a configuration", () => {
  it("more mass never lowers the stall speed, more flap never raises it (property)", () => {
    fc.assert(
      fc.property(evenly(680, 1100), evenly(0, 420), fc.integer({ min: 0, max: 2 }), (mass, more, flap) => {
        const heavier = Math.min(1100, mass + more);
        expect(stallSpeed_mps(polar(alder, heavier, { flap }).polar)).toBeGreaterThanOrEqual(
          stallSpeed_mps(polar(alder, mass, { flap }).polar),
        );
        if (flap > 0)
          expect(stallSpeed_mps(polar(alder, mass, { flap }).polar)).toBeLessThan(
            stallSpeed_mps(polar(alder, mass, { flap: flap - 1 }).polar),
          );
      }),
      { numRuns: 60, seed: 1 },
    );
  });

  it("stall and best glide grow with the square root of mass; the ratio stays", () => {
    const light = polar(alder, 700).polar;
    const heavy = polar(alder, 1100).polar;
    expect(stallSpeed_mps(heavy) / stallSpeed_mps(light)).toBeCloseTo(Math.sqrt(1100 / 700), 9);
    expect(bestGlide(heavy).eas_mps / bestGlide(light).eas_mps).toBeCloseTo(Math.sqrt(1100 / 700), 9);
    expect(bestGlide(heavy).ratio).toBeCloseTo(bestGlide(light).ratio, 9);
    expect(stallSpeed_mps(heavy, levelTurnLoadFactor(Math.PI / 3))).toBeCloseTo(stallSpeed_mps(heavy) * Math.SQRT2, 9);
  });

  it("adds every item to CD0 and names it", () => {
    const { polar: dirty, shares } = polar(larch, 1600, { flap: 3, gearDown: true, slip: 0.5, items: ["door"] });
    expect(shares.map((share) => share.name)).toEqual([
      "clean",
      "propeller windmilling",
      "flap 40",
      "gear down",
      "sideslip",
      "cabin door ajar",
    ]);
    expect(dirty.cd0).toBeCloseTo(
      shares.reduce((sum, share) => sum + share.deltaCd, 0),
      12,
    );
    // Two dead propellers on their disc area: 2 · 0.18 · π · 1.93²/4 / 16.8 (arithmetic).
    expect(shares[1].deltaCd).toBeCloseTo((2 * 0.18 * Math.PI * 1.93 ** 2) / 4 / 16.8, 9);
  });

  it("a feathered propeller costs less than a stopped one, that less than a windmilling one (common practice)", () => {
    const ratio = (propeller: "feathered" | "stopped" | "windmilling") =>
      bestGlide(polar(larch, 1600, { propeller }).polar).ratio;
    expect(ratio("feathered")).toBeGreaterThan(ratio("stopped"));
    expect(ratio("stopped")).toBeGreaterThan(ratio("windmilling"));
  });

  it.each([
    [alder, 1101, {}, "mass_outside"],
    [alder, 679, {}, "mass_outside"],
    [alder, NaN, {}, "mass_outside"],
    [alder, 1000, { flap: 7 }, "no_such_flap"],
    [alder, 1000, { propeller: "feathered" as const }, "no_such_propeller_state"],
    [alder, 1000, { items: ["door"] }, "no_such_item"],
    [{ ...alder, wing: null }, 1000, {}, "no_polar"],
  ])("refuses what the aircraft cannot be: %#", (aircraft, mass_kg, change, code) => {
    const found = polarOf(aircraft, mass_kg, { ...cleanGlide(aircraft), ...change });
    expect(found.ok ? "" : found.issue.code).toBe(code);
  });
});
