import { describe, expect, it } from "vitest";
import type { Outcome } from "@/core/outcome";
import { DEFAULT_UNITS } from "@/core/quantities/units";
import { seriesResult } from "@/core/series/series-result";
import { formatIn } from "@/ui/kit/units/units-store";
import { demoSeries } from "../../../../../demo/demo-series";
import { demoAircraft } from "../../../../../demo/read-demo";
import { testCardContent } from "./print-test-card";
import { seriesCsv } from "./series-csv";
import {
  differenceWords,
  doubtWords,
  flownAtBriefed,
  lessonOfRun,
  shownDifference,
  shownWords,
  speedWords,
  verdictWords,
} from "./series-words";

const format = formatIn(DEFAULT_UNITS);
const plain = (text: string | null) => text?.replace(/[\u00a0\u202f]/gu, " ") ?? null;
function value<T>(outcome: Outcome<T>): T {
  if (!outcome.ok) throw new Error(outcome.issue.message);
  return outcome.value;
}
const card = demoSeries(demoAircraft("alder-s1"));
const result = value(seriesResult(card));
const [row] = result.rows;

describe("a series in words", () => {
  it("has rows that add up as they are shown", () => {
    // 128.1 m and 117.2 m are 420 ft and 380 ft; their difference of 35.8 ft alone would be 40 ft or 30 ft.
    expect(plain(shownDifference("half-turn", format, 128.1, 117.2))).toBe("+40 ft");
    expect(plain(shownDifference("half-turn", format, 117.2, 128.1))).toBe("−40 ft");
    expect(plain(shownDifference("half-turn", format, 117.2, 117.3))).toBe("0 ft");
    expect(plain(shownDifference("half-turn", format, 500, 100))).toBe("+1 310 ft");
    expect(plain(differenceWords("half-turn", format, -0.4))).toBe("0 ft");
  });

  it("tells a speed that was held by one figure, and one that was not from to", () => {
    const run = (least: number, most: number) => ({ ...row.run, speed: { mean: 33.4, least, most } });
    expect(plain(speedWords(run(33, 34), format))).toBe("65 kt");
    expect(plain(speedWords(run(33.4, 40.6), format))).toBe("65–79 kt");
    expect(speedWords(row.run, format)).toBe("–");
    const doubted = (least: number, most: number) => ({ ...row, run: run(least, most), briefedEas_mps: 36.2 });
    expect(plain(doubtWords("speed", doubted(33.4, 40.6), format))).toBe("speed 65 to 79 kt");
    expect(plain(doubtWords("speed", doubted(33.2, 33.6), format))).toBe("speed 65 kt for 70");
    expect(plain(doubtWords("hole", { ...row, run: { ...row.run, hole_s: 4 } }, format))).toBe("hole of 4 s");
  });

  it("says of a run what it is left out for, why nothing is predicted, what is not as briefed, or that it is steady", () => {
    expect(shownWords(row, format)).toBe("steady");
    expect(shownWords({ ...row, doubts: ["outlier"] }, format)).toBe("apart from the others");
    expect(shownWords({ ...row, reason: "At this speed the wing is stalled." }, format)).toBe(
      "At this speed the wing is stalled.",
    );
    expect(shownWords({ ...row, run: { ...row.run, leftOut: "gust" } }, format)).toBe("left out: gust");
  });

  it("says what of a difference is speed, what was gained, and what is left", () => {
    const of = { ...row, difference: 36, bySpeed: 18, byGain: 9 };
    expect(plain(lessonOfRun(of, "half-turn", format))).toBe(
      "+60 ft by another speed than the briefed one, +30 ft by speed gained, +30 ft by aircraft, air and what the log cannot tell.",
    );
    expect(lessonOfRun({ ...of, difference: 1, bySpeed: 1, byGain: 0 }, "half-turn", format)).toBe("As predicted.");
    expect(lessonOfRun(of, "glide", format)).toBeNull();
  });

  it("has a verdict for each case: of too few nothing, of a book that is too careful no leave to plan with less", () => {
    expect(verdictWords({ says: "too few" }, 0)).toMatchObject({ lead: "No run yet.", good: true });
    expect(verdictWords({ says: "too few" }, 2)).toMatchObject({ lead: "Too few runs." });
    expect(plain(verdictWords({ says: "too good", by: 0.081, bound: 0.047 }, 7).lead)).toBe(
      "The book is 8 % too good.",
    );
    expect(verdictWords({ says: "too good", by: 0.081, bound: 0.047 }, 7).good).toBe(false);
    expect(verdictWords({ says: "too poor", by: 0.1, bound: 0.03 }, 7).rest).toMatch(/do not plan with less/u);
    expect(plain(verdictWords({ says: "agrees", by: 0.01, bound: 0.03 }, 7).rest)).toMatch(/within 3 %/u);
  });

  it("shows flown at the briefed bank with its bound, none before a run counts", () => {
    expect(plain(flownAtBriefed(card, result, format))).toMatch(/^\d+ ft ±\d+$/u);
    expect(flownAtBriefed(card, { ...result, asBriefed: null }, format)).toBeNull();
  });

  it("goes out as a table in SI, a row a run", () => {
    const [head, first, ...rest] = seriesCsv(card, result, format).trim().split("\n");
    expect(head).toContain("bank_rad,bank_rad_sigma,time_s,predicted_height_m,flown_height_m");
    expect(first.startsWith("1,half-turns.csv,,0.524,0.03,21,")).toBe(true);
    expect(rest).toHaveLength(2);
  });

  it("is printed with each planned run’s prediction, in the user’s units", () => {
    const printed = testCardContent(card, format);
    expect(printed.runs).toHaveLength(card.points.length);
    expect(printed.runs[3].slice(0, 3).map(plain)).toEqual(["4", "45°", expect.stringMatching(/^2\d0 ft$/u)]);
    expect(plain(printed.abort)).toBe("2 500 ft");
  });
});
