import { describe, expect, it } from "vitest";
import { readGlideChart } from "./glide-chart";

const FT_NM = { height: "ft", distance: "nmi" };

describe("a handbook's glide chart", () => {
  // By hand: 1.5 NM from each 1 000 ft are 2 778 m over 304.8 m.
  it("points on one line give its ratio", () => {
    const { ratio, off, faults } = readGlideChart("2000 3\n4000 6\n10000; 15", FT_NM);
    expect(ratio).toBeCloseTo(2778 / 304.8, 9);
    expect([off, faults]).toEqual([expect.closeTo(0, 9), []]);
  });

  // Least squares through the origin by hand: (1·1 + 2·2 + 3·4)/(1 + 4 + 9) km a 100 m.
  it("points beside it are evened out, and it is told how far they lie off", () => {
    const { ratio, off } = readGlideChart("100\t1\n200\t2\n300\t4", { height: "m", distance: "km" });
    expect(ratio).toBeCloseTo((17 / 14) * 10, 9);
    expect(off).toBeCloseTo(1 - 14 / 17, 9);
  });

  it("decimal commas, empty lines and hard spaces are read", () => {
    expect(readGlideChart("\n1\u202f000 1,5\n\n", FT_NM).ratio).toBeCloseTo(2778 / 304.8, 9);
  });

  it.each([
    ["height", "not a height and a distance"],
    ["1000", "not a height and a distance"],
    ["1000 -3", "not a height and a distance"],
    ["1000 2 3", "not a height and a distance"],
    ["1000 300", "check the units"],
    ["10000 0.5", "check the units"],
  ])("“%s”: %s", (line, words) => {
    const { ratio, faults } = readGlideChart(line, FT_NM);
    expect(ratio).toBeNull();
    expect(faults).toEqual([expect.stringContaining(words)]);
    expect(faults[0]).toMatch(/^Line 1: /);
  });

  it("of 41 points one is too many", () => {
    expect(readGlideChart("1000 1.5\n".repeat(41), FT_NM).faults).toEqual(["Line 41: more than 40 points."]);
  });
});
