import { describe, expect, it } from "vitest";
import { degrees, radians } from "../quantities/angle";
import { USUAL_SCATTER, drawnBank_rad, pilotScatter, pooledSpread } from "./scatter";

describe("the bank that is flown", () => {
  const flown_deg = (planned_deg: number, deviation_deg: number, draw: number) =>
    degrees(drawnBank_rad(radians(planned_deg), radians(deviation_deg), draw));

  it("is the planned one and so many deviations", () => {
    expect(flown_deg(30, 5, 1.2)).toBeCloseTo(36, 9);
    expect(flown_deg(30, 5, -1.2)).toBeCloseTo(24, 9);
  });

  it("lies within 5° and 75°, unless it does not scatter", () => {
    expect(flown_deg(12, 5, -3)).toBeCloseTo(5, 9);
    expect(flown_deg(60, 5, 4)).toBeCloseTo(75, 9);
    expect(flown_deg(3, 0, 1)).toBeCloseTo(3, 9);
  });
});

describe("a pilot’s own scatter", () => {
  // By hand: (3 · 1.5² + 6 · 0.5²)/9 = 0.91667, its root 0.95743.
  it("is pooled with what is usual, which counts like three flights", () => {
    expect(pooledSpread(1.5, { spread: 0.5, count: 7 })).toBeCloseTo(0.95743, 5);
    expect(pooledSpread(1.5, { spread: 0.5, count: 10_000 })).toBeCloseTo(0.5, 2);
  });

  it("of one flight, or of none, is what is usual", () => {
    expect(pooledSpread(1.5, { spread: 0, count: 1 })).toBe(1.5);
    expect(pooledSpread(1.5, null)).toBe(1.5);
    expect(pilotScatter({ daysSincePractised: 0, own: null })).toEqual(USUAL_SCATTER);
  });

  it("stands for what was measured only, and grows with the time since practised like the usual one", () => {
    const own = { reaction_s: { spread: 0.5, count: 7 }, bank_rad: null, last: null };
    const fresh = pilotScatter({ daysSincePractised: 0, own });
    expect(fresh).toEqual({ ...USUAL_SCATTER, delay_s: fresh.delay_s });
    expect(fresh.delay_s).toBeLessThan(1);
    expect(pilotScatter({ daysSincePractised: 360, own }).delay_s).toBeCloseTo(1.2 * fresh.delay_s, 12);
  });
});
