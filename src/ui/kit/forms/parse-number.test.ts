import { describe, expect, it } from "vitest";
import { nextStep, parseNumber } from "./parse-number";
import { checkBy } from "./fault";
import { SituationDocument } from "@/core/situation/situation-document";

describe("numbers as typed", () => {
  it.each([
    ["1620", 1620],
    ["1\u202f620", 1620],
    ["1 620", 1620],
    ["−90", -90],
    ["-90", -90],
    ["3,5", 3.5],
    [" 4.25 ", 4.25],
    ["", NaN],
    ["abc", NaN],
    ["12ft", NaN],
    ["1.2.3", NaN],
  ])("%j reads %f", (text, value) => {
    expect(parseNumber(text)).toBe(value);
  });

  it.each([
    [68, 1, 10, 80],
    [70, 1, 10, 80],
    [68, -1, 10, 60],
    [0.1, 2, 0.05, 0.2],
    [-47.115, 1, 0.01, -47.1],
    [2300, 10, 100, 3300],
  ])("from %f by %i steps of %f on to %f", (from, steps, step, next) => {
    expect(nextStep(from, steps, step)).toBeCloseTo(next, 6);
  });

  it("checks by the schema of the document and speaks its words", () => {
    const check = checkBy(SituationDocument.shape.heading_rad);
    expect(check(1)).toBeNull();
    expect(check(7)).toBe("A heading is 0° to 360°.");
    expect(check(NaN)).toBe("A heading is 0° to 360°.");
  });
});
