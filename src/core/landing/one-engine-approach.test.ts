import { describe, expect, it } from "vitest";
import { demoTwinQuestion } from "../../../demo/demo-twin";
import { demoAircraft } from "../../../demo/read-demo";
import { type OneEngineApproach, type OneEngineApproachQuestion, oneEngineApproach } from "./one-engine-approach";

function ask(change: Partial<OneEngineApproachQuestion> = {}, name = "larch-t2") {
  const { flap: _flap, gearDown: _gear, setting: _setting, ...question } = demoTwinQuestion({ deadPropeller: name === "cedar-j2" ? "none" : "feathered" }, name);
  return oneEngineApproach({ ...question, gearUp_s: 8, ...change });
}
function answer(change: Partial<OneEngineApproachQuestion> = {}, name = "larch-t2"): OneEngineApproach {
  const found = ask(change, name);
  if (!found.ok) throw new Error(found.issue.message);
  return found.value;
}

describe("one engine on the approach", () => {
  it("the floor is what is lost on the way to the climb, and 50 ft", () => {
    const { steps, lost_m, floor_m } = answer();
    let [height, lowest] = [0, 0];
    for (const step of steps) {
      height -= step.height_m;
      lowest = Math.min(lowest, height);
    }
    expect(lost_m).toBeCloseTo(-lowest, 9);
    expect(floor_m).toBeCloseTo(lost_m + 15.24, 9);
  });

  it("is higher when the gear is slow, the day hot or the propeller windmilling; none when it does not climb away", () => {
    const usual = answer().floor_m ?? NaN;
    expect(answer({ gearUp_s: 20 }).floor_m).toBeGreaterThan(usual);
    expect(answer({ air: { qnh_Pa: 101_325, deviation_K: 25 } }).floor_m).toBeGreaterThan(usual);
    expect(answer({ deadPropeller: "windmilling", altitude_m: 1500 }).floor_m).toBeNull();
    expect(answer({ mass_kg: 1400 }).floor_m).toBeLessThan(usual);
  });

  // Common practice: gear and full flap take a light twin's climb on one engine away altogether.
  it("with gear and landing flap a light twin does not climb, and level flight with the gear down takes nearly all there is", () => {
    for (const name of ["larch-t2", "hornbeam-t2c"]) {
      const { parts, gearCost_mps } = answer({}, name);
      expect(parts[3].full_mps, name).toBeLessThan(0);
      expect(parts[1].setting ?? 1, name).toBeGreaterThan(0.85);
      // 100 to 250 ft/min for the gear.
      expect(gearCost_mps * 196.85, name).toBeGreaterThan(100);
      expect(gearCost_mps * 196.85, name).toBeLessThan(250);
    }
  });

  it("more power asks for more rudder, down the slope for less than level with the gear out", () => {
    const [clean, gear, slope] = answer().parts;
    expect(gear.setting).toBeGreaterThan(clean.setting ?? 1);
    expect(gear.rudder).toBeGreaterThan(clean.rudder ?? 1);
    expect(slope.setting).toBeLessThan(gear.setting ?? 0);
  });

  // 14 CFR 25.121(d) (memory): 2.1 % with approach flap, gear up.
  it("the jet climbs away with approach flap by more than 2.1 % at its usual mass", () => {
    const aircraft = demoAircraft("cedar-j2");
    expect(answer({ mass_kg: aircraft.mass.usual_kg }, "cedar-j2").awayGradient).toBeGreaterThan(0.021);
  });

  it("hands on what is wrong with the aircraft", () => {
    expect(ask({ mass_kg: 9000 })).toMatchObject({ ok: false, issue: { code: "mass_outside" } });
    expect(ask({ aircraft: demoAircraft("alder-s1") })).toMatchObject({ ok: false });
    const larch = demoAircraft("larch-t2");
    expect(ask({ aircraft: { ...larch, polar: larch.polar && { ...larch.polar, flaps: larch.polar.flaps.slice(0, 1), landingFlap: 0, takeOffFlap: 0 } } })).toMatchObject({ ok: false, issue: { code: "no_flaps" } });
  });
});
