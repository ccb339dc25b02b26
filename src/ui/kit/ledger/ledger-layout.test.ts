import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { blocksOf, markLabel, markStep, marksBetween, spread } from "./ledger-layout";

const entry = (name: string, height_m: number) => ({ account: "turn" as const, name, height_m, time_s: 1 });

describe("height ledger layout", () => {
  it("cuts the blocks off one below the other, down past the ground line when they are too many", () => {
    const blocks = blocksOf([entry("a", 100), entry("b", 50), entry("c", 80)], 200);
    expect(blocks.map((block) => [block.from_m, block.to_m])).toEqual([
      [200, 100],
      [100, 50],
      [50, -30],
    ]);
    expect(blocks.map((block) => block.index)).toEqual([0, 1, 2]);
  });

  it("keeps lines apart and in order, whatever they are asked for (property)", () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 30, max: 400 }), { maxLength: 9 }), (wanted) => {
        const sorted = [...wanted].sort((a, b) => a - b);
        const placed = spread(sorted, 402);
        placed.forEach((at, i) => {
          if (i > 0) expect(at - placed[i - 1]).toBeGreaterThanOrEqual(i === placed.length - 1 ? 29 : 21);
          expect(at).toBeLessThanOrEqual(402);
        });
      }),
      { numRuns: 200, seed: 5 },
    );
  });

  it.each([
    [500, "500"],
    [-500, "−500"],
    [0, "0"],
    [12_000, "12k"],
    [-12_500, "−12.5k"],
  ])("writes the mark of %i as %s", (mark, label) => {
    expect(markLabel(mark)).toBe(label);
  });

  it("leaves lines alone that have room", () => {
    expect(spread([40, 100, 200], 400)).toEqual([40, 100, 200]);
  });

  it.each([
    [2240, 500],
    [700, 100],
    [90, 20],
    [35_000, 5000],
  ])("a range of %i is marked every %i", (range, step) => {
    expect(markStep(range)).toBe(step);
  });
});

describe("marks of a scale", () => {
  it("stand at round values from end to end, below zero too", () => {
    expect(marksBetween(-450, 2240)).toEqual([0, 500, 1000, 1500, 2000]);
    expect(marksBetween(-1310, 40)).toEqual([-1200, -1000, -800, -600, -400, -200, 0]);
  });

  it("there are none where there is nothing to measure", () => {
    expect(marksBetween(100, 100)).toEqual([]);
  });
});
