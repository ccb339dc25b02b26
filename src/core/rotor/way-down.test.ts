import { describe, expect, it } from "vitest";
import { demoHelicopter } from "../../../demo/read-demo";
import { MPS_PER_KT } from "../quantities/constants";
import { autorotationDown } from "./autorotation-answer";
import { secondsToLowerCollective } from "./autorotation-landing";
import { helicopterCase } from "./helicopter-case";

const question = {
  aircraft: demoHelicopter(),
  mass_kg: 2800,
  altitude_m: 300,
  air: { qnh_Pa: 101_325, deviation_K: 0 },
  tas_mps: 80 * MPS_PER_KT,
  headwind_mps: 0,
  height_m: 500,
  school: "least-sink" as const,
};
const down = (change: object = {}) => {
  const found = autorotationDown({ ...question, ...change });
  if (!found.ok) throw new Error(found.issue.message);
  return found.value;
};

describe("the way down without engines", () => {
  it("spends entry, steady part and flare, which add up to the height", () => {
    const { landing, way } = down();
    const [stop, steady, flare, touchdown] = way.keys;
    expect([stop.height_m, touchdown.height_m]).toEqual([500, 0]);
    expect(steady.height_m).toBeCloseTo(500 - landing.entry_m, 9);
    expect(flare.height_m).toBeCloseTo(landing.flare_m ?? NaN, 9);
    expect(way.steady_s * landing.steady.sink_mps + landing.entry_m + flare.height_m).toBeCloseTo(500, 6);
    expect(flare.ground_m).toBeCloseTo(way.toFlare_m, 9);
    expect(way.settled).toBe(true);
  });

  it("goes farther at the speed of best range, and less far against the wind", () => {
    expect(down({ school: "best-range" }).way.toFlare_m).toBeGreaterThan(down().way.toFlare_m);
    expect(down({ headwind_mps: 10 }).way.toFlare_m).toBeLessThan(down().way.toFlare_m);
    expect(down({ headwind_mps: -10 }).way.toFlare_m).toBeGreaterThan(down().way.toFlare_m);
  });

  it("is not settled where entry and flare leave less than five seconds, and never goes under the ground", () => {
    const { landing } = down();
    const least = landing.entry_m + (landing.flare_m ?? 0) + 5 * landing.steady.sink_mps;
    expect(down({ height_m: least + 0.1 }).way.settled).toBe(true);
    expect(down({ height_m: least - 0.1 }).way.settled).toBe(false);
    for (const height_m of [0, 5, 20]) {
      const { keys, steady_s } = down({ height_m }).way;
      expect(steady_s).toBe(0);
      expect(keys.every((key) => key.height_m >= 0 && key.height_m <= height_m)).toBe(true);
    }
  });

  // cross-check: with the collective frozen the rotor loses 11.9 % a second at first when one of two engines goes; with
  // both gone twice the power is missing.
  it("leaves well under a second to lower the collective, less when heavy", () => {
    const seconds = (mass_kg: number) => {
      const flight = helicopterCase({ ...question, mass_kg, altitude_m: 0 });
      if (!flight.ok) throw new Error(flight.issue.message);
      return secondsToLowerCollective(flight.value, 0);
    };
    expect(seconds(2800)).toBeGreaterThan(0.2);
    expect(seconds(2800)).toBeLessThan(0.65);
    expect(seconds(3000)).toBeLessThanOrEqual(seconds(2400));
    expect(down().landing.leastNr).toBeLessThan(question.aircraft.rotor.nrMinFlight);
  });

  it("needs a flare from no lower than forty feet, and says where energy does not suffice", () => {
    expect(down({ school: "best-range" }).landing.flare_m).toBeCloseTo(12, 6);
    expect(down().landing.flare_m ?? NaN).toBeGreaterThan(20);
    expect(down({ mass_kg: 3000, altitude_m: 2000 }).landing.flare_m).toBeNull();
  });
});
