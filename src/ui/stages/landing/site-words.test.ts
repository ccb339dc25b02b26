import { describe, expect, it } from "vitest";
import type { SiteReason } from "@/core/landing/sites";
import { Hazard } from "@/core/places/place";
import { MPS_PER_KT, M_PER_FT } from "@/core/quantities/constants";
import { DEFAULT_UNITS } from "@/core/quantities/units";
import { formatIn } from "@/ui/kit/units/units-store";
import { reasonInWords } from "./site-words";

const format = formatIn(DEFAULT_UNITS);
const said = (code: SiteReason["code"], value = 0) =>
  reasonInWords({ code, value } as SiteReason, format).replace(/\s/g, " ");

describe("what speaks for and against a place", () => {
  it.each([
    // What is there rounds down, what lacks rounds up.
    ["spare", 129, "120 m to spare"],
    ["tight", 129, "120 m to spare, no factor"],
    ["too-short", 121, "130 m too short"],
    ["low-arrival", 199 * M_PER_FT, "only 190 ft in hand"],
    ["reserve", 101 * M_PER_FT, "110 ft of the reserve"],
    ["short", 101 * M_PER_FT, "110 ft short"],
    ["blocked", 101 * M_PER_FT, "110 ft under the clearance"],
    ["tailwind", 5 * MPS_PER_KT, "tail 5 kt"],
    ["tailwind-limit", 12 * MPS_PER_KT, "tail 12 kt, over the limit"],
    ["headwind", 20 * MPS_PER_KT, "head 20 kt"],
    ["crosswind", 9 * MPS_PER_KT, "across 9 kt"],
    ["crosswind-limit", 22 * MPS_PER_KT, "across 22 kt, over the limit"],
    ["obstacle", 50 * M_PER_FT, "obstacle 50 ft"],
    ["uphill", 0.025, "uphill 2.5 %"],
    ["downhill", -0.031, "downhill 3.1 %"],
    ["long-ago", 400, "last looked at 13 months ago"],
    ["runway", 0, "runway"],
    ["unprepared", 0, "not prepared"],
    ["does-not-stop", 0, "does not stop downhill"],
    ["sun", 0, "sun in the eyes"],
  ] as const)("%s", (code, value, words) => {
    expect(said(code, value)).toBe(words);
  });

  it("every hazard that may be entered has words of its own", () => {
    const words = Hazard.options.map((hazard) => said(hazard));
    expect(new Set(words).size).toBe(Hazard.options.length);
    for (const text of words) expect(text.length).toBeGreaterThan(2);
  });
});
