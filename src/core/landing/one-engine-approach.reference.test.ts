// The approach on one engine, gone through again part by part: every speed, step and height worked out from the
// climbs of the single configurations by plainer means.
import { describe, expect, it } from "vitest";
import { demoAircraft } from "../../../demo/read-demo";
import { asymmetricCase, caseOfSameRudder } from "../asymmetric/anchored-case";
import { stallEas_mps, steadySpeeds, zeroSideslip } from "../asymmetric/one-engine-climb";
import type { Outcome } from "../outcome";
import { DEFAULT_ONE_ENGINE } from "../situation/one-engine-plan";
import { type OneEngineApproachQuestion, oneEngineApproach } from "./one-engine-approach";

const value = <T>(outcome: Outcome<T>): T => {
  if (!outcome.ok) throw new Error(outcome.issue.message);
  return outcome.value;
};

const question = (id: string, altitude_m: number, mass_kg?: number): OneEngineApproachQuestion => {
  const aircraft = demoAircraft(id);
  return {
    aircraft,
    mass_kg: mass_kg ?? aircraft.mass.usual_kg,
    centreOfGravity: 1,
    altitude_m,
    air: { qnh_Pa: 101_325, deviation_K: 0 },
    items: [],
    failed: "left",
    deadPropeller: aircraft.engines.kind === "jet" ? "none" : "feathered",
    gearUp_s: 7,
    oneEngine: DEFAULT_ONE_ENGINE,
  };
};

/** The same question's cases by configuration. */
function cases(asked: OneEngineApproachQuestion) {
  const { gearUp_s: _gear, oneEngine: _plan, ...rest } = asked;
  const clean = value(asymmetricCase({ ...rest, flap: 0, gearDown: false, setting: 1 }));
  const of = (flap: number, gearDown: boolean, setting = 1) =>
    value(caseOfSameRudder({ ...rest, flap, gearDown, setting }, clean.cnDeltaR));
  return { clean, of };
}

const DAYS = [
  ["larch-t2", 0],
  ["larch-t2", 900],
  ["hornbeam-t2c", 0],
  ["hornbeam-t2c", 1500],
  ["cedar-j2", 0],
  ["cedar-j2", 1500],
] as const;

describe.each(DAYS)("%s at %d m", (id, altitude_m) => {
  const asked = question(id, altitude_m);
  const answer = value(oneEngineApproach(asked));
  const { clean, of } = cases(asked);
  const { polar, engines } = asked.aircraft;
  if (!polar) throw new Error("no polar");
  const jet = engines.kind === "jet";
  const landing = polar.landingFlap;
  const before = landing - 1;
  const full = of(landing, true);
  const climb = (flight: ReturnType<typeof of>, eas_mps: number) => zeroSideslip(flight, eas_mps)?.climb_mps ?? NaN;
  const thin = Math.sqrt(clean.state.density / 1.225);
  const step = (name: string) => answer.steps.find((entry) => entry.name === name);
  const slope = (3 * Math.PI) / 180;

  it("comes over the threshold at 1.3 times the stall, not under minimum control speed", () => {
    const stall_mps = stallEas_mps(full, 0);
    expect(answer.vref_mps).toBeCloseTo(Math.max(1.3 * stall_mps, answer.vmca_mps ?? 0), 6);
    expect(answer.vyse_mps).toBeCloseTo(value(steadySpeeds(clean)).rate.eas_mps, 6);
  });

  it("goes on down the slope for three seconds, then levels off with 0.2 g", () => {
    const tas = answer.vref_mps / thin;
    expect(step("recognise")).toEqual({
      name: "recognise",
      time_s: 3,
      height_m: expect.closeTo(3 * tas * Math.sin(slope), 6),
    });
    // A circle of V²/(0.2·g): the angle of the slope along it, and the height under its tangent.
    const sink = tas * slope;
    expect(step("level off")?.time_s).toBeCloseTo(sink / (0.2 * 9.80665), 6);
    expect(step("level off")?.height_m).toBeCloseTo((sink * (step("level off")?.time_s ?? NaN)) / 2, 6);
  });

  it("sinks or climbs with each configuration for as long as it is there", () => {
    expect(step("landing flap up")).toEqual({
      name: "landing flap up",
      time_s: 3,
      height_m: expect.closeTo(-3 * climb(full, answer.vref_mps), 6),
    });
    expect(step("gear up")?.time_s).toBe(7);
    expect(step("gear up")?.height_m).toBeCloseTo(-7 * climb(of(before, true), answer.vref_mps), 6);
    if (jet) expect(step("approach flap up")).toBeUndefined();
    else expect(step("approach flap up")?.height_m).toBeCloseTo(-3 * climb(of(before, false), answer.vref_mps), 6);
  });

  it("gathers its speed level at the excess power half-way", () => {
    const away = jet ? of(before, false) : clean;
    const [from, to] = [answer.vref_mps / thin, answer.awaySpeed_mps / thin];
    const half = climb(away, (answer.vref_mps + answer.awaySpeed_mps) / 2);
    const seconds = answer.away_mps > 0 && half > 0 ? Math.max(to * to - from * from, 0) / (2 * 9.80665) / half : 0;
    expect(step("accelerate")).toEqual({ name: "accelerate", time_s: expect.closeTo(seconds, 6), height_m: 0 });
    expect(answer.away_mps).toBeCloseTo(climb(away, answer.awaySpeed_mps), 6);
    expect(answer.awayGradient).toBeCloseTo(answer.away_mps / to, 9);
    // 14 CFR 25.121(d) (memory): the approach climb of a jet at up to 1.4 times its stall.
    if (jet) expect(answer.awaySpeed_mps).toBeCloseTo(Math.max(1.4 * stallEas_mps(away, 0), answer.vref_mps), 6);
    else expect(answer.awaySpeed_mps).toBeCloseTo(answer.vyse_mps, 9);
  });

  it("the floor is the lowest point on the way and 50 ft, offered only where it climbs away", () => {
    let [height, lowest] = [0, 0];
    for (const { height_m } of answer.steps) {
      height -= height_m;
      lowest = Math.min(lowest, height);
    }
    expect(answer.lost_m).toBeCloseTo(-lowest, 9);
    if (answer.floor_m === null) expect(answer.away_mps).toBeLessThanOrEqual(0);
    else expect(answer.floor_m).toBeCloseTo(-lowest + 15.24, 6);
  });

  it("what the gear costs, level and by coming down early", () => {
    const cost = climb(clean, answer.vyse_mps) - climb(of(0, true), answer.vyse_mps);
    expect(answer.gearCost_mps).toBeCloseTo(cost, 9);
    const [, , sloped] = answer.parts;
    // From 1 000 to 300 ft down a slope of 3°, so many seconds.
    const seconds = ((1000 - 300) * 0.3048) / (sloped.eas_mps * Math.sin(slope));
    expect(answer.earlyGear_m).toBeCloseTo(cost * seconds, 4);
  });

  it("each part's power just holds its path, and no less would", () => {
    const flight = (i: number, setting: number) =>
      [of(0, false, setting), of(0, true, setting), of(before, true, setting), of(landing, true, setting)][i];
    answer.parts.forEach((part, i) => {
      const wanted = i < 2 ? 0 : -Math.sin(slope);
      expect(part.full_mps).toBeCloseTo(climb(flight(i, 1), part.eas_mps), 9);
      if (part.setting === null) return expect(zeroSideslip(flight(i, 1), part.eas_mps)?.sinGamma).toBeLessThan(wanted);
      const held = zeroSideslip(flight(i, part.setting), part.eas_mps);
      expect(held?.sinGamma).toBeGreaterThanOrEqual(wanted);
      expect(held?.sinGamma).toBeLessThan(wanted + 1e-4);
      expect(part.rudder).toBeCloseTo(
        Math.abs(held?.rudder_rad ?? NaN) / (asked.aircraft.asymmetric?.rudderMax_rad ?? NaN),
        9,
      );
      return undefined;
    });
  });
});
