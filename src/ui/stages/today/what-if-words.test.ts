import { describe, expect, it } from "vitest";
import { DEFAULT_UNITS } from "@/core/quantities/units";
import { formatIn } from "@/ui/kit/units/units-store";
import { type DayFigures, whatIfFigures, whatIfName } from "./what-if-words";
import type { WhatIf } from "@/core/situation/what-if";

const whatIf = (kind: WhatIf["kind"], by: number) => ({
  name: null,
  whatIf: { kind, by, endId: null, why: null, change: {} as WhatIf["change"] },
});
const format = formatIn(DEFAULT_UNITS);

describe("what if", () => {
  it.each([
    [whatIf("mass", 100), "+100\u00a0kg"],
    [whatIf("wind", -5.144444), "−10\u00a0kt of wind"],
    [whatIf("temperature", 10), "+10\u00a0°C"],
    [{ name: "Skerrow 11", whatIf: whatIf("runway", 0).whatIf }, "Skerrow 11"],
    [{ name: null, whatIf: null }, "today"],
  ])("is named %#", (line, name) => {
    expect(whatIfName(line, DEFAULT_UNITS)).toBe(name);
  });

  it("a difference of temperature has no zero: 10 °C are 18 °F, 100 kg are 220 lb", () => {
    const units = { ...DEFAULT_UNITS, temperature: "degF" as const, mass: "lb" as const };
    expect(whatIfName(whatIf("temperature", -10), units)).toBe("−18\u00a0°F");
    expect(whatIfName(whatIf("mass", -100), units)).toBe("−220\u00a0lb");
  });

  it("tells the figures and their difference to today, rounded against the pilot", () => {
    const today = { first: 120, second: 130, issue: null };
    const single = (change: Partial<DayFigures>) => whatIfFigures({ ...today, ...change }, today, "single", format);
    expect(single({})).toEqual(["400\u00a0ft", "130\u00a0m"]);
    expect(single({ first: 150, second: 160 })).toEqual(["500\u00a0ft (+100)", "160\u00a0m (+30)"]);
    expect(single({ first: 120.4 })[0]).toBe("400\u00a0ft");
    expect(single({ first: null })[0]).toBe("at no height");
    expect(single({ issue: "over its maximum mass" })).toEqual(["–", ""]);
  });

  it("of two engines the climb, of a jet the runway that is left", () => {
    const today = { first: -655, second: 2.032, issue: null };
    expect(whatIfFigures({ ...today, second: 1.524 }, today, "twin", format)[1]).toBe("300\u00a0ft/min (−100)");
    expect(whatIfFigures({ ...today, first: -594 }, today, "jet", format)[0]).toBe("−600\u00a0m (+60)");
    expect(whatIfFigures({ ...today, first: null }, today, "jet", format)[0]).toBe("does not fly");
  });
});
