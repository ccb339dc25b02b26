import { describe, expect, it } from "vitest";
import { OUTLIER_SCORE, outlierScores, seriesStatistics } from "./series-statistics";

describe("what several runs say together", () => {
  // By hand: 1.02, 1.05, 1.08: mean 1.05, s = √(2·0.03²/2) = 0.03, t(2) = 4.303.
  it("is their mean, its bound t·s/√n and where 19 of 20 more lie, worked by hand", () => {
    const found = seriesStatistics([1.02, 1.05, 1.08]);
    expect(found).toMatchObject({ count: 3 });
    expect(found?.mean).toBeCloseTo(1.05, 12);
    expect(found?.spread).toBeCloseTo(0.03, 12);
    expect(found?.meanBound).toBeCloseTo((4.303 * 0.03) / Math.sqrt(3), 6);
    expect(found?.runBound).toBeCloseTo(4.303 * 0.03 * Math.sqrt(4 / 3), 6);
  });

  it("has no bound of one, and is nothing of none", () => {
    expect(seriesStatistics([1.1])).toEqual({ count: 1, mean: 1.1, spread: 0, meanBound: null, runBound: null });
    expect(seriesStatistics([])).toBeNull();
  });
});

describe("runs that do not belong", () => {
  // Worked example of the modified score by hand: median 1.05, deviations .03 .02 .01 0 .01 .02 .36, MAD .02.
  it("have a modified score beyond 3.5, worked by hand", () => {
    const scores = outlierScores([1.02, 1.03, 1.04, 1.05, 1.06, 1.07, 1.41]);
    expect(scores[6]).toBeCloseTo((0.6745 * 0.36) / 0.02, 6);
    expect(scores.map((score) => Math.abs(score) > OUTLIER_SCORE)).toEqual([...Array<boolean>(6).fill(false), true]);
    expect(scores[0]).toBeCloseTo((0.6745 * -0.03) / 0.02, 6);
  });

  it("are told by the mean deviation where more than half are alike, and by nothing where all are", () => {
    // Mean deviation .4/5 = .08: 0.4/(1.253314·0.08).
    expect(outlierScores([1, 1, 1, 1, 1.4])[4]).toBeCloseTo(0.4 / (1.253314 * 0.08), 6);
    expect(outlierScores([1, 1, 1, 1, 1])).toEqual([0, 0, 0, 0, 0]);
  });

  it("are none of fewer than five: of four the fourth may be the only right one", () => {
    expect(outlierScores([1, 1, 1, 9])).toEqual([0, 0, 0, 0]);
  });
});
