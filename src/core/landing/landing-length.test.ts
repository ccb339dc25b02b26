import { describe, expect, it } from "vitest";
import { demoAircraft } from "../../../demo/read-demo";
import { cleanGlide } from "../aircraft/configuration";
import { RHO0 } from "../quantities/constants";
import { type LengthQuestion, SCREEN_M, landingFigures, lengthNeeded } from "./landing-length";

const alder = demoAircraft("alder-s1");
const figures = (mass_kg = 1000, flap: number | null = null) => {
  const found = landingFigures(alder, mass_kg, cleanGlide(alder), flap);
  if (!found.ok) throw new Error(found.issue.message);
  return found.value;
};
const LEVEL = { surface: "asphalt" as const, slope: 0, obstacle: null };
const ask = (change: Partial<LengthQuestion> = {}) =>
  lengthNeeded({
    figures: figures(),
    density: RHO0,
    tailwind_mps: 0,
    end: LEVEL,
    wet: false,
    rule: "computed",
    ownFactor: 1.67,
    ...change,
  });
const length = (change: Partial<LengthQuestion> = {}) => {
  const found = ask(change);
  if (!found.ok) throw new Error(found.issue.message);
  return found.value;
};

describe("length needed", () => {
  it("is the way from 50 ft, the flare and the roll", () => {
    const found = length();
    expect(found.threshold_m).toBe(SCREEN_M);
    expect(found.air_m).toBeCloseTo(SCREEN_M * found.ratio, 9);
    expect(found.computed_m).toBeCloseTo(found.air_m + found.flare_m + found.roll_m, 9);
    expect(found.needed_m).toBe(found.computed_m);
  });

  it.each([
    ["heavier", { figures: figures(1100) }],
    ["with less flap", { figures: figures(1000, 0) }],
    ["in thin air", { density: 1 }],
    ["with a tailwind", { tailwind_mps: 3 }],
    ["downhill", { end: { ...LEVEL, slope: -0.02 } }],
    ["wet", { wet: true }],
    ["on grass", { end: { ...LEVEL, surface: "grass" as const } }],
    ["over trees", { end: { ...LEVEL, obstacle: { name: "trees", distance_m: 40, height_m: 15 } } }],
  ])("is longer %s", (_says, change) => {
    expect(length(change).needed_m).toBeGreaterThan(length().needed_m + 5);
  });

  it("passes 50 ft over the obstacle, at the angle of the approach", () => {
    const obstacle = { name: "trees", distance_m: 40, height_m: 15 };
    const found = length({ end: { ...LEVEL, obstacle } });
    expect(found.threshold_m + obstacle.distance_m / found.ratio).toBeCloseTo(obstacle.height_m + SCREEN_M, 9);
    // One far enough away asks for nothing.
    expect(length({ end: { ...LEVEL, obstacle: { ...obstacle, distance_m: 800 } } }).threshold_m).toBe(SCREEN_M);
  });

  // 14 CFR 121.195 (memory): a jet lands within 60 % of the runway, a factor of 1.67.
  it("by a rule of one's own is what is computed times the factor that is given", () => {
    const own = length({ rule: "own", tailwind_mps: 3 });
    expect(own.factors).toEqual([{ name: "own", value: 1.67 }]);
    expect(own.needed_m / length({ rule: "factor", tailwind_mps: 3 }).needed_m).toBeCloseTo(1.67 / 1.43, 9);
    expect(length({ rule: "own", ownFactor: 1 }).needed_m).toBeCloseTo(length().needed_m, 9);
  });

  it("says when it does not stop, when there is no headway, and what is wrong with the aircraft", () => {
    expect(ask({ end: { ...LEVEL, surface: "sand", slope: -0.14 } })).toMatchObject({
      ok: false,
      issue: { code: "does_not_stop" },
    });
    expect(ask({ tailwind_mps: -40 })).toMatchObject({ ok: false, issue: { code: "no_headway" } });
    expect(landingFigures(alder, 2000, cleanGlide(alder), null)).toMatchObject({
      ok: false,
      issue: { code: "mass_outside" },
    });
    expect(landingFigures(alder, 1000, cleanGlide(alder), 7)).toMatchObject({
      ok: false,
      issue: { code: "no_such_flap" },
    });
  });
});
