import { describe, expect, it } from "vitest";
import { type UnitChoice, DEFAULT_UNITS, formatSi } from "@/core/quantities/units";
import { departureDecision, rejectWords } from "./height-words";

type Rounding = Parameters<typeof formatSi>[3];
const format = (kind: keyof UnitChoice, value: number, rounding?: Rounding) =>
  formatSi(kind, DEFAULT_UNITS[kind], value, rounding);

describe("heights to decide at", () => {
  const heights = (rejectBelow_m: number | null, flyAwayFrom_m: number | null) => ({
    wind_mps: 0,
    rejectBelow_m,
    flyAwayFrom_m,
  });
  it("one height decides where both ways meet", () => {
    expect(departureDecision(heights(40, 20), format)).toMatchObject({
      safe: true,
      lead: expect.stringMatching(/^Sketch: Decide at 70.ft: below it back down/),
    });
  });
  it("between two heights neither is safe", () => {
    expect(departureDecision(heights(10, 60), format)).toMatchObject({
      safe: false,
      lead: expect.stringMatching(/^Sketch: Between 30.ft and 200.ft neither way is safe\.$/),
    });
    expect(departureDecision(heights(null, 60), format).lead).toContain("Between the ground and");
  });
  it("without a fly-away one departs only where one can come back", () => {
    expect(departureDecision(heights(10, null), format).lead).toContain("There is no flying away");
    expect(departureDecision(heights(null, null), format).rest).toContain("not today");
    expect(rejectWords(150, format)).toBe("any");
    expect(rejectWords(null, format)).toBe("none");
  });
});
