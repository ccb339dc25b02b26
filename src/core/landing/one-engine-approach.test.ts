import { describe, expect, it } from "vitest";
import { demoTwinQuestion } from "../../../demo/demo-twin";
import { demoAircraft } from "../../../demo/read-demo";
import { DEFAULT_ONE_ENGINE } from "../situation/one-engine-plan";
import { type OneEngineApproach, type OneEngineApproachQuestion, oneEngineApproach } from "./one-engine-approach";

function ask(change: Partial<OneEngineApproachQuestion> = {}, name = "larch-t2") {
  const {
    flap: _flap,
    gearDown: _gear,
    setting: _setting,
    ...question
  } = demoTwinQuestion({ deadPropeller: name === "cedar-j2" ? "none" : "feathered" }, name);
  return oneEngineApproach({ ...question, gearUp_s: 8, oneEngine: DEFAULT_ONE_ENGINE, ...change });
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

  it("keeps the limits of gear and flap, the jet's V_LO of 200 and V_FE of 190 kt among them", () => {
    for (const name of ["larch-t2", "hornbeam-t2c", "cedar-j2"]) {
      const aircraft = demoAircraft(name);
      for (const mass_kg of [aircraft.mass.minimum_kg, aircraft.mass.usual_kg, aircraft.mass.maximum_kg]) {
        const [, gear, approach, landing] = answer({ mass_kg }, name).parts;
        const { vlo_mps, vfe_mps } = aircraft.limits;
        expect(gear.eas_mps, name).toBeLessThanOrEqual((vlo_mps ?? Infinity) + 1e-9);
        for (const [part, flap] of [
          [approach, (aircraft.polar?.landingFlap ?? 1) - 1],
          [landing, aircraft.polar?.landingFlap ?? 0],
        ] as const) {
          expect(part.eas_mps, `${name} ${part.name}`).toBeLessThanOrEqual(
            Math.min(vlo_mps ?? Infinity, vfe_mps[flap] ?? Infinity) + 1e-9,
          );
          expect(part.overLimit).toBe(false);
        }
      }
    }
    expect(answer({ mass_kg: 41_000 }, "cedar-j2").parts[1].limit?.name).toBe("V_LO");
  });

  it("is advised from a least height, or while it climbs as asked for; the sum stays beside it", () => {
    const { floor_m, advisedFloor_m } = answer();
    expect(floor_m).toBeLessThan(60);
    expect(advisedFloor_m).toBeCloseTo(121.92, 6);
    const byClimb = (leastClimb_mps: number) =>
      answer({ oneEngine: { ...DEFAULT_ONE_ENGINE, least: "climb", leastClimb_mps } }).advisedFloor_m;
    expect(byClimb(0.5)).toBe(floor_m);
    expect(byClimb(5)).toBeNull();
    expect(answer({ deadPropeller: "windmilling", altitude_m: 1500 }).advisedFloor_m).toBeNull();
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
    expect(
      ask({
        aircraft: {
          ...larch,
          polar: larch.polar && {
            ...larch.polar,
            flaps: larch.polar.flaps.slice(0, 1),
            landingFlap: 0,
            takeOffFlap: 0,
          },
        },
      }),
    ).toMatchObject({ ok: false, issue: { code: "no_flaps" } });
  });

  it("names a limit only where it holds the speed back, and is over it only where nothing slower is safe", () => {
    const [clean, gear, approach] = answer({ mass_kg: 41_000 }, "cedar-j2").parts;
    expect([clean.limit, clean.overLimit]).toEqual([null, false]);
    expect(gear.limit?.name).toBe("V_LO");
    expect(gear.eas_mps).toBeCloseTo(gear.limit?.speed_mps ?? NaN, 9);
    expect(gear.overLimit).toBe(false);
    expect(approach.limit === null || approach.limit.speed_mps < clean.eas_mps).toBe(true);
    // A limit below the slowest safe speed is broken, and said to be.
    const larch = demoAircraft("larch-t2");
    const tight = { ...larch, limits: { ...larch.limits, vlo_mps: 35 } };
    const [, held] = answer({ aircraft: tight }).parts;
    expect([held.limit?.name, held.overLimit]).toEqual(["V_LO", true]);
    expect(held.eas_mps).toBeGreaterThan(35);
  });

  it("takes in the gear where it comes in, and the approach flap where there is one", () => {
    const names = (change: Partial<OneEngineApproachQuestion> = {}, name = "larch-t2") =>
      answer(change, name).steps.map((step) => step.name);
    expect(names()).toContain("gear up");
    expect(names()).toContain("approach flap up");
    expect(names({}, "cedar-j2")).not.toContain("approach flap up");
    const larch = demoAircraft("larch-t2");
    if (!larch.polar) throw new Error("no polar");
    const fixed = { ...larch, polar: { ...larch.polar, gear: { ...larch.polar.gear, retractable: false } } };
    expect(names({ aircraft: fixed })).not.toContain("gear up");
    const { flaps } = larch.polar;
    const two = {
      ...larch,
      polar: { ...larch.polar, flaps: [flaps[0], flaps[flaps.length - 1]], landingFlap: 1, takeOffFlap: 0 },
      limits: { ...larch.limits, vfe_mps: [null, larch.limits.vfe_mps.at(-1) ?? null] },
    };
    expect(names({ aircraft: two })).not.toContain("approach flap up");
    expect(answer({ aircraft: two }).parts[3].flapName).toBe(flaps[flaps.length - 1].name);
  });

  it("where it does not climb away there is no floor, no time to gather speed, and no power for level flight", () => {
    const { floor_m, away_mps, steps, parts } = answer({ deadPropeller: "windmilling", altitude_m: 2600 });
    expect(away_mps).toBeLessThan(0);
    expect(floor_m).toBeNull();
    expect(steps.find(({ name }) => name === "accelerate")?.time_s).toBe(0);
    expect(parts[1].setting).toBeNull();
    expect(parts[1].rudder).toBeNull();
    expect(parts[1].full_mps).toBeLessThan(0);
  });

  it("holds the slope at the power it says: full power less, by the share that it takes off", () => {
    const { parts } = answer();
    for (const part of parts) {
      if (part.setting === null) continue;
      expect(part.setting).toBeGreaterThan(0);
      expect(part.setting).toBeLessThanOrEqual(1);
      // What full power climbs more than is asked for is what the lever takes back.
      expect(part.setting < 1 || part.full_mps <= 0.05).toBe(true);
    }
    expect(parts[2].setting).toBeLessThan(1);
  });
});
