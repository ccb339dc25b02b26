import { describe, expect, it } from "vitest";
import type { RelightPlan } from "@/core/restart/relight";
import { DEFAULT_UNITS } from "@/core/quantities/units";
import { formatIn } from "@/ui/kit/units/units-store";
import { relightsInWords } from "./relight-words";

const format = formatIn(DEFAULT_UNITS);
const point = { time_s: 0, altitude_m: 5000, cas_mps: 100 };
const plan = (kind: RelightPlan["kind"], count: number): RelightPlan => ({
  kind,
  cas_mps: 130,
  attempts: Array.from({ length: count }, () => ({ from: point, to: point })),
  dive_m: 0,
  back_m: 0,
  left_m: 0,
  chance: 0.784,
  path: [point],
  why: null,
});
const words = (...plans: RelightPlan[]) => relightsInWords(plans, 914.4, format).replace(/[\u00a0\u202f]/g, " ");

describe("relights on the way down", () => {
  it("counts the attempts of each kind that has one", () => {
    expect(words(plan("windmill", 3), plan("assisted", 1))).toBe(
      "All engines out: on the way down to 3 000 ft there is room for 3 windmilling (78 in 100 light), or 1 with auxiliary power (78 in 100 light). No attempt that costs the place.",
    );
    expect(words(plan("windmill", 0), plan("assisted", 2))).not.toContain("windmilling");
  });

  it("says when there is none", () => {
    expect(words(plan("windmill", 0))).toBe("All engines out: no relight attempt ends above 3 000 ft.");
  });
});
