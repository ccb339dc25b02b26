import { describe, expect, it } from "vitest";
import { demoTakeOff, demoTakeOffQuestion } from "../../../demo/demo-take-off";
import { DEFAULT_ONE_ENGINE } from "../situation/one-engine-plan";
import { type RollState, rollOn, standing } from "./ground-roll";
import { type WholeTakeOff, wholeTakeOff } from "./whole-take-off";

function whole(change: Parameters<typeof demoTakeOffQuestion>[0]): WholeTakeOff {
  const found = wholeTakeOff(demoTakeOffQuestion(change));
  if (!found.ok) throw new Error(found.issue.message);
  return found.value;
}
const air = (deviation_K: number) => ({ qnh_Pa: 101_325, deviation_K });

describe("going on after a failure in the air", () => {
  it.each([-25, -40])(
    "light and cold (%i K) the Larch climbs; what fails is the speed held in a steep climb, and that is what is said",
    (deviation_K) => {
      const { phases, day } = whole({ mass_kg: 1130, air: air(deviation_K) });
      expect(phases.goFrom_m).not.toBeNull();
      expect(phases.goFails).toBeNull();
      expect(phases.slow).toMatchObject({ limit: "V_MCA", limit_mps: day.speeds.vmca_mps });
      expect(phases.slow?.eas_mps).toBeLessThan(day.speeds.vmca_mps ?? 0);
      const shown = phases.failures.find((failure) => failure.height_m === 300);
      expect(shown).toMatchObject({ goes: true, fails: "control" });
      expect(shown?.path.climbs).toBe(true);
    },
  );

  it("recognised at once it stays in control", () => {
    expect(whole({ mass_kg: 1130, air: air(-25), plan: { recognition_s: 0 } }).phases.slow).toBeNull();
  });

  it("the sum without error is not the advice: a least height, or a least climb in the minute after the failure", () => {
    const heavy = whole({ mass_kg: 1725 }).phases;
    expect(heavy.goFrom_m).toBeLessThan(10);
    expect(heavy.advisedFrom_m).toBeCloseTo(121.92, 6);
    const byClimb = (leastClimb_mps: number, mass_kg = 1725) =>
      whole({ mass_kg, oneEngine: { ...DEFAULT_ONE_ENGINE, least: "climb", leastClimb_mps } }).phases;
    // It hangs low for a while: from a few metres it has not climbed as asked for within the minute.
    expect(byClimb(0.9).advisedFrom_m).toBeGreaterThan(heavy.goFrom_m ?? Infinity);
    expect(byClimb(6).advisedFrom_m).toBeNull();
    expect(byClimb(0.9, 1300).advisedFrom_m).toBeLessThan(byClimb(0.9).advisedFrom_m ?? 0);
    expect(whole({ name: "cedar-j2" }).phases.advisedFrom_m).toBe(whole({ name: "cedar-j2" }).phases.goFrom_m);
  });

  it("names what stands ahead, and what sinks, as the condition that fails", () => {
    const wall = whole({
      mass_kg: 1600,
      plan: { obstacles: [{ name: "ridge", distance_m: 4000, height_m: 400 }] },
    }).phases;
    expect([wall.goFrom_m, wall.goFails, wall.advisedFrom_m]).toEqual([null, "obstacle", null]);
    const hot = whole({ mass_kg: 1725, air: air(45) }).phases;
    expect(hot.failures[0].fails).toMatch(/climb|sinks/);
  });
});

describe("the roll", () => {
  it("mass, speed and wind move the stop smoothly, no staircase", () => {
    const stops = Array.from(
      { length: 9 },
      (_, i) => whole({ mass_kg: 1200 + 4 * i, plan: { failure_mps: 34 } }).accelerate.stopX_m,
    );
    for (let i = 1; i < stops.length; i += 1) {
      expect(stops[i]).toBeGreaterThan(stops[i - 1]);
      // Nearly straight: second differences are a hundredth of a step.
      if (i > 1) expect(Math.abs(stops[i] - 2 * stops[i - 1] + stops[i - 2])).toBeLessThan(0.02);
    }
  });

  it("in a tailwind the way from rest to no airspeed is rolled as well", () => {
    const day = demoTakeOff({ mass_kg: 1400, headwind_kt: -15 });
    const to = (state: RollState) => 30 - state.tas_mps;
    const [whole, skipped] = [standing(day), { ...standing(day), tas_mps: 0 }].map((from) => rollOn(day, from, 2, to));
    // w²/(2a) with some 5.7 m/s² at rest and 6.5 m/s of wind at the wheels: 3.7 m.
    expect((whole.ok ? whole.value.x_m : NaN) - (skipped.ok ? skipped.value.x_m : NaN)).toBeGreaterThan(3);
    expect((whole.ok ? whole.value.x_m : NaN) - (skipped.ok ? skipped.value.x_m : NaN)).toBeLessThan(5);
  });
});
