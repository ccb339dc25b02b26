import { describe, expect, it } from "vitest";
import { demoGyroplane } from "../../../demo/read-demo";
import { MPS_PER_KT, M_PER_FT } from "../quantities/constants";
import { FAILURE_HEIGHTS_M, climbAt_mps, gyroDeparture } from "./gyro-departure";
import { gyroCase } from "./gyro-rotor";

function flight(mass_kg: number, altitude_m = 0) {
  const found = gyroCase({ aircraft: demoGyroplane(), mass_kg, altitude_m, air: { qnh_Pa: 101_325, deviation_K: 0 } });
  if (!found.ok) throw new Error(found.issue.message);
  return found.value;
}
const CALM = { headwind_mps: 0, clear_m: 1500, runway_m: 800, bank_rad: Math.PI / 6, reaction_s: 1 };
function at(mass_kg: number, change: Partial<typeof CALM> = {}) {
  const found = gyroDeparture(flight(mass_kg), { ...CALM, ...change });
  if (!found.ok) throw new Error(found.issue.message);
  return found.value;
}

describe("an engine that stops on a gyroplane's climb-out", () => {
  it("climbs best at about fifty knots, less with mass and with altitude, and not at all far too high", () => {
    expect(at(450).climbSpeed_mps / MPS_PER_KT).toBeGreaterThan(42);
    expect(at(450).climbSpeed_mps / MPS_PER_KT).toBeLessThan(55);
    expect(at(480).climb_mps).toBeLessThan(at(400).climb_mps);
    expect(climbAt_mps(flight(450, 2000), 25)).toBeLessThan(climbAt_mps(flight(450), 25));
    expect(gyroDeparture(flight(480, 4000), CALM)).toMatchObject({ ok: false, issue: { code: "no_climb" } });
  });

  it("a load of 1.15 in the turn speeds the rotor up by its root, about 7 %", () => {
    expect(at(450).rotorRise).toBeCloseTo(Math.sqrt(1 / Math.cos(Math.PI / 6)), 1);
    expect(at(450).rotorRise).toBeGreaterThan(1.05);
    // R = V²/(g·tanφ) and three quarters of a circle.
    expect(at(450, { bank_rad: Math.PI / 4 }).turn_m).toBeLessThan(at(450).turn_m);
  });

  it("lands ahead where the ground is long enough, and says by how much it is not", () => {
    const long = at(450, { clear_m: 5000 });
    for (const { works, slow, aheadLeft_m, aheadEnds_m } of long.failures) {
      expect(aheadLeft_m).toBeCloseTo(5000 - aheadEnds_m, 9);
      if (!slow) expect(["ahead", "either"]).toContain(works);
    }
    const short = at(450, { clear_m: 400 });
    expect(short.failures.filter(({ works }) => works === "ahead")).toEqual([]);
    // Higher, it comes down farther on.
    long.failures
      .slice(1)
      .forEach(({ aheadEnds_m }, i) => expect(aheadEnds_m).toBeGreaterThan(long.failures[i].aheadEnds_m));
  });

  it("below the height that speed takes there is none for the flare; a longer reaction takes more", () => {
    const { failures } = at(450);
    const [first] = failures;
    for (const { height_m, slow, speed_m } of failures) expect(slow).toBe(height_m < (speed_m ?? 0) + 30 * M_PER_FT);
    expect(at(450, { reaction_s: 2 }).failures[0].speed_m).toBeGreaterThan(first.speed_m ?? Infinity);
    expect(at(450, { reaction_s: 2 }).failures[0].slowed_mps).toBeLessThan(first.slowed_mps);
  });

  it("turning back works over a very long runway only, and never with more than 10 kt behind", () => {
    expect(at(450).backFrom_m).toBeNull();
    const back = at(400, { runway_m: 5000 });
    expect(back.backFrom_m).toBeGreaterThan(700 * M_PER_FT);
    expect(
      at(400, { runway_m: 5000, headwind_mps: 6 }).failures.every(({ backMargin_m }) => backMargin_m === null),
    ).toBe(true);
  });

  it("against the wind it comes down sooner", () => {
    const [calm, windy] = [at(450), at(450, { headwind_mps: 5 })];
    FAILURE_HEIGHTS_M.forEach((_, i) =>
      expect(windy.failures[i].aheadEnds_m).toBeLessThan(calm.failures[i].aheadEnds_m),
    );
  });
});
