import { describe, expect, it } from "vitest";
import { DEFAULT_UNITS, formatSi } from "@/core/quantities/units";
import { whatIfHeight, whatIfName, whatIfSecond } from "./what-if-words";
import type { WhatIf } from "@/core/situation/what-if";

const whatIf = (kind: WhatIf["kind"], by: number) => ({
  name: null,
  whatIf: { kind, by, endId: null, why: null, change: {} as WhatIf["change"] },
});
const format = (kind: "height" | "length" | "verticalSpeed", si: number, rounding?: "up" | "down") =>
  formatSi(kind, DEFAULT_UNITS[kind], si, rounding);

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

  it("tells the height and the difference to today, or why there is none", () => {
    const today = { from_m: 120, second: 0, issue: null };
    expect(whatIfHeight(today, today, format)).toBe("400\u00a0ft");
    expect(whatIfHeight({ ...today, from_m: 150 }, today, format)).toBe("500\u00a0ft (+100\u00a0ft)");
    expect(whatIfHeight({ ...today, from_m: 120.4 }, today, format)).toBe("400\u00a0ft");
    expect(whatIfHeight({ ...today, from_m: null }, today, format)).toBe("at no height");
    expect(whatIfSecond({ ...today, second: 130 }, today, false, format)).toBe("130\u00a0m");
    expect(whatIfSecond({ ...today, second: 1.524 }, { ...today, second: 2.032 }, true, format)).toBe(
      "300\u00a0ft/min (−100)",
    );
    expect(whatIfHeight({ ...today, issue: "over its maximum mass" }, today, format)).toBe("over its maximum mass");
  });
});
