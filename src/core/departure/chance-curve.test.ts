import { describe, expect, it } from "vitest";
import { DEFAULT_DEPARTURE } from "../situation/departure-plan";
import { wilson } from "./chance";
import { type ChanceCurvePoint, chanceAt, chanceCurve, chanceGates, gateBracket_m } from "./chance-curve";

const count = (height_m: number, succeeded: number, flown = 100) => ({
  height_m,
  flown,
  succeeded,
  succeededInHindsight: Math.min(succeeded + 10, flown),
  stalled: 5,
});
const curve = (...chances: number[]): ChanceCurvePoint[] =>
  chances.map((chance, i) => ({
    height_m: 100 * (i + 1),
    chance,
    low: chance,
    high: chance,
    hindsight: null,
    stalled: 0,
  }));

describe("the chance curve", () => {
  it("adds up slices of a height, whatever their order, and gives shares", () => {
    const found = chanceCurve([200, 100], [count(200, 90), count(100, 20), count(200, 70)], true);
    expect(found.map((point) => [point.height_m, point.chance, point.hindsight, point.stalled])).toEqual([
      [100, 0.2, 0.3, 0.05],
      [200, 0.8, 0.9, 0.05],
    ]);
    expect(found[1]).toMatchObject(wilson(160, 200));
  });

  it("a height that nobody could fly has no chance: all stall before they act", () => {
    expect(chanceCurve([100], [], true)).toEqual([
      { height_m: 100, chance: 0, low: 0, high: 0, hindsight: 0, stalled: 1 },
    ]);
    expect(chanceCurve([100], [count(100, 50)], false)[0].hindsight).toBeNull();
    expect(chanceCurve([100], [], false)[0].hindsight).toBeNull();
  });

  it.each([
    [curve(0.1, 0.5, 0.95, 0.99), [200, 300]],
    // What holds below and not above holds nothing: the last miss decides.
    [curve(0.1, 0.95, 0.5, 0.99), [300, 400]],
    [curve(0.95, 0.99), [100]],
    [curve(0.1, 0.2, 0.3), [300]],
  ])("the gate of %# lies between %o", (points, heights) => {
    expect(gateBracket_m(points, 0.9)).toEqual(heights);
  });

  it("the school makes the gate of it", () => {
    const plan = { ...DEFAULT_DEPARTURE, school: "computed" as const, requiredChance: 0.9 };
    expect(chanceGates(plan, curve(0.1, 0.5, 0.9, 0.99)).gate_m).toBe(300);
    expect(chanceGates({ ...plan, requiredChance: 0.7 }, curve(0.1, 0.5, 0.9, 0.99)).gate_m).toBe(250);
    expect(chanceGates({ ...plan, school: "fixed" }, curve(0.1)).gate_m).toBe(plan.fixedConsider_m);
  });

  it.each([
    [100, 0.2],
    [150, 0.5],
    [300, 1],
    [99, null],
    [301, null],
  ])("at %f m the chance is %o", (height_m, expected) => {
    const found = chanceAt(curve(0.2, 0.8, 1), height_m);
    if (expected === null) expect(found).toBeNull();
    else expect(found).toBeCloseTo(expected, 9);
  });
});
