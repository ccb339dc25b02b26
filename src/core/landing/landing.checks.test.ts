// Landing against values from outside the project.
import { describe, expect, it } from "vitest";
import { demoAircraft } from "../../../demo/read-demo";
import { cleanGlide } from "../aircraft/configuration";
import { degrees, radians } from "../quantities/angle";
import { M_PER_FT, M_PER_SM, MPS_PER_KT, P0_PA, RHO0 } from "../quantities/constants";
import { ditching, swellFigures } from "./ditching";
import { landingFigures, lengthNeeded, stoppingDistance_m } from "./landing-length";
import { touchdown } from "./touchdown";

const AIR = { qnh_Pa: P0_PA, deviation_K: 0 };
const MPH = M_PER_SM / 3600;
const alder = demoAircraft("alder-s1");
const KT = MPS_PER_KT;

describe("stopping and energy", () => {
  // FAA-H-8083-3 (memory): 9.4 and 37.6 ft at 9 g from 50 and 100 mph; by the formula 9.3 and 37.1.
  it.each([
    [50, 9.3, 9.4],
    [100, 37.1, 37.6],
  ])("9 g from %i mph: %f ft (book %f)", (speed_mph, computed_ft, book_ft) => {
    const feet = stoppingDistance_m(speed_mph * MPH, 9) / M_PER_FT;
    expect(feet).toBeCloseTo(computed_ft, 1);
    expect(Math.abs(feet / book_ft - 1)).toBeLessThan(0.02);
  });

  // FAA-H-8083-3 (memory): three times the energy; arithmetic 3.004.
  it("104 against 60 mph over the ground is three times the energy", () => {
    expect((104 / 60) ** 2).toBeCloseTo(3.004, 3);
    const { stallEas_mps } = figures();
    const touch = 1.1 * stallEas_mps;
    const found = touchdown({
      aircraft: alder,
      mass_kg: 1100,
      configuration: cleanGlide(alder),
      air: AIR,
      elevation_m: 0,
      tailwind_mps: (touch * (104 - 60)) / (104 + 60),
      flap: null,
      length_m: null,
      surface: "grass",
      stopping: 0.3,
      wheelsUp: false,
    });
    if (!found.ok) throw new Error(found.issue.message);
    // Down wind against into the same wind, the wind being such that the ground speeds are as 104 to 60.
    expect(found.value.cases.find((entry) => entry.name === "the other way")?.ratio).toBeCloseTo(1 / 3.004, 3);
  });
});

function figures() {
  const found = landingFigures(alder, 1100, cleanGlide(alder), null);
  if (!found.ok) throw new Error(found.issue.message);
  return found.value;
}

describe("swell in deep water", () => {
  // Deep-water waves: a period of 10 s is 512 ft long and runs 30.3 kt; speed 3.03 kt for each second.
  it("of 10 s is 512 ft long and runs at 30.3 kt", () => {
    const swell = swellFigures({ height_m: 2, period_s: 10, from_rad: 0 });
    expect(swell.length_m / M_PER_FT).toBeCloseTo(512, 0);
    expect(swell.speed_mps / KT).toBeCloseTo(30.3, 1);
    expect(swell.speed_mps / KT / 10).toBeCloseTo(3.03, 2);
    expect(swell.slope_rad).toBeCloseTo((Math.PI * 2) / swell.length_m, 12);
  });
});

/** Heading of the Alder, degrees. */
function heading(
  swells: readonly [number, number, number][],
  windFrom_deg: number,
  wind_kt: number,
  name = "alder-s1",
): { heading: number; rule: string } {
  const aircraft = demoAircraft(name);
  const found = ditching({
    aircraft,
    mass_kg: aircraft.mass.usual_kg,
    configuration: cleanGlide(aircraft),
    air: AIR,
    windFrom_rad: radians(windFrom_deg),
    wind_mps: wind_kt * KT,
    flap: null,
    swells: swells.map(([height_m, period_s, from]) => ({ height_m, period_s, from_rad: radians(from) })),
  });
  if (!found.ok) throw new Error(found.issue.message);
  return { heading: Math.round(degrees(found.value.best.heading_rad)) % 360, rule: found.value.rule };
}

// FAA Aeronautical Information Manual 6-3-3 (memory).
describe("ditching headings", () => {
  it.each([
    ["no swell: into the wind", [], 250, 14, 250],
    ["one swell from the west, wind from the south: along it, to the south", [[2, 10, 270]], 180, 12, 180],
    ["one swell from the west, wind from the north-west: along it, to the north", [[2, 10, 270]], 315, 12, 0],
    [
      "two: along the primary from the west, down the secondary from the north: to the south, in a calm",
      [
        [2.5, 10, 270],
        [1.2, 6, 0],
      ],
      0,
      0,
      180,
    ],
    [
      "two: down the secondary from the south, which is into the wind",
      [
        [2.5, 10, 270],
        [1.2, 6, 180],
      ],
      0,
      10,
      0,
    ],
  ] as [string, [number, number, number][], number, number, number][])("%s", (_says, swells, from, wind, expected) => {
    expect(heading(swells, from, wind).heading).toBe(expected);
  });

  it("with two of the same height the first given counts as the primary", () => {
    expect(
      heading(
        [
          [2, 10, 270],
          [2, 8, 180],
        ],
        90,
        5,
      ).heading,
    ).toBe(0);
    expect(
      heading(
        [
          [2, 8, 180],
          [2, 10, 270],
        ],
        90,
        5,
      ).heading,
    ).toBe(90);
  });

  it("in strong wind it turns towards it, as far as no face is met", () => {
    // Wind of 32 kt from the south-west, swell from the west: from south towards south-west, not to within 45° of west.
    const { heading: flown, rule } = heading([[2, 10, 270]], 225, 32);
    expect(rule).toBe("turned towards the wind");
    expect(flown).toBeGreaterThan(185);
    expect(flown).toBeLessThanOrEqual(225);
  });

  it("45 kt and a slow aircraft: into the wind; a fast one not", () => {
    expect(heading([[2, 10, 270]], 270, 45).heading).toBe(270);
    expect(heading([[2, 10, 270]], 270, 45, "cedar-j2").heading).not.toBe(270);
  });
});

describe("landing length", () => {
  const ask = (change: Partial<Parameters<typeof lengthNeeded>[0]> = {}) => {
    const found = lengthNeeded({
      figures: figures(),
      density: RHO0,
      tailwind_mps: 0,
      end: { surface: "asphalt", slope: 0, obstacle: null },
      wet: false,
      rule: "leaflet",
      ownFactor: 1.67,
      ...change,
    });
    if (!found.ok) throw new Error(found.issue.message);
    return found.value;
  };

  // UK CAA Safety Sense Leaflet 7 (memory).
  it.each([
    ["dry grass × 1.15", { end: { surface: "grass" as const, slope: 0, obstacle: null } }, 1.15],
    ["wet grass × 1.35", { end: { surface: "grass" as const, slope: 0, obstacle: null }, wet: true }, 1.35],
    ["wet paved × 1.15", { wet: true }, 1.15],
    ["2 % downhill × 1.1", { end: { surface: "asphalt" as const, slope: -0.02, obstacle: null } }, 1.1],
  ])("%s", (_says, change, factor) => {
    expect(ask(change).needed_m / ask().needed_m).toBeCloseTo(factor, 9);
  });

  it("a tailwind of a tenth of the touchdown speed × 1.2, and 1.43 on top of all (same leaflet)", () => {
    const still = ask();
    const touch = still.touchdownGroundSpeed_mps;
    expect(ask({ tailwind_mps: touch / 10 }).needed_m / still.needed_m).toBeCloseTo(1.2, 9);
    expect(still.needed_m / still.computed_m).toBeCloseTo(1.43, 9);
  });

  // Common practice: half the headwind is counted, a tailwind one and a half times.
  it("counts half of a headwind and half as much again of a tailwind where a factor is asked for", () => {
    const own = (tailwind_mps: number, rule: "factor" | "computed") => ask({ tailwind_mps, rule }).computed_m;
    expect(own(-6, "factor")).toBeCloseTo(own(-3, "computed"), 9);
    expect(own(4, "factor")).toBeCloseTo(own(6, "computed"), 9);
  });

  // Common practice: a light single at 50 ft and 1.3 V_S needs some 250 to 450 m unfactored.
  it("is that of a light single", () => {
    expect(ask({ rule: "computed" }).needed_m).toBeGreaterThan(250);
    expect(ask({ rule: "computed" }).needed_m).toBeLessThan(450);
  });
});
