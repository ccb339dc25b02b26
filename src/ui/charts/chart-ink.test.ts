import { describe, expect, it } from "vitest";
import { apart } from "./chart-ink";

const place = (wanted: readonly number[]) => {
  const layout = apart();
  return wanted.map((y, seriesIndex) => layout({ seriesIndex, labelRect: { y } }).y);
};

describe("labels at the ends of lines", () => {
  it.each([
    [[10, 100, 200], [10, 100, 200]],
    [[50, 50], [50, 66]],
    [[50, 55, 60], [50, 66, 82]],
    [[50, 40], [50, 66]],
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
    for (let round = 0; round < 3; round += 1) expect([layout({ seriesIndex: 0, labelRect: { y: 50 } }).y, layout({ seriesIndex: 1, labelRect: { y: 52 } }).y]).toEqual([50, 66]);
  });
});
