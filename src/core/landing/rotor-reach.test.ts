import { describe, expect, it } from "vitest";
import { demoGyroplane, demoHelicopter, demoSituation } from "../../../demo/read-demo";
import { destination } from "../earth/geodesic";
import { rotorDescent, rotorGlider } from "../rotor/rotor-descent";
import type { LandingEnd } from "./landing-end";
import { type RotorReachQuestion, rotorReach, rotorReachQuestion } from "./rotor-reach";
import { rotorWorking } from "./rotor-working";

const air = { qnh_Pa: 101_325, deviation_K: 0 };
const SITUATION = { ...demoSituation(), air };
const here = { latitude_deg: 50, longitude_deg: 1 };
const calm = { surface: null, layers: [] };
const field = (change: Partial<LandingEnd> = {}, ahead_m = 1500): LandingEnd => ({
  id: "field:N",
  name: "Clearing north",
  threshold: destination(here, 0, ahead_m),
  aim: destination(here, 0, ahead_m),
  headingTrue_rad: 0,
  elevation_m: 0,
  length_m: 400,
  width_m: 60,
  surface: "grass",
  unprepared: true,
  slope: 0,
  obstacle: null,
  hazards: [],
  notes: "",
  takeOff: null,
  circuit: null,
  lookedAt: null,
  ...change,
});
const ask = (
  aircraft: RotorReachQuestion["aircraft"],
  ends: LandingEnd[],
  change: Partial<RotorReachQuestion> = {},
) => {
  const found = rotorReach(
    {
      ...rotorReachQuestion(
        { ...SITUATION, position: here, altitude_m: 600, heading_rad: 0, wind: calm, mass_kg: aircraft.mass.usual_kg },
        aircraft,
        ends,
      ),
      ...change,
    },
    null,
  );
  if (!found.ok) throw new Error(found.issue.message);
  return found.value;
};

describe("where a rotorcraft comes down", () => {
  it.each([
    ["helicopter", demoHelicopter()],
    ["gyroplane", demoGyroplane()],
  ])("%s: straight ahead it spends what its ratio says, reaction and reserve besides", (_, aircraft) => {
    const [{ way, verdict }] = ask(aircraft, [field()]);
    const glider = rotorGlider({ aircraft, mass_kg: aircraft.mass.usual_kg, altitude_m: 300, air: air });
    if (!glider.ok) throw new Error(glider.issue.message);
    const descent = rotorDescent(glider.value, 0, 0.4);
    if (!descent.ok || !way.path) throw new Error("no way");
    expect(verdict).toBe("fits");
    // All of it is straight on, the reaction too; the speed lost on the way into denser air carries it a little.
    expect(way.path.used_m / (1500 / descent.value.glide.ratio)).toBeGreaterThan(0.97);
    expect(way.path.used_m / (1500 / descent.value.glide.ratio)).toBeLessThanOrEqual(1);
    expect(way.path.margin_m).toBeCloseTo(600 - way.path.used_m - SITUATION.plan.reserve_m, 6);
  });

  it("is out of reach against a wind that it reaches in with", () => {
    const wind = (from_rad: number) => ({ surface: { from_rad, speed_mps: 9 }, layers: [] });
    const far = [field({}, 1900)];
    const headed = ask(demoGyroplane(), far, { wind: wind(0) })[0];
    const pushed = ask(demoGyroplane(), far, { wind: wind(Math.PI) })[0];
    expect(pushed.way.path?.margin_m ?? -Infinity).toBeGreaterThan(headed.way.path?.margin_m ?? -Infinity);
    expect(pushed.verdict).toBe("wind");
    expect(headed.way.glideCalibrated_mps).not.toBeNull();
  });

  it("goes faster against the wind where the plan says so, and loses less by it", () => {
    const wind = { surface: { from_rad: 0, speed_mps: 10 }, layers: [] };
    const plan = SITUATION.plan;
    const [book] = ask(demoGyroplane(), [field()], { wind, plan: { ...plan, glideSpeed: "book" } });
    const [fast] = ask(demoGyroplane(), [field()], { wind, plan: { ...plan, glideSpeed: "wind" } });
    expect(fast.way.glide?.tas_mps).toBeGreaterThan((book.way.glide?.tas_mps ?? NaN) + 2);
    expect(fast.way.path?.margin_m).toBeGreaterThan(book.way.path?.margin_m ?? NaN);
  });

  it("finds the faster speed where the book's makes no headway at all", () => {
    const wind = { surface: { from_rad: 0, speed_mps: 18 }, layers: [] };
    const near = [field({}, 200)];
    const plan = SITUATION.plan;
    const [book] = ask(demoGyroplane(), near, { wind, plan: { ...plan, glideSpeed: "book" } });
    const [fast] = ask(demoGyroplane(), near, { wind, plan: { ...plan, glideSpeed: "wind" } });
    expect(book.way.status).toBe("none");
    expect(book.way.issue?.code).toBe("wind_exceeds_airspeed");
    expect(fast.way.path).not.toBeNull();
    expect(fast.way.glide?.tas_mps).toBeGreaterThan(30);
  });

  it.each<[string, Partial<LandingEnd>, string]>([
    ["long and wide enough", {}, "fits"],
    [
      "a clearing behind trees",
      { length_m: 180, obstacle: { name: "trees", distance_m: 0, height_m: 18 } },
      "too-short",
    ],
    ["trees well before it", { length_m: 180, obstacle: { name: "trees", distance_m: 600, height_m: 18 } }, "fits"],
    ["less than half as much again", { length_m: 20, width_m: 60 }, "tight"],
    ["too narrow for the rotor", { width_m: 10 }, "too-narrow"],
    ["a pad on a slope", { slope: 0.1 }, "slope"],
    ["downhill more than the brakes hold", { slope: -0.2 }, "too-short"],
  ])("%s", (_, change, verdict) => {
    expect(ask(demoHelicopter(), [field(change)])[0].verdict).toBe(verdict);
  });

  it("ranks what has room before what is nearer and has none", () => {
    const ends = [field({ id: "small", width_m: 8 }, 900), field({ id: "roomy" }, 1600), field({ id: "far" }, 9000)];
    expect(ask(demoHelicopter(), ends).map(({ end, verdict }) => [end.id, verdict])).toEqual([
      ["roomy", "fits"],
      ["small", "too-narrow"],
      ["far", "short"],
    ]);
  });

  it("has its keys in the order in which they are flown, down to the ground", () => {
    const [{ keys }] = ask(demoHelicopter(), [field({}, -800)], { altitude_m: 1300 });
    expect(keys.map(({ name }) => name)).toEqual(["steady", "final", "flare", "touchdown"]);
    expect(keys[0].height_m).toBeGreaterThan(keys[1].height_m);
    expect(keys[3].height_m).toBe(0);
    expect(keys.every(({ x_m, y_m, time_s }) => Number.isFinite(x_m + y_m + time_s))).toBe(true);
    expect(keys[3].y_m).toBeGreaterThan(keys[2].y_m);
  });

  // The figures are those of the air half way down: from 1,500 ft above it to as far below they are within 3 %.
  it.each([
    ["helicopter", demoHelicopter()],
    ["gyroplane", demoGyroplane()],
  ])("%s: the air half way down serves for both halves", (_, aircraft) => {
    const at = (altitude_m: number) => {
      const glider = rotorGlider({ aircraft, mass_kg: aircraft.mass.usual_kg, altitude_m, air: air });
      if (!glider.ok) throw new Error(glider.issue.message);
      const half = rotorDescent(glider.value, 0, 0.4);
      if (!half.ok) throw new Error(half.issue.message);
      return half.value.performance;
    };
    for (const altitude_m of [0, 914]) {
      expect(Math.abs(at(altitude_m).straightRatio / at(457).straightRatio - 1)).toBeLessThan(0.03);
      expect(at(altitude_m).straightSinkEas_mps / at(457).straightSinkEas_mps).toBeGreaterThan(0.97);
      expect(at(altitude_m).straightSinkEas_mps / at(457).straightSinkEas_mps).toBeLessThan(1.03);
    }
  });

  it("says what is wrong with mass and height", () => {
    const question = rotorReachQuestion({ ...SITUATION, mass_kg: 100 }, demoGyroplane(), [field()]);
    expect(rotorReach(question, null)).toMatchObject({ ok: false, issue: { code: "mass_outside" } });
    const high = { ...question, mass_kg: 450, altitude_m: 12_000 };
    expect(rotorReach(high, null)).toMatchObject({ ok: false, issue: { code: "too_high" } });
  });

  it("shows how the height in hand and the room come about", () => {
    const question = rotorReachQuestion({ ...SITUATION, mass_kg: 450 }, demoGyroplane(), [field()]);
    const [end] = ask(demoGyroplane(), [field()]);
    const steps = rotorWorking(question, end);
    const margin = steps.filter(({ figure }) => figure === "margin");
    const spent = margin.filter(({ symbol }) => symbol === "−").reduce((sum, { value }) => sum + Number(value), 0);
    expect(Number(margin.find(({ symbol }) => symbol === "left")?.value)).toBeCloseTo(600 - spent, 6);
    expect(steps.find(({ symbol }) => symbol === "s")?.value).toBe(end.room.computed_m);
  });
});
