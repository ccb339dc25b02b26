// The way down on one engine, summed again in small steps of height.
import { describe, expect, it } from "vitest";
import { demoTwinQuestion } from "../../../demo/demo-twin";
import { demoAircraft } from "../../../demo/read-demo";
import { asymmetricCase } from "./anchored-case";
import type { AsymmetricQuestion } from "./asymmetric-question";
import { mendedOf } from "./climb-by-height";
import { steadySpeeds } from "./one-engine-climb";
import { oneEngineHeight } from "./one-engine-height";

const best = (question: AsymmetricQuestion) => {
  const one = asymmetricCase(question);
  if (!one.ok) throw new Error(one.issue.message);
  const speeds = steadySpeeds(one.value);
  if (!speeds.ok) throw new Error(speeds.issue.message);
  return speeds.value.rate;
};
const height = (question: AsymmetricQuestion, low_m: number) => {
  const found = oneEngineHeight(question, low_m);
  if (!found.ok) throw new Error(found.issue.message);
  return found.value;
};
const heavy = (altitude_m: number, change: Partial<AsymmetricQuestion> = {}) =>
  demoTwinQuestion({ mass_kg: 1725, centreOfGravity: 1, deadPropeller: "feathered", altitude_m, ...change });

describe("height on one engine of two", () => {
  it("that climbs is not spent, and nothing is left to mend", () => {
    const question = heavy(0);
    const found = height(question, -200);
    expect(found).toMatchObject({ levelsOff_m: null, time_s: null, mended_mps: null });
    expect(found.climb_mps).toBe(best(question).climb_mps);
    expect(found.eas_mps).toBe(best(question).eas_mps);
    expect(found.climb_mps).toBeGreaterThan(0);
  });

  it("takes the time that a sum over ten metres each gives", () => {
    for (const [high_m, low_m] of [
      [4000, 2600],
      [3600, 2400],
    ]) {
      const question = heavy(high_m);
      let time_s = 0;
      for (let at_m = high_m - 5; at_m > low_m; at_m -= 10)
        time_s += 10 / -best({ ...question, altitude_m: at_m }).climb_mps;
      const found = height(question, low_m);
      expect((found.time_s ?? NaN) / time_s).toBeCloseTo(1, 1);
      expect(Math.abs((found.time_s ?? NaN) / time_s - 1)).toBeLessThan(0.03);
      expect(found.levelsOff_m).toBeNull();
      expect(found.climb_mps).toBe(best(question).climb_mps);
      expect(found.eas_mps).toBe(best(question).eas_mps);
    }
  });

  it("ends where the rate is nothing", () => {
    const question = heavy(4000);
    const { levelsOff_m, time_s } = height(question, 0);
    expect(time_s).toBeNull();
    expect(Math.abs(best({ ...question, altitude_m: levelsOff_m ?? NaN }).climb_mps)).toBeLessThan(0.02);
    expect(levelsOff_m).toBeGreaterThan(1000);
    expect(levelsOff_m).toBeLessThan(4000);
  });

  it("says what mending is worth, as it sinks", () => {
    const question = heavy(1500, { gearDown: true, deadPropeller: "windmilling" });
    const found = height(question, 0);
    expect(found.climb_mps).toBeLessThan(0);
    expect(found.mended_mps).toBe(best(mendedOf(question)).climb_mps);
    expect(found.mended_mps).toBeGreaterThan(found.climb_mps);
    expect(found.time_s).toBeGreaterThan(0);
  });

  it("from no height there is no time", () => {
    expect(height(heavy(4000), 4000).time_s).toBe(0);
    expect(height(heavy(4000), 4500).time_s).toBe(0);
  });

  it("hands on what cannot be flown", () => {
    expect(oneEngineHeight({ ...heavy(1000), aircraft: demoAircraft("alder-s1") }, 0)).toMatchObject({ ok: false });
  });
});
