import { describe, expect, it } from "vitest";
import { schoolGates } from "@/core/departure/gate";
import { DEFAULT_UNITS } from "@/core/quantities/units";
import { DEFAULT_DEPARTURE } from "@/core/situation/departure-plan";
import { formatIn } from "@/ui/kit/units/units-store";
import { type GateTold, gateDecision, gateHeadline } from "./departure-words";

const format = formatIn(DEFAULT_UNITS);
const FT = 0.3048;
const told = (
  school: "higher" | "fixed" | "computed" | "spot-ahead",
  computed_ft: number | null | undefined,
  bands = [{ from_m: 330 * FT, to_m: 1150 * FT }],
): GateTold => {
  const plan = { ...DEFAULT_DEPARTURE, school };
  return {
    plan,
    bands,
    gates: computed_ft === undefined ? null : schoolGates(plan, computed_ft === null ? null : computed_ft * FT),
    computing: false,
  };
};
const plain = (text: string) => text.replace(/[\u00a0\u202f]/g, " ");

describe("the gate as the one headline", () => {
  it.each([
    [
      "higher",
      550,
      "Gate 1 000 ft.",
      "The fixed height decides, it is the higher: 90 in 100 turns succeed from 550 ft; flown exactly as planned it works from 330 ft to 1 150 ft.",
    ],
    [
      "higher",
      1200,
      "Gate 1 200 ft.",
      "The computed height decides, it is the higher: 90 in 100 turns succeed from 1 200 ft; the fixed height is 1 000 ft;",
    ],
    ["computed", 550, "Gate 550 ft.", "Computed, by the school chosen"],
    ["higher", null, "No turning back today.", "90 in 100 turns succeed at no height"],
    ["spot-ahead", 550, "A spot ahead, no turning back.", "By the school chosen"],
    ["higher", undefined, "No gate yet.", "So far: flown exactly as planned it works from 330 ft to 1 150 ft."],
  ] as const)("school %s with %s: %s", (school, computed_ft, lead, rest) => {
    const said = gateDecision(told(school, computed_ft), format);
    expect(plain(said.lead)).toBe(lead);
    expect(plain(said.rest)).toContain(rest);
  });

  it("where no turn works at all, none is said to need flying without error", () => {
    expect(gateDecision(told("higher", null, []), format).rest).not.toContain("without error");
    expect(gateDecision(told("higher", null), format).rest).toContain("which only a turn without error does");
  });

  it("the spine names the gate, and never another height as if it were one", () => {
    expect(plain(gateHeadline(told("higher", 550), format).text)).toBe("gate 1 000 ft");
    expect(gateHeadline({ ...told("higher", undefined), computing: true }, format).text).toBe("gate …");
    expect(gateHeadline(told("higher", undefined), format).text).toBe("no gate yet");
    expect(gateHeadline(told("higher", undefined, []), format).text).toBe("no turning back");
  });
});
