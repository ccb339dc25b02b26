import { beforeEach, describe, expect, it } from "vitest";
import { demoTakeOff } from "../../../demo/demo-take-off";
import { oneEngineSpeeds } from "../asymmetric/one-engine-climb";
import { G0 } from "../quantities/constants";
import { rollOn, standing } from "./ground-roll";
import type { TakeOffDay } from "./take-off-day";
import { type Failure, PATH_TOP_M, type TakeOffPath, toRotation, takeOffPath } from "./take-off-path";

function flown(day: TakeOffDay, failure: Failure, gearUpAt_m = 20): TakeOffPath {
  const roll = rollOn(day, standing(day), 2, toRotation(day));
  if (!roll.ok) throw new Error(roll.issue.message);
  return takeOffPath(day, roll.value, failure, gearUpAt_m);
}
const kinds = (path: TakeOffPath) => path.events.map((event) => event.kind);
const event = (path: TakeOffPath, kind: string) => path.events.find((found) => found.kind === kind)?.point;

describe("the way into the air of a light twin", () => {
  let day: TakeOffDay;
  beforeEach(() => {
    day = demoTakeOff({ mass_kg: 1500 });
  });

  it("on both engines goes lift-off, screen, gear, top; distance and time never run back", () => {
    const path = flown(day, { kind: "never" });
    expect(kinds(path)).toEqual(["lift-off", "screen", "gear-up", "top"]);
    for (let i = 1; i < path.points.length; i += 1) {
      expect(path.points[i].x_m).toBeGreaterThan(path.points[i - 1].x_m);
      expect(path.points[i].time_s).toBeGreaterThan(path.points[i - 1].time_s);
    }
    expect(path.climbs).toBe(true);
    expect(path.touches).toBeNull();
  });

  it("after a failure the drill follows its seconds: gear, then feathering, counted from the failure", () => {
    const path = flown(day, { kind: "height", height_m: 50 }, 1000);
    const failed = event(path, "failure");
    expect(failed?.height_m ?? 0).toBeGreaterThanOrEqual(50);
    const { gearUp_s, feather_s } = day.question.plan;
    expect((event(path, "gear-up")?.time_s ?? 0) - (failed?.time_s ?? 0)).toBeCloseTo(gearUp_s, 0);
    expect((event(path, "feathered")?.time_s ?? 0) - (failed?.time_s ?? 0)).toBeCloseTo(feather_s, 0);
    expect(path.points.at(-1)?.propeller).toBe("feathered");
  });

  it("ends climbing at V_YSE with the rate that equilibrium gives there", () => {
    const path = flown(day, { kind: "height", height_m: 100 });
    const [a, b] = path.points.slice(-2);
    const rate = (b.height_m - a.height_m) / (b.time_s - a.time_s);
    const expected = oneEngineSpeeds(day.at(PATH_TOP_M, { gearDown: false, flap: 0, deadPropeller: "feathered" })).rate;
    expect(b.eas_mps / expected.eas_mps).toBeCloseTo(1, 1);
    expect(rate / expected.climb_mps).toBeCloseTo(1, 1);
  });

  it("total energy falls after a failure only by what drag takes: never more than gliding with a windmilling propeller would", () => {
    const path = flown(day, { kind: "height", height_m: 60 });
    const energy = (point: (typeof path.points)[number]) => point.height_m + point.eas_mps ** 2 / (2 * G0);
    const failedAt = event(path, "failure")?.time_s ?? 0;
    const after = path.points.filter((point) => point.time_s >= failedAt && point.time_s <= failedAt + 15);
    const lost = energy(after[0]) - energy(after[after.length - 1]);
    // One engine still runs: less than the glide's 15 s at about 5 m/s.
    expect(lost).toBeLessThan(75);
  });

  it("feathering sooner never leaves it lower", () => {
    const lowest = [5, 20, 40].map((feather_s) => {
      const heavy = demoTakeOff({ mass_kg: 1725, air: { qnh_Pa: 101_325, deviation_K: 15 }, plan: { feather_s } });
      const path = flown(heavy, { kind: "height", height_m: 60 });
      return path.points.find((point) => point.time_s >= (event(path, "failure")?.time_s ?? 0) + 60)?.height_m ?? -1;
    });
    expect(lowest[0]).toBeGreaterThan(lowest[1]);
    expect(lowest[1]).toBeGreaterThan(lowest[2]);
  });
});

describe("an aeroplane that cannot", () => {
  it("comes back to the ground and says where", () => {
    const weak = demoTakeOff({ mass_kg: 1725, air: { qnh_Pa: 101_325, deviation_K: 40 } });
    const roll = rollOn(weak, standing(weak), 2, toRotation(weak));
    if (!roll.ok) throw new Error(roll.issue.message);
    const path = takeOffPath(weak, roll.value, { kind: "on-runway", time_s: roll.value.time_s }, 0);
    expect(path.climbs).toBe(false);
    expect(path.touches?.x_m ?? 0).toBeGreaterThan(roll.value.x_m);
    expect(kinds(path)).not.toContain("top");
  });

  it("with fixed gear nothing comes up", () => {
    const base = demoTakeOff({ mass_kg: 1400 });
    const { polar } = base.question.aircraft;
    const fixed: TakeOffDay = {
      ...base,
      question: {
        ...base.question,
        aircraft: {
          ...base.question.aircraft,
          polar: polar && { ...polar, gear: { retractable: false, deltaCd: 0.005 } },
        },
      },
    };
    const path = flown(fixed, { kind: "height", height_m: 80 });
    expect(kinds(path)).not.toContain("gear-up");
    expect(path.points.every((point) => point.gear === "down")).toBe(true);
  });
});
