import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { evenly } from "../../../fuzz/evenly";
import { type WindColumn, powerLaw, windProfile, windVector } from "./wind";

function profile(column: WindColumn, ground_m = 0) {
  const found = windProfile(column, ground_m);
  if (!found.ok) throw new Error(found.issue.message);
  return found.value;
}
const speed = (wind: { east_mps: number; north_mps: number }) => Math.hypot(wind.east_mps, wind.north_mps);

describe("wind", () => {
  it("a wind from the west blows to the east", () => {
    const wind = windVector((270 * Math.PI) / 180, 10);
    expect(wind.east_mps).toBeCloseTo(10, 9);
    expect(wind.north_mps).toBeCloseTo(0, 9);
  });

  it("follows the 1/7 law from 3 m to 300 m: 1.63 times the station's at 300 m (common practice)", () => {
    expect(powerLaw(10)).toBe(1);
    expect(powerLaw(300)).toBeCloseTo(30 ** (1 / 7), 12);
    expect(powerLaw(0)).toBe(powerLaw(3));
    expect(powerLaw(5000)).toBe(powerLaw(300));
    const at = profile({ surface: { from_rad: 1, speed_mps: 7 }, layers: [] }, 100);
    expect(speed(at(110))).toBeCloseTo(7, 9);
    expect(speed(at(400))).toBeCloseTo(7 * 30 ** (1 / 7), 9);
  });

  it("joins layers as vectors: half-way between opposite winds it is calm", () => {
    const at = profile({
      surface: null,
      layers: [
        { altitude_m: 1000, from_rad: 0, speed_mps: 10 },
        { altitude_m: 2000, from_rad: Math.PI, speed_mps: 10 },
      ],
    });
    expect(speed(at(1500))).toBeCloseTo(0, 9);
    expect(at(2500)).toEqual(at(2000));
  });

  it("meets the lowest layer without a surface wind", () => {
    const at = profile({ surface: null, layers: [{ altitude_m: 150, from_rad: 0, speed_mps: 10 }] });
    expect(speed(at(149.999))).toBeCloseTo(10, 3);
    expect(speed(at(10))).toBeCloseTo(10 / 15 ** (1 / 7), 9);
  });

  it("has no jumps in height, whatever the layers (property)", () => {
    const layer = fc.record({
      altitude_m: fc.integer({ min: 20, max: 3000 }),
      from_rad: evenly(0, 6.28),
      speed_mps: evenly(0, 30),
    });
    fc.assert(
      fc.property(
        fc.option(layer),
        fc.uniqueArray(layer, { maxLength: 4, selector: (entry) => entry.altitude_m }),
        evenly(-50, 3500),
        (surface, layers, altitude_m) => {
          const at = profile({ surface, layers });
          const a = at(altitude_m);
          const b = at(altitude_m + 1e-6);
          // Steepest: 60 m/s over one metre between two layers, times 1e-6 m.
          expect(Math.hypot(a.east_mps - b.east_mps, a.north_mps - b.north_mps)).toBeLessThan(1e-3);
        },
      ),
      { numRuns: 300, seed: 2 },
    );
  });

  it("uses a layer at or under the ground as the surface wind", () => {
    const at = profile({ surface: null, layers: [{ altitude_m: 0, from_rad: 0, speed_mps: 5 }] }, 200);
    expect(speed(at(210))).toBeCloseTo(5, 9);
  });

  it("refuses two layers at one altitude", () => {
    const found = windProfile(
      {
        surface: null,
        layers: [
          { altitude_m: 900, from_rad: 0, speed_mps: 1 },
          { altitude_m: 900, from_rad: 1, speed_mps: 2 },
        ],
      },
      0,
    );
    expect(found.ok ? "" : found.issue.code).toBe("layers_repeat");
  });
});
