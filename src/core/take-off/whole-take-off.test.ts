import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { evenly } from "../../../fuzz/evenly";
import { demoTakeOffQuestion } from "../../../demo/demo-take-off";
import { wholeTakeOff } from "./whole-take-off";

const runway = demoTakeOffQuestion().runway;
const KNOWN = [
  "runway_too_short",
  "no_lift_off",
  "no_control",
  "rotates_stalled",
  "mass_outside",
  "outside_atmosphere",
  "too_windy",
];

describe("a whole take-off", () => {
  it("is finite or a named failure in any wind, heat and height, at any mass", () => {
    fc.assert(
      fc.property(
        fc.record({
          name: fc.constantFrom("larch-t2", "hornbeam-t2c", "cedar-j2"),
          share: evenly(0, 1),
          headwind_kt: fc.integer({ min: -60, max: 90 }),
          deviation_K: fc.integer({ min: -50, max: 50 }),
          elevation_m: fc.integer({ min: -300, max: 3500 }),
          length_m: fc.integer({ min: 200, max: 4000 }),
          centreOfGravity: evenly(0, 1),
          recognition_s: evenly(0, 10),
          failed: fc.constantFrom("left" as const, "right" as const),
        }),
        ({ name, share, headwind_kt, deviation_K, elevation_m, length_m, centreOfGravity, recognition_s, failed }) => {
          const { aircraft } = demoTakeOffQuestion({ name });
          const mass_kg = aircraft.mass.minimum_kg + share * (aircraft.mass.maximum_kg - aircraft.mass.minimum_kg);
          const found = wholeTakeOff(
            demoTakeOffQuestion({
              name,
              mass_kg,
              headwind_kt,
              centreOfGravity,
              failed,
              air: { qnh_Pa: 101_325, deviation_K },
              runway: { ...runway, elevation_m, length_m },
              plan: { recognition_s },
            }),
          );
          if (!found.ok) {
            expect(KNOWN).toContain(found.issue.code);
            expect(found.issue.message.length).toBeGreaterThan(20);
            return;
          }
          const { accelerate, phases, back, day } = found.value;
          for (const figure of [
            accelerate.stopX_m,
            accelerate.action_mps,
            accelerate.goX_m ?? 0,
            back.height_m,
            back.radius_m,
            day.speeds.rotation_mps,
            day.speeds.screen_mps,
          ])
            expect(Number.isFinite(figure)).toBe(true);
          for (const failure of phases.failures) {
            expect(Number.isFinite(failure.landSpare_m) && Number.isFinite(failure.slowest_mps)).toBe(true);
            for (const point of failure.path.points)
              expect(Number.isFinite(point.height_m) && Number.isFinite(point.x_m) && point.eas_mps > 0).toBe(true);
            // What goes never sank to the ground; what fails in nothing never came below control or the stall either.
            if (failure.goes) expect(failure.path.touches).toBeNull();
            if (failure.fails === null)
              expect(failure.slowest_mps).toBeGreaterThanOrEqual(
                Math.max(day.speeds.vmca_mps ?? 0, day.speeds.stall_mps),
              );
            expect(failure.goes).toBe([null, "control", "stall"].includes(failure.fails));
          }
          if (accelerate.goX_m !== null) expect(accelerate.goX_m).toBeGreaterThan(accelerate.failureX_m - 1);
        },
      ),
      { numRuns: 25 },
    );
  });

  it("the height from which it climbs away never comes down with mass", () => {
    const from = (mass_kg: number) => {
      const found = wholeTakeOff(
        demoTakeOffQuestion({
          mass_kg,
          air: { qnh_Pa: 101_325, deviation_K: 25 },
          runway: { ...runway, elevation_m: 900, length_m: 2000 },
        }),
      );
      if (!found.ok) throw new Error(found.issue.message);
      return found.value.phases.goFrom_m ?? Infinity;
    };
    const heights = [1200, 1400, 1500, 1600, 1725].map(from);
    for (let i = 1; i < heights.length; i += 1) expect(heights[i]).toBeGreaterThanOrEqual(heights[i - 1]);
  });

  it("without a plan of its own the jet is looked at in balance, the twin at rotation", () => {
    const jet = wholeTakeOff(demoTakeOffQuestion({ name: "cedar-j2" }));
    expect(jet.ok && jet.value.accelerate.failure_mps).toBe(jet.ok && jet.value.balanced_mps);
    const twin = wholeTakeOff(demoTakeOffQuestion());
    expect(twin.ok && twin.value.accelerate.failure_mps).toBe(twin.ok && twin.value.day.speeds.rotation_mps);
    const set = wholeTakeOff(demoTakeOffQuestion({ plan: { failure_mps: 25 } }));
    expect(set.ok && set.value.accelerate.failure_mps).toBe(25);
  });
});
