import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { evenly } from "../../../fuzz/evenly";
import * as exact from "./exact";

/** Of all sizes, and evenly. */
const any = (min: number, max: number) => fc.oneof(fc.double({ min, max, noNaN: true }), evenly(min, max));
/** Distance in doubles near the size of what is expected. */
const off = (got: number, wanted: number) =>
  got === wanted ? 0 : Math.abs(got - wanted) / Math.max(Math.abs(wanted) * 2 ** -52, 5e-324);
const close = (f: (x: number) => number, of: (x: number) => number, low: number, high: number, ulps: number) =>
  fc.assert(
    fc.property(any(low, high), (x) => off(f(x), of(x)) <= ulps),
    { numRuns: 2000 },
  );

// Outside check: the engine's own functions, which differ between engines in the last bit only.
describe("functions with the same bits everywhere, against the engine's own", () => {
  it("sine and cosine to the last bits of 1, arcs to their own last bits", () => {
    fc.assert(
      fc.property(
        any(-1000, 1000),
        (x) =>
          Math.abs(exact.sin(x) - Math.sin(x)) <= 4e-16 + 1e-19 * Math.abs(x) &&
          Math.abs(exact.cos(x) - Math.cos(x)) <= 4e-16 + 1e-19 * Math.abs(x),
      ),
      { numRuns: 3000 },
    );
    close(exact.atan, Math.atan, -1e6, 1e6, 2);
    close(exact.atan, Math.atan, -3, 3, 2);
    close(exact.tan, Math.tan, -1.4, 1.4, 3);
    close(exact.asin, Math.asin, -0.999, 0.999, 4);
  });

  it("e to a power and the logarithm over all doubles", () => {
    close(exact.exp, Math.exp, -740, 700, 4);
    close(exact.exp, Math.exp, -1, 1, 2);
    close(exact.log, Math.log, 1e-300, 1e300, 2);
    close(exact.log, Math.log, 0.5, 2, 2);
  });

  it("powers and cube roots", () => {
    fc.assert(fc.property(any(1e-6, 1e6), any(-6, 6), (x, p) => off(exact.pow(x, p), x ** p) <= 400));
  });

  it("arcs of points go all the way round", () => {
    for (const [y, x] of [
      [0, 1],
      [1, 1],
      [1, 0],
      [1, -1],
      [0, -1],
      [-1, -1],
      [-1, 0],
      [-1, 1],
    ])
      expect(exact.atan2(y, x)).toBeCloseTo(Math.atan2(y, x), 15);
    expect(exact.atan2(0, 0)).toBe(0);
  });

  it("ends are ends, and nothing loops for ever", () => {
    expect([exact.exp(-1000), exact.exp(1000), exact.log(0), exact.log(-1), exact.log(Infinity)]).toEqual([
      0,
      Infinity,
      -Infinity,
      NaN,
      Infinity,
    ]);
    expect([exact.exp(0), exact.log(1), exact.sin(0), exact.cos(0), exact.pow(0, 2)]).toEqual([1, 0, 0, 1, 0]);
    expect([exact.sin(Infinity), exact.exp(NaN)]).toEqual([NaN, NaN]);
    expect(exact.asin(2)).toBeCloseTo(Math.PI / 2, 15);
    expect(exact.log(5e-324)).toBeCloseTo(Math.log(5e-324), 10);
  });
});
