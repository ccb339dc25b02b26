// The climb by altitude, of a made-up aeroplane whose rate falls by 1 m/s each kilometre.
import { describe, expect, it } from "vitest";
import { BAND_M, CEILING_MPS, climbTable } from "./climb-table";
import type { RoutePower } from "./route-power";

const asked: number[] = [];
const power: RoutePower = {
  climbEas_mps: (altitude_m) => 40 - altitude_m / 1000,
  climb: (eas_mps, altitude_m) => {
    asked.push(eas_mps);
    return { rate_mps: 4 - altitude_m / 1000, tas_mps: eas_mps * (1 + altitude_m / 20_000) };
  },
  cruiseTas_mps: () => 55,
};

describe("the climb of a flight", () => {
  it("is flown at the speed that is best where it begins, at every height", () => {
    asked.length = 0;
    const { eas_mps } = climbTable(power, { climb_mps: null }, 500, 3000);
    expect(eas_mps).toBe(39.5);
    expect(new Set(asked)).toEqual(new Set([39.5]));
  });

  it("lies straight between its rows, and beyond them is that of the nearest", () => {
    const { at } = climbTable(power, { climb_mps: null }, 0, 2000);
    expect(at(1234).rate_mps).toBeCloseTo(4 - 1.234, 9);
    expect(at(1234).tas_mps).toBeCloseTo(40 * (1 + 1234 / 20_000), 9);
    expect(at(-300)).toEqual(at(0));
    expect(at(9000)).toEqual(at(2000));
  });

  it("ends at 100 ft/min: the last row that still climbs more", () => {
    // 4 − h/1000 = 0.508 at 3,492 m.
    expect(CEILING_MPS).toBeCloseTo(0.508, 9);
    expect(climbTable(power, { climb_mps: null }, 0, 5000).ceiling_m).toBe(3400);
    expect(climbTable(power, { climb_mps: null }, 50, 5000).ceiling_m).toBe(3450);
    expect(climbTable(power, { climb_mps: null }, 0, 3000).ceiling_m).toBe(Infinity);
    // What does not climb where it begins has its ceiling there.
    expect(climbTable(power, { climb_mps: null }, 3800, 5000).ceiling_m).toBe(3800);
  });

  it("takes the rate that is given at every height, with the speed of its own", () => {
    const { at, ceiling_m } = climbTable(power, { climb_mps: 2 }, 0, 5000);
    expect([at(0).rate_mps, at(4321).rate_mps, ceiling_m]).toEqual([2, 2, Infinity]);
    expect(at(1000).tas_mps).toBeCloseTo(42, 9);
  });

  it("has two rows at least, whatever is asked", () => {
    const { at } = climbTable(power, { climb_mps: null }, 1000, 1000);
    expect(at(1000 + BAND_M / 2).rate_mps).toBeCloseTo(4 - 1.05, 9);
  });
});
