import { describe, expect, it } from "vitest";
import { DEFAULT_UNITS } from "@/core/quantities/units";
import { formatIn } from "@/ui/kit/units/units-store";
import { engineOutNow } from "@/core/asymmetric/engine-out";
import { demoTwinQuestion } from "../../../../demo/demo-twin";
import { engineOutDecision, engineOutHeadline } from "./engine-out-words";

const format = formatIn(DEFAULT_UNITS);
const LEVEL = { kind: "bank", bank_rad: 0 } as const;
function said(
  question: Parameters<typeof demoTwinQuestion>[0],
  eas_mps: number | null = null,
  name?: "cedar-j2",
  ground_m = 0,
) {
  const now = engineOutNow(demoTwinQuestion(question, name), LEVEL, eas_mps);
  if (!now.ok) throw new Error(now.issue.message);
  const told = { ...now.value, jet: name === "cedar-j2", ground_m };
  return { ...engineOutDecision(told, format), headline: engineOutHeadline(told, format).text };
}

describe("one engine in a sentence", () => {
  it("far from V_YSE the speed is to blame, not the aeroplane", () => {
    expect(said({}, 100)).toMatchObject({ lead: "Not at this speed.", rest: expect.stringContaining("V_YSE") });
    expect(said({}, 100).rest).not.toContain("choose a place");
  });

  it("above what it holds it drifts down, and is told to where", () => {
    const high = said({ altitude_m: 6000 });
    expect(high.lead).toBe("It drifts down.");
    expect(high.rest).toMatch(/holds height from [\d\u202f]+\u00a0ft on\.$/);
    expect(high.headline).toMatch(/^drifts down to /);
  });

  it("only where nothing holds it is a place to land chosen", () => {
    const hot = { air: { qnh_Pa: 101_325, deviation_K: 40 }, altitude_m: 1500, mass_kg: 1725 };
    expect(said(hot).lead).toBe("It drifts down.");
    expect(said(hot, null, undefined, 600)).toMatchObject({
      lead: "It will not climb.",
      rest: expect.stringContaining("choose a place to land"),
    });
  });

  it("beyond a limit of gear or flap says that first", () => {
    expect(said({ gearDown: true, deadPropeller: "none" }, 115, "cedar-j2")).toMatchObject({
      lead: "Over V_LE.",
      climbs: false,
    });
  });
});
