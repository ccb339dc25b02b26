import fc from "fast-check";
import { beforeEach, describe, expect, it } from "vitest";
import { evenly } from "../../../fuzz/evenly";
import { demoTakeOff, demoTakeOffQuestion } from "../../../demo/demo-take-off";
import { G0, MPS_PER_KT } from "../quantities/constants";
import { accelerate, balancedFailure_mps } from "./accelerate";
import { braked, rollOn, standing, tasOnRunway } from "./ground-roll";
import { NET_DECREMENT, clearances, heightAt_m } from "./obstacle-clearance";
import { phases } from "./phases";
import { RETURN_FLOOR_M, returnHeight } from "./return-height";
import { takeOffDay } from "./take-off-day";
import { type TakeOffPath, toRotation, takeOffPath } from "./take-off-path";
import type { TakeOffDay } from "./take-off-day";

const stop = (day: TakeOffDay, failure_mps = day.speeds.rotation_mps) => {
  const found = accelerate(day, failure_mps);
  if (!found.ok) throw new Error(found.issue.message);
  return found.value;
};
const phasesOf = (day: TakeOffDay) => {
  const found = phases(day);
  if (!found.ok) throw new Error(found.issue.message);
  return found.value;
};

describe("speeds", () => {
  it("rotation is at least 1.05 V_MCA and 1.1 V_S, the screen 1.1 V_MCA and 1.2 V_S (14 CFR 23.51 before 2017, memory)", () => {
    for (const mass_kg of [1300, 1500, 1725]) {
      const { speeds } = demoTakeOff({ mass_kg });
      expect(speeds.rotation_mps).toBeGreaterThanOrEqual(1.05 * (speeds.vmca_mps ?? 0) - 1e-9);
      expect(speeds.rotation_mps).toBeGreaterThanOrEqual(1.1 * speeds.stall_mps - 1e-9);
      expect(speeds.screen_mps).toBeCloseTo(Math.max(1.1 * (speeds.vmca_mps ?? 0), 1.2 * speeds.stall_mps), 9);
    }
    // Light, control binds; heavy, the stall does.
    expect(demoTakeOff({ mass_kg: 1300 }).speeds.rotation_mps).toBeCloseTo(
      1.05 * (demoTakeOff({ mass_kg: 1300 }).speeds.vmca_mps ?? 0),
      6,
    );
    expect(demoTakeOff({ mass_kg: 1725 }).speeds.rotation_mps).toBeCloseTo(
      1.1 * demoTakeOff({ mass_kg: 1725 }).speeds.stall_mps,
      6,
    );
  });

  it.each([
    ["mass_outside", { mass_kg: 2500 }],
    ["no_such_flap", { flap: 7 }],
    ["rotates_stalled", { plan: { rotation_mps: 20 } }],
    ["not_a_twin", { name: "alder-s1" }],
  ])("refuses %s", (code, change) => {
    expect(takeOffDay(demoTakeOffQuestion(change))).toMatchObject({ ok: false, issue: { code } });
  });
});

describe("the roll", () => {
  it("without wind gains the speed that its own mean acceleration gives, and brakes by V²/(2Ng) (arithmetic)", () => {
    const day = demoTakeOff({ mass_kg: 1600 });
    const found = rollOn(day, standing(day), 2, toRotation(day));
    if (!found.ok) throw new Error(found.issue.message);
    const { x_m, tas_mps, time_s } = found.value;
    // Acceleration falls a little with speed: the distance is a tenth over that of the mean.
    expect(x_m / ((tas_mps * time_s) / 2)).toBeGreaterThan(1);
    expect(x_m / ((tas_mps * time_s) / 2)).toBeLessThan(1.15);
    expect(braked(day, found.value).x_m - x_m).toBeCloseTo(tas_mps ** 2 / (2 * 0.25 * G0), 6);
  });

  it("starts with the wind's airspeed and covers less ground in it", () => {
    const [still, windy] = [demoTakeOff(), demoTakeOff({ headwind_kt: 15 })];
    expect(standing(windy).tas_mps).toBeGreaterThan(5);
    // In a tailwind it stands with the air from behind, and that part of the roll is rolled too.
    expect(standing(demoTakeOff({ headwind_kt: -15 })).tas_mps).toBeLessThan(-5);
    expect(stop(windy).failureX_m).toBeLessThan(0.85 * stop(still).failureX_m);
  });

  it("ends in words where it does not accelerate", () => {
    const day = demoTakeOff();
    expect(rollOn(day, standing(day), 1, (state) => 200 - state.tas_mps)).toMatchObject({
      ok: false,
      issue: { code: "no_lift_off" },
    });
  });

  it("equivalent and true airspeed part with height", () => {
    const high = demoTakeOff({ runway: { ...demoTakeOffQuestion().runway, elevation_m: 1500 } });
    expect(tasOnRunway(high, 40) / 40).toBeCloseTo(1 / Math.sqrt(0.8638), 2);
  });
});

describe("accelerate and stop, accelerate and go", () => {
  it("stopping a light twin from rotation takes about 1 800 ft with 3 s of recognition; going half as far again (common practice: 1 500 to 3 000 ft)", () => {
    const found = stop(demoTakeOff({ mass_kg: 1400 }));
    expect(found.stopX_m / 0.3048).toBeGreaterThan(1500);
    expect(found.stopX_m / 0.3048).toBeLessThan(3000);
    expect(found.goX_m ?? 0).toBeGreaterThan(found.stopX_m);
    // On the way to rotation one engine still pushes: recognition carries it on.
    expect(found.action_mps).toBeGreaterThan(found.failure_mps);
  });

  it("at maximum mass it does not come up to 50 ft on one engine from the runway, and says so", () => {
    const found = stop(demoTakeOff({ mass_kg: 1725 }));
    expect(found.goX_m).toBeNull();
    expect(found.path?.touches).not.toBeNull();
  });

  it("longer recognition, more mass and a tailwind never shorten the stop", () => {
    fc.assert(
      fc.property(
        evenly(0, 6),
        fc.integer({ min: 1200, max: 1650 }),
        fc.integer({ min: -5, max: 20 }),
        (recognition_s, mass_kg, headwind_kt) => {
          const at = (more: Parameters<typeof demoTakeOff>[0]) => {
            const day = demoTakeOff({
              mass_kg,
              headwind_kt,
              ...more,
              plan: { recognition_s, rotation_mps: 38, ...more?.plan },
            });
            return stop(day, 36).stopX_m;
          };
          const base = at({});
          expect(at({ plan: { recognition_s: recognition_s + 1 } })).toBeGreaterThan(base);
          expect(at({ mass_kg: mass_kg + 75 })).toBeGreaterThanOrEqual(base - 0.5);
          expect(at({ headwind_kt: headwind_kt - 3 })).toBeGreaterThan(base);
        },
      ),
      { numRuns: 12 },
    );
  });

  it("a jet's balanced failure speed makes both distances equal and lies under rotation", () => {
    const day = demoTakeOff({ name: "cedar-j2" });
    const balanced = balancedFailure_mps(day);
    if (!balanced.ok) throw new Error(balanced.issue.message);
    const found = stop(day, balanced.value);
    expect(found.stopX_m / (found.goX_m ?? NaN)).toBeCloseTo(1, 1);
    expect(Math.abs(found.stopX_m - (found.goX_m ?? NaN))).toBeLessThan(40);
    expect(balanced.value).toBeLessThan(day.speeds.rotation_mps);
  });
});

describe("the way on one engine of a jet", () => {
  let day: TakeOffDay;
  let found: ReturnType<typeof stop>;
  beforeEach(() => {
    day = demoTakeOff({ name: "cedar-j2" });
    found = stop(day, 62);
  });

  it("does things in the order of the segments: gear, level acceleration, flap, continuous thrust", () => {
    const order = found.path?.events.map((event) => event.kind);
    expect(order).toEqual(["lift-off", "gear-up", "screen", "acceleration-height", "flap-up", "continuous", "top"]);
  });

  it("has V_2 at the screen within 2 kt", () => {
    const screen = found.path?.events.find((event) => event.kind === "screen");
    expect(Math.abs((screen?.point.eas_mps ?? 0) - day.speeds.screen_mps)).toBeLessThan(2 * MPS_PER_KT);
  });

  it("climbs in the second segment with the gradient that equilibrium gives", () => {
    const points = found.path?.points ?? [];
    const [low, high] = [80, 250].map((height_m) => points.find((point) => point.height_m > height_m));
    const gradient = ((high?.height_m ?? 0) - (low?.height_m ?? 0)) / ((high?.x_m ?? 0) - (low?.x_m ?? 0));
    expect(gradient).toBeGreaterThan(0.05);
    expect(gradient).toBeLessThan(0.06);
  });
});

describe("phases of a take-off", () => {
  let heavy: TakeOffDay;
  let found: ReturnType<typeof phasesOf>;
  beforeEach(() => {
    heavy = demoTakeOff({ mass_kg: 1725 });
    found = phasesOf(heavy);
  });

  it("the gear comes up where the runway ends, and lands are no longer possible above", () => {
    expect(found.landUntil_m).not.toBeNull();
    expect(found.gearUp_m).toBeGreaterThanOrEqual(found.landUntil_m ?? Infinity);
    const spare = found.failures.map(({ landSpare_m }) => landSpare_m);
    for (let i = 1; i < spare.length; i += 1) expect(spare[i]).toBeLessThan(spare[i - 1]);
  });

  it("speed goes while the failure is not yet recognised", () => {
    const at = found.failures.find(({ height_m }) => height_m === 50);
    expect(at?.slowest_mps ?? Infinity).toBeLessThan(at?.at.eas_mps ?? 0);
  });

  it("high and hot it will not climb from any height", () => {
    const hot = demoTakeOff({
      mass_kg: 1725,
      air: { qnh_Pa: 101_325, deviation_K: 30 },
      runway: { ...demoTakeOffQuestion().runway, elevation_m: 1200, length_m: 2500 },
    });
    expect(phasesOf(hot).goFrom_m).toBeNull();
  });

  it("a longer runway lets it land from higher; a tall obstacle takes the going away", () => {
    const long = phasesOf(demoTakeOff({ mass_kg: 1725, runway: { ...demoTakeOffQuestion().runway, length_m: 2000 } }));
    expect(long.landUntil_m ?? 0).toBeGreaterThan(found.landUntil_m ?? Infinity);
    const walled = phasesOf(
      demoTakeOff({ mass_kg: 1725, plan: { obstacles: [{ name: "ridge", distance_m: 4000, height_m: 300 }] } }),
    );
    expect(walled.goFrom_m === null || walled.goFrom_m > (found.goFrom_m ?? 0)).toBe(true);
  });

  it("coming back begins at a height that leaves 500 ft, on a circle of the bank's radius (arithmetic)", () => {
    const back = returnHeight(heavy, found.both);
    expect(back.height_m).toBeGreaterThanOrEqual(RETURN_FLOOR_M);
    // R = V²/(g·tan φ): 81 kt at 15° is about 660 m.
    expect(back.radius_m).toBeCloseTo((heavy.speeds.oneEngine_mps ** 2 * 1.015) / (G0 * Math.tan(Math.PI / 12)), -1.5);
    expect(back.at?.height_m ?? 0).toBeGreaterThanOrEqual(back.height_m);
    const hot = demoTakeOff({ mass_kg: 1725, air: { qnh_Pa: 101_325, deviation_K: 30 } });
    expect(returnHeight(hot, phasesOf(hot).both).loss_m).toBeGreaterThan(back.loss_m);
  });
});

describe("obstacles", () => {
  let path: TakeOffPath;
  beforeEach(() => {
    const day = demoTakeOff({ mass_kg: 1400 });
    const roll = rollOn(day, standing(day), 2, toRotation(day));
    if (!roll.ok) throw new Error(roll.issue.message);
    path = takeOffPath(day, roll.value, { kind: "on-runway", time_s: roll.value.time_s }, 0);
  });

  it("are passed by the height of the way, less the decrement from the screen on", () => {
    const height_m = heightAt_m(path.points, 3000) ?? NaN;
    const screenX_m = path.events.find((event) => event.kind === "screen")?.point.x_m ?? NaN;
    const mast = { name: "mast", distance_m: 3000, height_m: 40 };
    expect(clearances(path, [mast], 0)[0].over_m).toBeCloseTo(height_m - 40, 9);
    expect(clearances(path, [mast], NET_DECREMENT)[0].over_m).toBeCloseTo(
      height_m - 40 - 0.008 * (3000 - screenX_m),
      9,
    );
  });

  it("beyond the end of the way nothing is known", () => {
    expect(clearances(path, [{ name: "far", distance_m: 19_000, height_m: 1 }], 0)[0].over_m).toBeNull();
    expect(heightAt_m(path.points, -5)).toBeNull();
  });
});
