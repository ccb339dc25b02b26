import { describe, expect, it } from "vitest";
import { heightAdvice } from "./height-advice";

const circuit = (side: "left" | "right", overhead_m: number | null, abeam_m: number | null) => ({
  side,
  keys: [
    { name: "overhead", height_m: 250 },
    { name: "abeam", height_m: 160 },
  ],
  fromHere: { overhead_m, abeam_m },
});

describe("what the height means at the keys", () => {
  it.each([
    // Keys at 250 and 160 m, 60 m of reserve: 310 and 220 m are wanted.
    [1310, 1200, { kind: "high", off_m: 1000 }],
    [330, 300, { kind: "overhead", off_m: 20 }],
    [290, 300, { kind: "overhead", off_m: 0 }],
    [260, 230, { kind: "overhead-missed", off_m: 50 }],
    [200, 140, { kind: "both-missed", off_m: 80 }],
  ])("overhead at %f and abeam at %f m", (overhead_m, abeam_m, says) => {
    expect(heightAdvice([circuit("left", overhead_m, abeam_m)], 60)).toMatchObject({
      ...says,
      side: "left",
      overhead_m: 310,
      abeam_m: 220,
    });
  });

  it("takes the better side, and says nothing when no side has a way", () => {
    expect(heightAdvice([circuit("left", 200, 190), circuit("right", 220, 230)], 60)).toMatchObject({
      kind: "overhead-missed",
      side: "right",
    });
    expect(heightAdvice([circuit("left", null, null)], 60)).toBeNull();
    expect(heightAdvice([], 60)).toBeNull();
  });
});
