import { describe, expect, it } from "vitest";
import { demoGyroplane } from "../../../../../demo/read-demo";
import { type UnitChoice, DEFAULT_UNITS, formatSi } from "@/core/quantities/units";
import { gyroClimbOut } from "@/core/rotor/gyro-answer";
import { climbOutDecision, failureWords, riseWords } from "./climb-out-words";

type Rounding = Parameters<typeof formatSi>[3];
const format = (kind: keyof UnitChoice, value: number, rounding?: Rounding) =>
  formatSi(kind, DEFAULT_UNITS[kind], value, rounding);
const at = (clear_m: number, runway_m: number) => {
  const found = gyroClimbOut(
    { aircraft: demoGyroplane(), mass_kg: 400, altitude_m: 0, air: { qnh_Pa: 101_325, deviation_K: 0 } },
    { headwind_mps: 0, clear_m, runway_m, bank_rad: 0.52, reaction_s: 1 },
  );
  if (!found.ok) throw new Error(found.issue.message);
  return found.value;
};

describe("the decision on a gyroplane's climb-out", () => {
  it("ahead where the ground is long enough, with what speed there is low down", () => {
    const said = climbOutDecision(at(5000, 800), format);
    expect(said).toMatchObject({ safe: true, lead: "Sketch: Nose down, and land ahead." });
    expect(said.rest).toMatch(/Turning back works from no height here\. Up to \d+.ft there is no height/);
    expect(failureWords(at(5000, 800).failures[0])).toBe("ahead, without speed to flare");
  });
  it("names the heights between which nothing works", () => {
    const said = climbOutDecision(at(900, 800), format);
    expect(said.safe).toBe(false);
    expect(said.lead).toMatch(/^Sketch: Between \d+.ft and 1.000.ft neither ahead nor back works\.$/);
  });
  it("tells from where turning back works", () => {
    expect(climbOutDecision(at(5000, 5000), format).rest).toMatch(/^Turning back works from [\d\u202f]+.ft\./);
    const words = at(5000, 5000).failures.map(failureWords);
    expect(words.at(-1)).toBe("ahead, or back");
  });
  it("a rise of the rotor has a sign", () => {
    expect([riseWords(1.074), riseWords(0.97)]).toEqual(["+7 %", "−3 %"]);
  });
});
