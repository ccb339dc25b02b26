import { describe, expect, it } from "vitest";
import { demoHelicopter } from "../../../demo/read-demo";
import { type RatingsClock, bandOf, clockAfter, freshClock, inspectionDue } from "./ratings-clock";

const { ratings } = demoHelicopter().engines;
/** Limits of one engine, W: 30 s, 2 min, 2½ min, continuous. */
const LIMITS = [558_000, 514_000, 509_000, 430_000];
const [THIRTY, TWO, CONTINUOUS] = [540_000, 512_000, 400_000];

/** Runs pieces of [power, seconds] by tenths of a second. */
function run(...pieces: readonly (readonly [number, number])[]): RatingsClock {
  let clock = freshClock(ratings);
  for (const [power, seconds] of pieces)
    for (let i = 0; i < Math.round(seconds * 10); i += 1) clock = clockAfter(clock, ratings, LIMITS, power, 0.1);
  return clock;
}

describe("bands of power", () => {
  it.each([
    [600_000, -1],
    [558_000, 0],
    [514_001, 0],
    [514_000, 1],
    [430_000, 3],
    [0, 3],
  ])("%s W lies in band %s", (power, band) => expect(bandOf(LIMITS, power)).toBe(band));
});

describe("the ratings' clock", () => {
  // 14 CFR 1.1 (memory): 30 seconds, three times in a flight.
  it("counts a use down and gives the next its whole time", () => {
    const during = run([THIRTY, 12]);
    expect(during.bands[0]).toMatchObject({ uses: 1, usesLeft: 2 });
    expect(during.bands[0].left_s).toBeCloseTo(18, 6);
    const after = run([THIRTY, 12], [CONTINUOUS, 5]);
    expect(after.bands[0]).toMatchObject({ uses: 1, usesLeft: 2, left_s: 30 });
    expect(after.bands[0].total_s).toBeCloseTo(12, 6);
    expect(after.exceedances).toEqual([]);
    expect(inspectionDue(after, ratings)).toBe(true);
  });

  it("a drop out for under two seconds does not end a use, and counts", () => {
    const clock = run([THIRTY, 10], [TWO, 1.5], [THIRTY, 10]);
    expect(clock.bands[0].uses).toBe(1);
    expect(clock.bands[0].used_s).toBeCloseTo(21.5, 6);
    const longer = run([THIRTY, 10], [TWO, 2.5], [THIRTY, 10]);
    expect(longer.bands[0].uses).toBe(2);
    expect(longer.bands[0].used_s).toBeCloseTo(10, 6);
  });

  it("a use that is too long is an exceedance by what it is over", () => {
    const clock = run([THIRTY, 34]);
    expect(clock.bands[0].left_s).toBe(0);
    expect(clock.exceedances).toHaveLength(1);
    expect(clock.exceedances[0]).toMatchObject({ name: "30 s", kind: "time" });
    expect(clock.exceedances[0].over_s).toBeCloseTo(4, 6);
  });

  it("a fourth use is one too many, and a spent rating has no seconds left", () => {
    const use = [
      [THIRTY, 5],
      [CONTINUOUS, 3],
    ] as const;
    const three = run(...use, ...use, ...use);
    expect(three.bands[0]).toMatchObject({ uses: 3, usesLeft: 0, left_s: 0 });
    expect(three.exceedances).toEqual([]);
    const four = run(...use, ...use, ...use, [THIRTY, 1]);
    expect(four.exceedances).toEqual([{ name: "30 s", kind: "uses", over_s: 0 }]);
  });

  it("more than all ratings is told, and how long", () => {
    const clock = run([600_000, 3]);
    expect(clock.band).toBe(-1);
    expect(clock.exceedances[0]).toMatchObject({ kind: "power" });
    expect(clock.exceedances[0].over_s).toBeCloseTo(3, 6);
  });

  it("continuous power uses nothing up and needs no inspection", () => {
    const clock = run([CONTINUOUS, 60]);
    expect(clock.bands[3]).toMatchObject({ usesLeft: null, left_s: null });
    expect(inspectionDue(clock, ratings)).toBe(false);
  });

  it("the sum of what the bands were used is the time that has passed", () => {
    const clock = run([THIRTY, 8], [TWO, 1], [THIRTY, 3], [CONTINUOUS, 20]);
    // The second out of the band counts in both: in the band that was in use, and in the one it was interrupted by.
    expect(clock.bands.reduce((sum, { total_s }) => sum + total_s, 0)).toBeCloseTo(clock.time_s + 1, 6);
  });
});
