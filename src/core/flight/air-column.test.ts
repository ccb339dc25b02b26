import { describe, expect, it } from "vitest";
import { airAtAltitude } from "../air/altimetry";
import { airColumn, airSample, readAir } from "./air-column";

const AIR = { qnh_Pa: 101_600, deviation_K: 8 };
/** Take-off to the east: along is east, across (to the right) is south. */
const EAST = Math.PI / 2;
const column = airColumn(AIR, (altitude_m) => ({ east_mps: -2 - 0.01 * altitude_m, north_mps: 3 }), 100, EAST, 800);
const at = (height_m: number) => readAir(column, height_m, airSample());

describe("air over a runway", () => {
  it("turns the wind into along and across the take-off", () => {
    expect(at(0).along_mps).toBeCloseTo(-3, 9);
    // A wind towards the north blows from right to left of a take-off to the east.
    expect(at(0).across_mps).toBeCloseTo(-3, 9);
    expect(at(500).along_mps).toBeCloseTo(-8, 9);
  });

  it("counts heights from the runway's elevation", () => {
    for (const height_m of [0, 123.4, 700])
      expect(at(height_m).density / airAtAltitude(100 + height_m, AIR).density).toBeCloseTo(1, 6);
  });

  it("gives the wind's change with height", () => {
    expect(at(300).alongSlope_ps).toBeCloseTo(-0.01, 9);
    expect(at(300).acrossSlope_ps).toBeCloseTo(0, 12);
  });

  it.each([-2000, 5000])("holds its end at %d m, finite", (height_m) => {
    const sample = at(height_m);
    expect(Object.values(sample).every(Number.isFinite)).toBe(true);
  });

  it("can be off by the same everywhere", () => {
    const off = readAir({ ...column, alongShift_mps: 2, acrossShift_mps: -1 }, 250, airSample());
    expect(off.along_mps - at(250).along_mps).toBeCloseTo(2, 12);
    expect(off.across_mps - at(250).across_mps).toBeCloseTo(-1, 12);
    expect(off.alongSlope_ps).toBe(at(250).alongSlope_ps);
  });
});
