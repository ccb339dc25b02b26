import { describe, expect, it } from "vitest";
import { apart, nearest } from "./chart-ink";

const place = (wanted: readonly number[]) => {
  const layout = apart();
  return wanted.map((y, seriesIndex) => layout({ seriesIndex, labelRect: { y } }).y);
};

describe("labels at the ends of lines", () => {
  it.each([
    [
      [10, 100, 200],
      [10, 100, 200],
    ],
    [
      [50, 50],
      [50, 66],
    ],
    [
      [50, 55, 60],
      [50, 66, 82],
    ],
    [
      [50, 40],
      [50, 66],
    ],
    [[], []],
  ])("%j stand at %j", (wanted, placed) => {
    expect(place(wanted)).toEqual(placed);
  });

  it("are never less than a line apart, whatever they want", () => {
    const placed = place([80, 81, 12, 79, 95, 96, 30, 12]);
    const sorted = [...placed].sort((a, b) => a - b);
    sorted.slice(1).forEach((y, i) => expect(y - sorted[i]).toBeGreaterThanOrEqual(16));
  });

  it("find their place again when the chart is drawn anew", () => {
    const layout = apart();
    for (let round = 0; round < 3; round += 1)
      expect([
        layout({ seriesIndex: 0, labelRect: { y: 50 } }).y,
        layout({ seriesIndex: 1, labelRect: { y: 52 } }).y,
      ]).toEqual([50, 66]);
  });
});

describe("labels led to their lines", () => {
  it("stand where they are wanted when there is room, else about their mean, none nearer than a line of text", () => {
    expect(nearest([100, 40, 200])).toEqual([100, 40, 200]);
    const placed = nearest([100, 102, 101, 300]);
    expect(placed).toEqual([101 - 16, 101 + 16, 101, 300]);
    const crowd = nearest([10, 12, 30, 31, 33, 60]);
    for (let i = 1; i < crowd.length; i += 1) expect(crowd[i] - crowd[i - 1]).toBeGreaterThanOrEqual(16 - 1e-9);
    expect(Math.max(...crowd.map((y, i) => Math.abs(y - [10, 12, 30, 31, 33, 60][i])))).toBeLessThan(32);
  });
});
