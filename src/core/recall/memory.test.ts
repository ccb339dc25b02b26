import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { ASKED_AGAIN_AT, type Grade, type Review, chanceAt, gradeOf, memoryOf } from "./memory";

const DAY_MS = 24 * 3600 * 1000;
const START = Date.UTC(2026, 10, 1);
const answers = (...list: readonly (readonly [number, Grade])[]): Review[] =>
  list.map(([days, grade]) => ({ at_ms: START + days * DAY_MS, grade }));
const remembered = (...list: readonly (readonly [number, Grade])[]) => {
  const memory = memoryOf(answers(...list));
  if (!memory) throw new Error("nothing was asked");
  return { ...memory, in_days: (memory.due_ms - memory.last_ms) / DAY_MS };
};

describe("how an answer is graded", () => {
  it.each<[boolean, number, Grade]>([
    [false, 1, "missed"],
    [true, 4, "at-once"],
    [true, 4.1, "sure"],
    [true, 8, "sure"],
    [true, 8.1, "effort"],
  ])("right %s after %s s of 8: %s", (right, took_s, grade) => {
    expect(gradeOf(right, took_s, 8)).toBe(grade);
  });
});

describe("what is remembered", () => {
  // The published FSRS-6 model and weights (from memory): S after a first “good” is w2 = 2.3065 days, the decay 0.1542.
  // By hand: F = 0.9^(−1/0.1542) − 1 = 0.98035; interval at 0.8 = 2.3065/F·(0.8^(−1/0.1542) − 1) = 7.65, so 8 days.
  // There R = (1 + F·8/2.3065)^−0.1542 = 0.7957; S grows by
  // 1 + e^1.8722·(11 − 2.118)·2.3065^−0.1666·(e^(0.796·0.2043) − 1) = 9.872 to 22.77 days.
  it("follows the model by hand for two answers", () => {
    const first = remembered([0, "sure"]);
    expect(first.stability_days).toBeCloseTo(2.3065, 4);
    expect(first.in_days).toBe(8);
    expect(chanceAt(first, START + 8 * DAY_MS)).toBeCloseTo(0.7957, 3);
    const second = remembered([0, "sure"], [8, "sure"]);
    expect(second.stability_days).toBeCloseTo(22.77, 1);
    // 22.77/F·3.2507 = 75.5
    expect(second.in_days).toBeGreaterThanOrEqual(75);
    expect(second.in_days).toBeLessThanOrEqual(76);
  });

  it("what was missed comes back in ten minutes, and is held worse than before", () => {
    const missed = remembered([0, "sure"], [8, "missed"]);
    expect(missed.in_days * 24 * 60).toBeCloseTo(10, 6);
    expect(missed.stability_days).toBeLessThan(remembered([0, "sure"]).stability_days);
    expect(missed).toMatchObject({ asked: 2, missed: 1 });
  });

  it("the surer the answer the later it is asked again; never after more than a year", () => {
    const grades: Grade[] = ["effort", "sure", "at-once"];
    const days = grades.map((grade) => remembered([0, grade]).in_days);
    expect(days).toEqual(days.toSorted((a, b) => a - b));
    expect(new Set(days).size).toBe(3);
    expect(remembered([0, "at-once"], [40, "at-once"], [300, "at-once"], [660, "at-once"]).in_days).toBeLessThanOrEqual(
      365,
    );
  });

  it("whatever is answered when: a chance, a time to come, the same in any order", () => {
    const review = fc.record({
      at_ms: fc.integer({ min: START, max: START + 700 * DAY_MS }),
      grade: fc.constantFrom<Grade>("missed", "effort", "sure", "at-once"),
    });
    fc.assert(
      fc.property(
        fc.uniqueArray(review, { minLength: 1, maxLength: 30, selector: ({ at_ms }) => at_ms }),
        (reviews) => {
          const memory = memoryOf(reviews);
          expect(memory).not.toBeNull();
          if (!memory) return;
          expect(memoryOf(reviews.toReversed())).toEqual(memory);
          expect(memory.due_ms).toBeGreaterThan(memory.last_ms);
          expect(memory.stability_days).toBeGreaterThan(0);
          expect(memory.difficulty).toBeGreaterThanOrEqual(1);
          expect(memory.difficulty).toBeLessThanOrEqual(10);
          const chances = [0, 1, 10, 100, 1000].map((days) => chanceAt(memory, memory.last_ms + days * DAY_MS));
          expect(chances[0]).toBe(1);
          expect(chances).toEqual(chances.toSorted((a, b) => b - a));
          // Asked again about when the chance has fallen so far; the longest wait and whole days leave it above.
          if (memory.due_ms - memory.last_ms > 4 * DAY_MS && memory.due_ms - memory.last_ms < 360 * DAY_MS)
            expect(Math.abs(chanceAt(memory, memory.due_ms) - ASKED_AGAIN_AT)).toBeLessThan(0.03);
        },
      ),
      { seed: 5, numRuns: 200 },
    );
  });

  it("of what was never asked there is none", () => {
    expect(memoryOf([])).toBeNull();
  });
});
