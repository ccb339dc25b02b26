// Room for a landing without engine on a rotor, each part by hand.
import { describe, expect, it } from "vitest";
import { demoGyroplane, demoHelicopter, demoPlaces } from "../../../demo/read-demo";
import { G0, MPS_PER_KT } from "../quantities/constants";
import { type LandingEnd, landingEnds } from "./landing-end";
import { brakingOn } from "./landing-roll";
import { type LastPart, flareOver_m, halfWay_m, lastPart, rotorRoom } from "./rotor-room";

/** 30 m/s on final, sinking at 6; a flare from 20 m of 4 s at 15 m/s; 8 m/s when it touches; a rotor of 10 m. */
const last: LastPart = {
  final_mps: 30,
  sink_mps: 6,
  flare_m: 20,
  touchdown_mps: 8,
  flare_mps: 15,
  flare_s: 4,
  diameter_m: 10,
  crosswindLimit_mps: 8,
};
const [runway] = landingEnds(demoPlaces());
const end = (change: Partial<LandingEnd> = {}): LandingEnd => ({
  ...runway,
  length_m: 300,
  width_m: 30,
  surface: "grass",
  slope: 0,
  obstacle: null,
  ...change,
});
const CALM = { tailwind_mps: 0, crosswind_mps: 0 };
const room = (change: Partial<LandingEnd> = {}, wind: Partial<typeof CALM> = {}, of: LastPart = last, limit = 5) =>
  rotorRoom(of, end(change), { ...CALM, ...wind }, limit);
const slide_m = (ground_mps: number, slope = 0) => ground_mps ** 2 / (2 * G0 * (brakingOn("grass") + slope));

describe("the room that a place needs", () => {
  it("without an obstacle is the slide, and never less than one and a half rotors", () => {
    const fast = room({}, {}, { ...last, touchdown_mps: 14 });
    expect(slide_m(14)).toBeGreaterThan(15);
    expect(fast.computed_m).toBeCloseTo(slide_m(14), 9);
    expect(room({}, {}, { ...last, touchdown_mps: 1 })).toMatchObject({ computed_m: 15, needed_m: 22.5 });
    expect(fast.needed_m).toBeCloseTo(1.5 * fast.computed_m, 9);
    expect(fast.neededWidth_m).toBe(15);
  });

  it("over trees is a straight glide from 25 ft above them to the flare, the flare, and the slide", () => {
    const { computed_m } = room({ obstacle: { name: "trees", distance_m: 40, height_m: 25 } });
    // 25 + 7.62 − 20 m down at 30 for 6; 60 m of flare; 40 m before the threshold are not part of the place.
    expect(computed_m).toBeCloseTo((25 + 7.62 - 20) * 5 + 60 - 40 + slide_m(8), 9);
  });

  it("counts no gain of what stands low or far away", () => {
    const bare = room().computed_m;
    expect(room({ obstacle: { name: "fence", distance_m: 400, height_m: 1.5 } }).computed_m).toBeCloseTo(bare, 9);
    // Lower than the flare begins only the flare itself counts.
    const hedge = room({ obstacle: { name: "hedge", distance_m: 0, height_m: 3 } });
    expect(hedge.computed_m).toBeCloseTo(60 + slide_m(8), 9);
  });

  it("is less against a wind, more with one behind, in glide, flare and slide", () => {
    const obstacle = { name: "trees", distance_m: 40, height_m: 25 };
    const into = room({ obstacle }, { tailwind_mps: -5 });
    expect(into.computed_m).toBeCloseTo((12.62 * 25) / 6 + 40 - 40 + slide_m(3), 9);
    expect(into.touchdownGround_mps).toBe(3);
    const behind = room({ obstacle }, { tailwind_mps: 5 });
    expect(behind.computed_m).toBeCloseTo((12.62 * 35) / 6 + 80 - 40 + slide_m(13), 9);
    // Standing over the ground in the wind it neither flares forward nor slides.
    const standing = room({ obstacle: null }, { tailwind_mps: -20 });
    expect(standing).toMatchObject({ touchdownGround_mps: 0, computed_m: 15 });
    expect(flareOver_m(last, -20)).toBe(0);
    expect(flareOver_m(last, -5)).toBe(40);
  });

  it("is less uphill, more downhill, and endless down what no brake holds", () => {
    const fast = { ...last, touchdown_mps: 14 };
    expect(room({ slope: 0.05 }, {}, fast).computed_m).toBeCloseTo(slide_m(14, 0.05), 9);
    expect(room({ slope: -0.05 }, {}, fast).computed_m).toBeCloseTo(slide_m(14, -0.05), 9);
    expect(room({ slope: -brakingOn("grass") - 0.01 }, {}, fast)).toMatchObject({
      computed_m: Infinity,
      verdict: "too-short",
    });
  });
});

describe("why a place does not do", () => {
  it("is told in one order: width, length, slope, wind, and tight", () => {
    const { computed_m, needed_m } = room({}, {}, { ...last, touchdown_mps: 14 });
    const of = (change: Partial<LandingEnd>, wind: Partial<typeof CALM> = {}) =>
      room(change, wind, { ...last, touchdown_mps: 14 }).verdict;
    expect(of({})).toBe("fits");
    expect(of({ length_m: needed_m })).toBe("fits");
    expect(of({ length_m: needed_m - 0.1 })).toBe("tight");
    expect(of({ length_m: computed_m })).toBe("tight");
    expect(of({ length_m: computed_m - 0.1 })).toBe("too-short");
    expect(of({ width_m: 15 })).toBe("fits");
    expect(of({ width_m: 14.9, length_m: 1 })).toBe("too-narrow");
    // 5° is 8.7 %.
    expect(of({ slope: 0.087 })).toBe("fits");
    expect(of({ slope: 0.088 })).toBe("slope");
    expect(of({ slope: 0.088 }, { crosswind_mps: 9 })).toBe("slope");
    expect(of({}, { crosswind_mps: 8 })).toBe("fits");
    expect(of({}, { crosswind_mps: 8.1 })).toBe("wind");
    expect(of({}, { crosswind_mps: -8.1 })).toBe("wind");
    expect(of({ length_m: 1000 }, { tailwind_mps: 5 })).toBe("fits");
    expect(of({ length_m: 1000 }, { tailwind_mps: 5.1 })).toBe("wind");
  });
});

describe("the last part of a descent", () => {
  const air = { qnh_Pa: 101_325, deviation_K: 0 };
  const usual = { crosswindLimit_mps: null };

  it("of a helicopter: least sink, a flare that ends at the touchdown speed, 17 kt across", () => {
    const aircraft = demoHelicopter();
    const found = lastPart({ aircraft, mass_kg: aircraft.mass.usual_kg, air, altitude_m: 0 }, usual);
    if (!found.ok) throw new Error(found.issue.message);
    const { final_mps, sink_mps, flare_m, flare_mps, touchdown_mps, diameter_m, crosswindLimit_mps } = found.value;
    // A light helicopter: 45 to 65 kt, 1,300 to 2,000 ft/min, a flare from 30 to 150 ft (common practice).
    expect(final_mps / MPS_PER_KT).toBeGreaterThan(40);
    expect(final_mps / MPS_PER_KT).toBeLessThan(70);
    expect(sink_mps).toBeGreaterThan(6);
    expect(sink_mps).toBeLessThan(11);
    expect(flare_m).toBeGreaterThan(9);
    expect(flare_m).toBeLessThan(46);
    expect(flare_mps).toBeGreaterThan(touchdown_mps);
    expect(flare_mps).toBeLessThan(final_mps);
    expect(diameter_m).toBe(2 * aircraft.rotor.radius_m);
    expect(crosswindLimit_mps).toBeCloseTo(17 * MPS_PER_KT, 9);
  });

  it("of a gyroplane: 15 kt across, or what the plan says", () => {
    const aircraft = demoGyroplane();
    const question = { aircraft, mass_kg: aircraft.mass.usual_kg, air, altitude_m: 0 };
    const [free, own] = [lastPart(question, usual), lastPart(question, { crosswindLimit_mps: 5 })];
    if (!free.ok || !own.ok) throw new Error("expected a descent");
    expect(free.value.crosswindLimit_mps).toBeCloseTo(15 * MPS_PER_KT, 9);
    expect(own.value.crosswindLimit_mps).toBe(5);
    expect(free.value.touchdown_mps).toBeCloseTo(10 * MPS_PER_KT, 9);
    expect(free.value.flare_s).toBe(3.5);
  });

  it("has the failures of mass and height", () => {
    const aircraft = demoHelicopter();
    const question = { aircraft, mass_kg: aircraft.mass.usual_kg, air, altitude_m: 9000 };
    expect(lastPart(question, usual)).toMatchObject({ ok: false });
    expect(lastPart({ ...question, altitude_m: 0, mass_kg: 3 * aircraft.mass.maximum_kg }, usual)).toMatchObject({
      ok: false,
    });
  });
});

describe("the altitude that a descent's figures are taken at", () => {
  it("is half way down, and never under the place", () => {
    expect(halfWay_m(900, 100)).toBe(500);
    expect(halfWay_m(50, 100)).toBe(100);
  });
});
