import { describe, expect, it } from "vitest";
import { plannedReaction_s, practiceFactor } from "./pilot-practice";

describe("time without practice", () => {
  it.each([
    [0, 1],
    [90, 1],
    [180, 1.1],
    [360, 1.2],
    [2880, 1.5],
    [36_500, 1.5],
  ])("after %d days everything is %f times as much", (days, factor) => {
    expect(practiceFactor(days)).toBeCloseTo(factor, 12);
    expect(plannedReaction_s({ reaction_s: 4, daysSincePractised: days })).toBeCloseTo(4 * factor, 12);
  });
});
