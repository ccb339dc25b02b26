import { describe, expect, it } from "vitest";
import type { HeightAdvice } from "@/core/landing/height-advice";
import type { Site } from "@/core/landing/sites";
import { DEFAULT_UNITS, type QuantityKind, type Rounding, formatSi } from "@/core/quantities/units";
import { followCall, isTold } from "./follow-words";

const format = (kind: QuantityKind, si: number, rounding?: Rounding) =>
  formatSi(kind, DEFAULT_UNITS[kind], si, rounding);
const site = (verdict: Site["verdict"], margin_m: number, id = "a") =>
  ({
    verdict,
    end: { id, name: "Skerrow 11" },
    reach: { bearingTrue_rad: Math.PI / 2, distance_m: 3704, path: { margin_m } },
  }) as unknown as Site;
const advice = (kind: HeightAdvice["kind"]): HeightAdvice => ({
  kind,
  side: "left",
  off_m: 61,
  overhead_m: 300,
  abeam_m: 200,
});
const call = (of: Site | null, told: HeightAdvice | null = null) => {
  const said = followCall({ site: of, advice: told, heading_rad: 0 }, format);
  if (!said) throw new Error("nothing is called");
  return said;
};

describe("what is called out while following", () => {
  it.each([
    [call(site("fits", 305)), "Skerrow 11, 3 o’clock, 2.0\u00a0NM: made, 1\u202f000\u00a0ft in hand."],
    [call(site("fits", 305), advice("high")), "circling needed, 200\u00a0ft to lose"],
    [call(site("fits", 100), advice("overhead-missed")), "Low for overhead"],
    [
      call(site("reserve", -10), advice("both-missed")),
      "0\u00a0ft in hand. Now low: cut the corner, nothing to give away. Too low for a circuit: straight in.",
    ],
    [call(site("tight", 40)), "Now low"],
    [call(site("fits", 200), advice("both-missed")), "650\u00a0ft in hand. Too low for a circuit"],
    [
      call(site("short", -91.5)),
      "No place fits. Nearest to it: Skerrow 11, 3 o’clock, 2.0\u00a0NM, 310\u00a0ft short.",
    ],
    [call(site("blocked", 50)), "ground in the way"],
    [call(site("too-short", 50)), "it does not fit"],
    [call(null), "No landing place is known in reach."],
  ])("%#: %s", ({ text }, words) => {
    expect(text).toContain(words);
  });

  it("the same is not called twice; what changes is, five seconds apart, and at once when nothing fits any more", () => {
    const made = call(site("fits", 305));
    const last = { about: made.about, at_ms: 1000 };
    expect(isTold(made, null, 0)).toBe(true);
    expect(isTold(call(site("fits", 310)), last, 60_000)).toBe(false);
    const lower = call(site("fits", 140));
    expect(isTold(lower, last, 5900)).toBe(false);
    expect(isTold(lower, last, 6000)).toBe(true);
    expect(isTold(call(site("short", -50)), last, 1250)).toBe(true);
    expect(call(site("fits", 305), advice("high")).about).not.toBe(call(site("fits", 305), advice("overhead")).about);
    expect(call(site("fits", 305, "b")).about).not.toBe(made.about);
  });
});
