import { describe, expect, it } from "vitest";
import { demoGyroplane, demoHelicopter } from "../../../demo/read-demo";
import { G0, MPS_PER_KT } from "../quantities/constants";
import { rotorDescent, rotorGlider } from "./rotor-descent";
import type { Rotorcraft } from "./rotor-question";

const air = { qnh_Pa: 101_325, deviation_K: 0 };
const degree = Math.PI / 180;
const gliderOf = (aircraft: Rotorcraft, mass_kg: number, altitude_m = 0) => {
  const glider = rotorGlider({ aircraft, mass_kg, altitude_m, air });
  if (!glider.ok) throw new Error(glider.issue.message);
  return glider.value;
};
const descent = (glider: ReturnType<typeof gliderOf>, headwind_mps = 0, bank_rad = 30 * degree) => {
  const found = rotorDescent(glider, headwind_mps, bank_rad);
  if (!found.ok) throw new Error(found.issue.message);
  return found.value;
};
const hazel = gliderOf(demoHelicopter(), 2800);
const osier = gliderOf(demoGyroplane(), 480);

describe("a rotorcraft descending", () => {
  // cross-check: 101.9 kt and 4.36 for 2,800 kg; 51.9 kt and 3.51 for the gyroplane, 60.4 kt in 20 kt of headwind with
  // 2.26 over the ground.
  it("reaches farthest at the speeds known for it", () => {
    expect(descent(hazel).glide.tas_mps / MPS_PER_KT).toBeCloseTo(101.9, 0);
    expect(descent(hazel).glide.ratio).toBeCloseTo(4.36, 1);
    expect(descent(osier).glide.tas_mps / MPS_PER_KT).toBeCloseTo(51.9, 0);
    expect(descent(osier).glide.ratio).toBeCloseTo(3.51, 1);
    const against = descent(osier, 20 * MPS_PER_KT).glide;
    expect(against.tas_mps / MPS_PER_KT).toBeCloseTo(60.4, 0);
    expect((against.tas_mps - 20 * MPS_PER_KT) / against.sink_mps).toBeCloseTo(2.26, 1);
  });

  it.each([
    ["a helicopter", hazel],
    ["a gyroplane", osier],
  ])("%s sinks faster in a turn, the more the steeper, by less than n²", (_, glider) => {
    const { glide } = descent(glider);
    let before = glide.sink_mps;
    for (const bank of [15, 30, 45]) {
      const { turn } = descent(glider, 0, bank * degree);
      expect(turn.sink_mps).toBeGreaterThan(before);
      expect(turn.sink_mps).toBeLessThan(glide.sink_mps * turn.loadFactor ** 2);
      before = turn.sink_mps;
    }
  });

  // common practice: a turn's radius is V²/(g·tanφ).
  it("turns as wide as any aircraft of its speed and bank", () => {
    const { glide, turn, performance } = descent(osier, 0, 20 * degree);
    expect(turn.radius_m).toBeCloseTo(glide.tas_mps ** 2 / (G0 * Math.tan(20 * degree)), 6);
    expect(performance.turnHeightPerRadianSeaLevel_m).toBeCloseTo(
      (turn.sink_mps * turn.radius_m) / glide.tas_mps / 1,
      3,
    );
  });

  it("is a steady speed at sea level density, whatever the altitude it is looked at", () => {
    const high = descent(gliderOf(demoGyroplane(), 450, 2000));
    const low = descent(gliderOf(demoGyroplane(), 450, 0));
    expect(high.glide.tas_mps).toBeGreaterThan(low.glide.tas_mps);
    expect(high.performance.straightSinkEas_mps / low.performance.straightSinkEas_mps).toBeCloseTo(1, 1);
  });

  it("keeps to the manual's V_NE and says so", () => {
    const slow = { ...demoGyroplane(), limits: { vne_mps: 24 } };
    const { glide } = descent(gliderOf(slow, 450));
    expect(glide.limited).toBe(true);
    expect(glide.tas_mps).toBeLessThanOrEqual(24);
    expect(descent(osier).glide.limited).toBe(false);
    const none = rotorDescent(gliderOf(slow, 450), 25, 0.3);
    expect(none).toMatchObject({ ok: false, issue: { code: "no_way" } });
  });

  it("refuses banks that are not flown and turns that the rotor does not carry", () => {
    expect(rotorDescent(hazel, 0, 0.01)).toMatchObject({ ok: false, issue: { code: "bank_outside" } });
    expect(rotorDescent(hazel, 0, 1.2)).toMatchObject({ ok: false, issue: { code: "bank_outside" } });
    expect(rotorDescent(hazel, 0, NaN)).toMatchObject({ ok: false, issue: { code: "bank_outside" } });
    const weak = demoHelicopter();
    const stalls = { ...weak, rotor: { ...weak.rotor, ctSigmaMax: 0.1 } };
    expect(rotorDescent(gliderOf(stalls, 2800), 0, 55 * degree)).toMatchObject({
      ok: false,
      issue: { code: "rotor_stalls" },
    });
  });
});
