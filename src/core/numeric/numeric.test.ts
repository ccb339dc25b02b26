import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { evenly } from "../../../fuzz/evenly";
import { bisect } from "./bisect";
import { halvingsTo } from "./halvings";
import { clamp } from "./clamp";
import { goldenMinimum } from "./golden-section";

describe("clamp", () => {
  it.each([
    [-2, 0],
    [0.5, 0.5],
    [7, 1],
  ])("keeps %f between 0 and 1", (value, kept) => expect(clamp(value, 0, 1)).toBe(kept));
  it("leaves what is no number", () => expect(clamp(NaN, 0, 1)).toBeNaN());
});

describe("bisect", () => {
  it("closes in on where something ceases to hold, from both sides", () => {
    fc.assert(
      fc.property(evenly(0.01, 0.99), (edge) => {
        const { low, high } = bisect((x) => x <= edge, 0, 1, 40);
        expect(low).toBeLessThanOrEqual(edge);
        expect(high).toBeGreaterThan(edge);
        expect(high - low).toBeCloseTo(2 ** -40, 15);
      }),
    );
  });
  it.each([
    [0.5, 0, 16, 5],
    [1, 0, 1, 0],
    [2, 0, 1, 0],
    [0, 0, 1, 60],
    [NaN, 0, 1, 0],
  ])("a width of %f from %f to %f takes %i halvings", (width, low, high, halvings) =>
    expect(halvingsTo(width, low, high)).toBe(halvings),
  );
  it("ends whatever it is asked for", () => {
    let asked = 0;
    bisect(() => (asked += 1) > 0, 0, 1, Infinity);
    expect(asked).toBe(60);
  });
});

describe("golden section", () => {
  it("finds the bottom of a valley", () => {
    expect(goldenMinimum((x) => (x - 0.3) ** 2, -1, 2, 1e-7)).toBeCloseTo(0.3, 6);
  });
  it.each([0, -1, NaN, 1e-300])("ends with a tolerance of %f", (tolerance) => {
    expect(goldenMinimum((x) => (x - 0.3) ** 2, -1, 2, tolerance)).toBeGreaterThanOrEqual(-1);
  });
  it("ends between ends that are not finite", () => {
    expect(goldenMinimum((x) => x, -Infinity, Infinity, 1)).toBeNaN();
  });
});
