import { describe, expect, it } from "vitest";
import { demoGyroplane, demoHelicopter } from "../../../demo/read-demo";
import { MPS_PER_KT } from "../quantities/constants";
import { rotorPowered } from "./rotor-power";

const air = { qnh_Pa: 101_325, deviation_K: 0 };
const hazel = (mass_kg = 2800, altitude_m = 0) =>
  rotorPowered({ aircraft: demoHelicopter(), mass_kg, altitude_m, air });
const osier = (mass_kg = 480, altitude_m = 0) => rotorPowered({ aircraft: demoGyroplane(), mass_kg, altitude_m, air });

describe("a rotorcraft with all engines", () => {
  // cross-check: best range of 2,800 kg at 103.4 kt.
  it("a helicopter cruises at best range and climbs at its V_Y, no steeper than is flown", () => {
    const flown = hazel();
    expect((flown?.cruiseTas_mps ?? NaN) / MPS_PER_KT).toBeCloseTo(103.4, 0);
    expect(flown?.climb_mps).toBe(7.62);
    expect(flown?.climbTas_mps).toBeCloseTo(demoHelicopter().handbook.vy_mps ?? NaN, 6);
  });

  it("climbs less when heavy and high", () => {
    expect(hazel(3000, 6000)?.climb_mps).toBeLessThan(hazel(2800, 6000)?.climb_mps ?? NaN);
    expect(hazel(3000, 6000)?.climb_mps).toBeLessThan(hazel(3000, 5000)?.climb_mps ?? NaN);
    expect(osier(480)?.climb_mps).toBeLessThan(osier(420)?.climb_mps ?? NaN);
    expect(osier(480, 2500)?.climb_mps).toBeLessThan(osier()?.climb_mps ?? NaN);
  });

  it("a gyroplane cruises faster than it climbs, within 0.9 V_NE", () => {
    const flown = osier();
    expect(flown?.cruiseTas_mps).toBeGreaterThan(flown?.climbTas_mps ?? NaN);
    expect(flown?.cruiseTas_mps).toBeLessThanOrEqual((demoGyroplane().limits.vne_mps ?? Infinity) * 0.9 + 0.05);
  });

  it("does not hold its height where the engines are too weak, and is not computed outside of the air that it knows", () => {
    const weak = demoHelicopter();
    const ratings = weak.engines.ratings.map((rating) => ({ ...rating, engine_W: 60_000, gearbox_W: 60_000 }));
    const aircraft = { ...weak, engines: { ...weak.engines, ratings } };
    const found = rotorPowered({ aircraft, mass_kg: 2800, altitude_m: 0, air });
    expect(found?.cruiseTas_mps).toBeNull();
    expect(found?.climb_mps).toBeLessThan(0);
    expect(hazel(2800, 9000)).toBeNull();
    expect(osier(480, 6000)).toBeNull();
  });
});
