import { describe, expect, it } from "vitest";
import { threeFigures, wrapHalfTurn, wrapTurn } from "./angle";
import { formatClock } from "./clock";
import { DEFAULT_UNITS, type QuantityKind, UNITS, formatNumber, formatSi, fromSi, toSi } from "./units";

describe("units", () => {
  // Definitions: the knot, mile, foot, pound and inch of mercury as in the SI brochure's tables (memory).
  it.each([
    ["speed", "kt", 100, 51.4444],
    ["speed", "mph", 100, 44.704],
    ["speed", "kmh", 100, 27.7778],
    ["height", "ft", 1000, 304.8],
    ["distance", "nmi", 1, 1852],
    ["mass", "lb", 1000, 453.592],
    ["mass", "t", 1, 1000],
    ["pressure", "inHg", 29.92, 101_320.8],
    ["temperature", "degC", 15, 288.15],
    ["temperature", "degF", 59, 288.15],
    ["verticalSpeed", "fpm", 1000, 5.08],
  ] as const)("%s: 1 %s is the right number of SI units", (kind, unit, shown, si) => {
    expect(Math.abs(toSi(kind, unit, shown) / si - 1)).toBeLessThan(1e-5);
  });

  it("goes there and back in every unit", () => {
    for (const kind of Object.keys(UNITS) as QuantityKind[])
      for (const unit of Object.keys(UNITS[kind]))
        expect(fromSi(kind, unit, toSi(kind, unit, 123.4))).toBeCloseTo(123.4, 9);
  });

  it("falls back to the usual unit for a stored name it does not know", () => {
    expect(toSi("height", "fathom", 100)).toBe(toSi("height", DEFAULT_UNITS.height, 100));
  });

  it.each([
    [1620.4, 0, 10, "1\u202f620"],
    [-94, 0, 10, "−90"],
    [-4, 0, 10, "0"],
    [-0.04, 1, 1, "0.0"],
    [1234567.8, 1, 1, "1\u202f234\u202f567.8"],
    [NaN, 0, 1, "–"],
    [Infinity, 0, 1, "–"],
  ])("writes %f as it deserves", (value, digits, step, text) => {
    expect(formatNumber(value, digits, step)).toBe(text);
  });

  it("groups heights and never pressures", () => {
    expect(formatSi("height", "ft", 701)).toBe("2\u202f300\u00a0ft");
    expect(formatSi("pressure", "hPa", 101_600)).toBe("1016\u00a0hPa");
    expect(formatSi("pressure", "inHg", 101_320.8)).toBe("29.92\u00a0inHg");
  });
});

describe("angles", () => {
  it.each([
    [0, 0],
    [2 * Math.PI, 0],
    [-1e-18, 0],
    [-Math.PI / 2, 1.5 * Math.PI],
    [7 * Math.PI, Math.PI],
  ])("wraps %f into a turn", (angle, wrapped) => {
    expect(wrapTurn(angle)).toBeCloseTo(wrapped, 12);
    expect(wrapTurn(angle)).toBeLessThan(2 * Math.PI);
  });

  it("wraps into half turns, and keeps NaN", () => {
    expect(wrapHalfTurn(1.5 * Math.PI)).toBeCloseTo(-0.5 * Math.PI, 12);
    expect(wrapHalfTurn(Math.PI)).toBeCloseTo(-Math.PI, 12);
    expect(wrapTurn(NaN)).toBeNaN();
  });

  it.each([
    [0, "360"],
    [2 * Math.PI, "360"],
    [0.0001, "360"],
    [Math.PI / 2, "090"],
    [-0.1, "354"],
    [3.9, "223"],
  ])("writes %f in three figures", (angle, text) => {
    expect(threeFigures(angle)).toBe(text);
  });
});

describe("clock", () => {
  it.each([
    [0, "0:00"],
    [5.4, "0:05"],
    [59.6, "1:00"],
    [605, "10:05"],
    [-3, "0:00"],
  ])("writes %f s", (time_s, text) => {
    expect(formatClock(time_s)).toBe(text);
  });

  it("a limit kept in five figures is shown as it was typed, whichever way it is rounded", () => {
    for (const rounding of ["down", "up"] as const)
      expect(formatSi("speed", "kt", 5.14444, rounding)).toBe("10\u00a0kt");
  });
});
