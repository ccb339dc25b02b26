import { beforeEach, describe, expect, it } from "vitest";
import { demoTakeOff } from "../../../demo/demo-take-off";
import { oneEngineSpeeds } from "../asymmetric/one-engine-climb";
import { airSample, readAir } from "../flight/air-column";
import { G0, RHO0 } from "../quantities/constants";
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

describe("the way, step by step", () => {
  /** True airspeed at a point: what its equivalent one is in the air there. */
  const tasOf = (day: TakeOffDay, { eas_mps, height_m }: TakeOffPath["points"][number]) =>
    eas_mps * Math.sqrt(RHO0 / readAir(day.air, height_m, airSample()).density);
  const steps = (path: TakeOffPath) =>
    path.points.slice(1).map((to, i) => ({ from: path.points[i], to, step_s: to.time_s - path.points[i].time_s }));

  it.each([0, 20, -10])("goes over the ground as the air does, with %i kt ahead", (headwind_kt) => {
    const day = demoTakeOff({ mass_kg: 1500, headwind_kt });
    for (const path of [flown(day, { kind: "never" }), flown(day, { kind: "height", height_m: 60 })])
      for (const { from, to, step_s } of steps(path)) {
        const rise_mps = (to.height_m - from.height_m) / step_s;
        const air_mps = readAir(day.air, from.height_m, airSample()).along_mps;
        const over_mps = Math.sqrt(tasOf(day, to) ** 2 - rise_mps ** 2) + air_mps;
        expect((to.x_m - from.x_m) / step_s / over_mps).toBeCloseTo(1, 2);
        expect(Math.sign(air_mps) + Math.sign(headwind_kt)).toBe(0);
      }
  });

  it("a jet climbs ten knots faster on both engines than on one, below its acceleration height", () => {
    // Heavy, and cleaned up late: so that it is steady before the path is over.
    const day = demoTakeOff({ name: "cedar-j2", mass_kg: 46_000, plan: { acceleration_m: 900 } });
    const late = (failure: Failure) => flown(day, failure).points.filter(({ height_m }) => height_m > 400);
    const over_mps = (failure: Failure) => late(failure).map(({ eas_mps }) => eas_mps - day.speeds.screen_mps);
    const [both, one] = [over_mps({ kind: "never" }), over_mps({ kind: "height", height_m: 15 })];
    for (const list of [both, one]) expect(list.length).toBeGreaterThan(1);
    for (const over of both) expect(over).toBeCloseTo(5.144, 0);
    for (const over of one) expect(over).toBeCloseTo(0, 0);
  });

  it("what is too fast once the failure is recognised is given up at a tenth of g at most", () => {
    const day = demoTakeOff({ name: "cedar-j2" });
    const path = flown(day, { kind: "height", height_m: 60 });
    const failed_s = event(path, "failure")?.time_s ?? NaN;
    const slowing = steps(path).filter(
      ({ from }) =>
        from.time_s > failed_s + day.question.plan.recognition_s + 1 && from.eas_mps > day.speeds.screen_mps + 1,
    );
    expect(slowing.length).toBeGreaterThan(3);
    for (const { from, to, step_s } of slowing)
      expect((tasOf(day, to) - tasOf(day, from)) / step_s).toBeGreaterThan(-0.1 * G0 - 0.15);
  });

  it("too slow to fly it lowers the nose, and gains speed at a tenth of g at most", () => {
    // Nobody acts for so long that the speed falls under that of rotation.
    const recognition_s = 10;
    const day = demoTakeOff({ mass_kg: 1650, plan: { recognition_s } });
    const path = flown(day, { kind: "height", height_m: 120 });
    const failed_s = event(path, "failure")?.time_s ?? NaN;
    const { rotation_mps } = day.speeds;
    const recovering = steps(path).filter(
      ({ from }) => from.time_s > failed_s + recognition_s && from.eas_mps < rotation_mps - 0.6,
    );
    expect(recovering.length).toBeGreaterThan(4);
    // The path curves down for some steps first.
    const gains = recovering.map(({ from, to, step_s }) => (tasOf(day, to) - tasOf(day, from)) / step_s);
    expect(Math.max(...gains)).toBeLessThan(0.1 * G0 + 0.15);
    expect(Math.max(...gains)).toBeGreaterThan(0.05 * G0);
    expect(recovering[recovering.length - 1].to.height_m).toBeLessThan(recovering[0].from.height_m);
  });

  it("a failure on the runway does not keep it there: it rotates, recognised or not", () => {
    const day = demoTakeOff({ mass_kg: 1300, plan: { recognition_s: 8 } });
    const roll = rollOn(day, standing(day), 2, toRotation(day));
    if (!roll.ok) throw new Error(roll.issue.message);
    const path = takeOffPath(day, roll.value, { kind: "on-runway", time_s: roll.value.time_s }, 20);
    const sixSeconds = path.points.find(({ time_s }) => time_s > roll.value.time_s + 6);
    expect(sixSeconds?.height_m ?? 0).toBeGreaterThan(2);
  });

  it("takes long steps only once the drill is done and the speed is there", () => {
    const day = demoTakeOff({ mass_kg: 1400 });
    const { feather_s, gearUp_s } = day.question.plan;
    const both = flown(day, { kind: "never" });
    const failed = flown(day, { kind: "height", height_m: 60 }, 1000);
    const failed_s = event(failed, "failure")?.time_s ?? NaN;
    for (const path of [both, failed])
      for (const { step_s } of steps(path))
        expect(Math.min(Math.abs(step_s - 0.25), Math.abs(step_s - 2))).toBeLessThan(1e-9);
    const long = (path: TakeOffPath) => steps(path).filter(({ step_s }) => step_s > 1);
    expect(long(both).length).toBeGreaterThan(3);
    for (const { from, to } of long(both)) {
      expect(to.gear).toBe("up");
      expect(Math.abs(from.eas_mps - day.speeds.bothEngines_mps)).toBeLessThan(0.3);
    }
    expect(long(failed).length).toBeGreaterThan(3);
    for (const { from } of long(failed)) {
      expect(from.time_s - failed_s).toBeGreaterThan(Math.max(feather_s, gearUp_s));
      expect(Math.abs(from.eas_mps - day.speeds.oneEngine_mps)).toBeLessThan(0.3);
    }
  });

  it("a jet takes none before it is clean and at continuous thrust", () => {
    const day = demoTakeOff({ name: "cedar-j2" });
    const path = flown(day, { kind: "height", height_m: 15 });
    const continuous_s = event(path, "continuous")?.time_s ?? NaN;
    const long = steps(path).filter(({ step_s }) => step_s > 1);
    expect(long.length).toBeGreaterThan(3);
    for (const { from } of long) {
      expect(from.time_s).toBeGreaterThanOrEqual(continuous_s);
      expect([from.flap, from.setting < 1]).toEqual([0, true]);
    }
  });
});
