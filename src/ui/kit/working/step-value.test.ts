import { describe, expect, it } from "vitest";
import { DEFAULT_UNITS } from "@/core/quantities/units";
import { stepValue } from "./step-value";
import { figureFirst } from "./working-store";

describe("value of a step", () => {
  it.each([
    [{ value: 34.328818, unit: "m/s" }, "66.73\u202fkt", "34.33\u202fm/s"],
    [{ value: 682.1, unit: "m" }, "2238\u202fft", "682.1\u202fm"],
    [{ value: Math.PI / 6, unit: "rad" }, "30.00°", "0.5236\u202frad"],
    [{ value: 0.0617, unit: "" }, "0.06170", null],
    [{ value: -0.5, unit: "" }, "−0.5000", null],
    [{ value: 1000, unit: "kg" }, "1000\u202fkg", null],
    [{ value: 0, unit: "s" }, "0\u202fs", null],
    [{ value: "RSL", unit: "" }, "RSL", null],
  ])("%o is shown in the user's unit with SI beside it", (step, shown, si) => {
    expect(stepValue({ symbol: "x", ...step }, DEFAULT_UNITS)).toEqual({ shown, si });
  });

  it("shows a rate of descent in ft/min", () => {
    expect(stepValue({ symbol: "sink", value: 3.68, unit: "m/s" }, DEFAULT_UNITS).shown).toBe("724.4\u202fft/min");
  });

  it("brings the figure's own lines to the front and keeps the rest in order", () => {
    const step = (figure: string, symbol: string) => ({
      figure,
      symbol,
      meaning: "",
      formula: "",
      value: 0,
      unit: "",
      source: "",
    });
    expect(
      figureFirst([step("a", "1"), step("b", "2"), step("a", "3"), step("b", "4")], "b").map((line) => line.symbol),
    ).toEqual(["2", "4", "1", "3"]);
  });
});
