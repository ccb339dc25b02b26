// What a turn back teaches: the sentence names what cost most, and never says more was there than was.
import { describe, expect, it } from "vitest";
import type { Explained, TurnBackBeside } from "@/core/debrief/turn-back-beside";
import { radians } from "@/core/quantities/angle";
import { MPS_PER_KT } from "@/core/quantities/constants";
import { DEFAULT_UNITS } from "@/core/quantities/units";
import { formatIn } from "@/ui/kit/units/units-store";
import { lesson, partWords } from "./beside-words";

const format = formatIn(DEFAULT_UNITS);
const plain = (text: string) => text.replace(/\s/g, " ");
const NOTHING: Record<Explained, number> = { delay: 0, straight: 0, bank: 0, speed: 0, wind: 0 };

function beside(
  left_m: number | null,
  explained: Partial<Record<Explained, number>> | null = {},
  planned_m = 60,
): TurnBackBeside {
  const parts = (seconds: number) =>
    (["reaction", "straight", "turn", "line", "final"] as const).map((part) => ({
      part,
      height_m: 20,
      time_s: seconds,
    }));
  return {
    runway: "29",
    height_m: 200,
    predicted: {
      reaction_s: 4,
      technique: { side: 1, bank_rad: radians(45), stallMargin: 1.2, intercept_rad: 0.6, extension_s: 0 },
      turnEas_mps: 34,
      finalEas_mps: 33,
      parts: parts(4),
      left_m: planned_m,
      points: [],
    },
    flown: {
      bank_rad: radians(31),
      turnEas_mps: 36,
      finalEas_mps: 35,
      parts: parts(6.3),
      left_m,
    } as unknown as TurnBackBeside["flown"],
    explained: explained && { ...NOTHING, ...explained },
    rest_m: 0,
  } as TurnBackBeside;
}
const said = (told: TurnBackBeside, beyond_m: number | null = null) => {
  const { lead, rest, good } = lesson(told, beyond_m, format);
  return { lead: plain(lead), rest: plain(rest), good };
};

describe("the lesson of a turn back", () => {
  it.each([
    ["delay", "Act within 4.0 s."],
    ["straight", "Turn at once."],
    ["bank", "Bank 45°."],
    ["speed", "Hold 66 kt in the turn and 64 kt after it."],
  ] as const)("what cost most is what is to be changed: %s", (what, lead) => {
    const others = { delay: -8, straight: -8, bank: -8, speed: -8, wind: 3 };
    const told = said(beside(10, { ...others, [what]: -40 }));
    expect(told.lead).toBe(lead);
    expect(told.rest).toMatch(/^Otherwise it cost 130 ft\./);
    expect(told.good).toBe(false);
  });

  it("what is less than nobody holds is not blamed", () => {
    const told = said(beside(55, { delay: -5.9, bank: -3 }));
    expect(told).toEqual({
      lead: "Flown as planned.",
      rest: "20 ft less left than predicted, within what nobody holds.",
      good: true,
    });
  });

  it("more left than predicted is said as such", () => {
    expect(said(beside(90))).toEqual({
      lead: "Flown as planned.",
      rest: "100 ft more left than predicted.",
      good: true,
    });
  });

  it("the wind is the plan's to carry, not the pilot's to change", () => {
    const told = said(beside(20, { wind: -30 }));
    expect(told.lead).toBe("Flown as planned.");
    expect(told.rest).toBe("The wind cost 100 ft: the plan must carry it.");
    expect(said(beside(20, { wind: -5 })).rest).not.toContain("wind");
  });

  it("short of the runway is no good, whatever explains it", () => {
    const told = said(beside(-12));
    expect(told.good).toBe(false);
    expect(told.rest).toMatch(/^It came down short of the runway, 40 ft too low for its end\./);
  });

  it("height without runway: beyond the far end by no less than it was", () => {
    const told = said(beside(80), 41);
    expect(told).toMatchObject({ lead: "Too high for this runway.", good: false });
    expect(Number(/touched (\d+) m beyond/.exec(told.rest)?.[1])).toBeGreaterThanOrEqual(41);
    expect(said(beside(80), 0).good).toBe(true);
    // What cost height comes first even then.
    expect(said(beside(80, { straight: -30 }), 41).lead).toBe("Turn at once.");
  });

  it("never lined up: there is nothing to compare, and it is not good", () => {
    expect(said(beside(null))).toMatchObject({ lead: "Never lined up.", good: false });
  });

  it("without an explanation nothing is blamed", () => {
    expect(said(beside(50, null)).lead).toBe("Flown as planned.");
  });
});

describe("a part as flown and as planned", () => {
  it.each([
    ["reaction", "6.3 s, plan 4.0"],
    ["straight", "6.3 s, plan 4.0"],
    ["line", "6.3 s, plan 4.0"],
    ["turn", `31°, plan 45°; ${Math.round(36 / MPS_PER_KT)} kt, plan ${Math.round(34 / MPS_PER_KT)} kt`],
    ["final", `${Math.round(35 / MPS_PER_KT)} kt, plan ${Math.round(33 / MPS_PER_KT)} kt`],
  ] as const)("%s", (part, words) => {
    expect(plain(partWords(part, beside(10), format))).toBe(words);
  });
});
