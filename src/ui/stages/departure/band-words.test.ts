import { describe, expect, it } from "vitest";
import type { Turnback } from "@/core/departure/turnback-search";
import type { DepartureScan } from "@/ui/answers/departure-store";
import { bandWords } from "./band-words";

const turnback = (margin_m: number) => ({ result: { aligned: true, margin_m } }) as Turnback;
const scan = (bands: DepartureScan["bands"], gain: number, last: Turnback | null = turnback(-5)) =>
  ({
    bands,
    facts: { against: { out: 8.6, back: 8.6 / (1 - gain), gain } },
    best: [{ height_m: 100, turnback: last, score_m: null }],
  }) as unknown as DepartureScan;
const words = (given: DepartureScan) => bandWords(given, (_kind, height_m) => `${Math.round(height_m)} m`);

describe("bands in words", () => {
  it.each([
    [scan([{ from_m: 120, to_m: null }], 0.4), "Turning back works from 120 m up, flown as planned."],
    [
      scan([{ from_m: 120, to_m: 300 }], 0),
      "Turning back works from 120 m to 300 m, flown as planned. Above that the runway is outflown: the climb goes 8.6 m out for each metre of height, the glide comes 8.6 m back.",
    ],
    [
      scan([{ from_m: 120, to_m: 300 }], 0.4, turnback(50)),
      "Turning back works from 120 m to 300 m, flown as planned. Above that it cannot stop on what is left.",
    ],
    [
      scan([], 0),
      "Turning back works at no height: the runway is outflown. The climb goes 8.6 m out for each metre of height, the glide comes 8.6 m back, so waiting gains nothing.",
    ],
    [
      scan([], 0.5, null),
      "At every height the reaction ends in a stall: push sooner, or train hands off. There is no height for that.",
    ],
  ])("%#", (given, expected) => {
    expect(words(given)).toBe(expected);
  });
});
