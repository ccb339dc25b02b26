import { describe, expect, it } from "vitest";
import { EXAMPLE_RULES, type Practised, currencyOf } from "@/core/logbook/currency";
import { newEntry } from "@/core/logbook/drafted-entry";
import type { LogbookEntry } from "@/core/logbook/logbook-entry";
import { DEFAULT_UNITS } from "@/core/quantities/units";
import { formatIn } from "@/ui/kit/units/units-store";
import { ruleWords, stateWords } from "./currency-words";
import { entryParts, entrySub } from "./entry-lines";
import { reportContent } from "./print-report";

const format = formatIn(DEFAULT_UNITS);
const plain = (text: string) => text.replace(/[\u00a0\u202f]/gu, " ");
const entry: LogbookEntry = {
  ...newEntry("own-1", "2026-06-01T10:05:00.000Z", "Larch T2"),
  name: "Ossel shut down the left engine",
  causes: [{ kind: "procedure", words: "Planned with Ossel" }],
  actions: [
    { at_s: -3, words: "Look out" },
    { at_s: 75, words: "Feathered" },
    { at_s: null, words: "Started" },
  ],
  cost: { height_m: -30, time_s: 125 },
  learnt: "Half a ball.",
  people: [{ name: "Fenn Ossel", role: "instructor" }],
  practised: ["shutdown"],
  tab: { speed_mps: 48.9, before_rad: 0, after_rad: -0.07, ball: 0.3 },
  shutdown: { engine: "left", height_m: 1524, off_s: 260, tries: 2, started: true, oil_K: 331.15 },
};
const lines = (head: string) =>
  entryParts(entry, format)
    .find((part) => part.head === head)
    ?.lines.map(({ before, words }) => plain(`${before}|${words}`));

describe("an entry as it is read", () => {
  it("tells when, where, with what", () => {
    expect(entrySub(entry)).toBe("1 Jun 2026 · 10:05 UTC · in flight · Larch T2");
  });

  it("has its times, a height gained as one, tab and shutdown with their units, and nothing that is empty", () => {
    expect(lines("What was done")).toEqual(["−0:03|Look out", "1:15|Feathered", "|Started"]);
    expect(lines("What it cost")).toEqual(["height gained|90 ft", "time|2:05"]);
    expect(lines("Engine shut down")).toEqual([
      "engine|left",
      "at|5 000 ft",
      "off for|4:20",
      "restart|started, 2 tries",
      "oil|58 °C",
    ]);
    expect(lines("Trim tab")).toEqual(["speed|95 kt", "tab, right +|0° to −4°", "ball, feet off|+0.3 widths"]);
    expect(lines("What will change")).toBeUndefined();
  });
});

describe("a report", () => {
  it("has the very lines that the view has", () => {
    const told = reportContent([entry], false, format);
    expect(told.entries[0].parts).toEqual(entryParts(entry, format));
    expect(told.sub).toBe("1 entry, 1 Jun 2026");
  });

  it("without names has the same figures, and no name", () => {
    const told = reportContent([entry, { ...entry, at: "2026-05-01T10:05:00.000Z" }], true, format);
    expect(JSON.stringify(told)).not.toMatch(/ossel|fenn/iu);
    expect(told.sub).toBe("2 entries, 1 May 2026 to 1 Jun 2026; names left out");
    const figures = (of: string) =>
      told.entries[0].parts.find(({ head }) => head === of)?.lines.map(({ words }) => plain(words));
    expect(figures("What it cost")).toEqual(["90 ft", "2:05"]);
    expect(figures("Who")).toEqual(["instructor"]);
  });
});

describe("currency in words", () => {
  const had = (at: string): Practised => ({
    practice: "turn-back",
    way: "flight",
    at_ms: Date.parse(at),
    words: "x",
    of: [],
  });
  const state = (now: string) =>
    plain(stateWords(currencyOf(EXAMPLE_RULES[0], [had("2026-01-01T10:00:00Z")], Date.parse(now), "UTC")));

  it("counts down, says today, and counts what is over", () => {
    expect(state("2026-01-02T10:00:00Z")).toBe("until 1 Apr 2026");
    expect(state("2026-03-20T10:00:00Z")).toBe("due in 12 days");
    expect(state("2026-03-31T10:00:00Z")).toBe("due in 1 day");
    expect(state("2026-04-01T10:00:00Z")).toBe("due today");
    expect(state("2026-04-02T10:00:00Z")).toBe("1 day overdue");
    expect(stateWords(currencyOf(EXAMPLE_RULES[0], [], 0, "UTC"))).toBe("never yet");
  });

  it("says a rule as a sentence", () => {
    expect(ruleWords(EXAMPLE_RULES[0])).toBe("Once within 90 days: turn back, in flight or by hand, simulated.");
    expect(ruleWords({ ...EXAMPLE_RULES[2], times: 3, within: { count: 1, unit: "months" } })).toBe(
      "3 times within 1 month: approach on one engine, in flight.",
    );
  });
});
