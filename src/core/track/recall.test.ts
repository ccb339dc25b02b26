// 216 flights with a known truth by six recorders: what is found, and whether the bounds hold. The truth and the
// recorders are apart from this code (bench/track).
import { describe, expect, it } from "vitest";
import { type Found, score } from "../../../bench/track/score";
import type { SensorSet } from "../../../bench/track/sensors";
import { M_PER_FT } from "../quantities/constants";
import { radians } from "../quantities/angle";

const SEED = 1;
const FLIGHTS_OF_KIND = 6;

const share = (part: number, whole: number) => (whole === 0 ? 1 : part / whole);
const precision = ({ right, found }: Found) => share(right, found);
const recall = ({ right, flown }: Found) => share(right, flown);
/** The error that 95 of 100 stay under. */
const most = (errors: readonly number[]) => {
  const sorted = errors.map(Math.abs).sort((a, b) => a - b);
  return sorted[Math.min(Math.floor(0.95 * sorted.length), sorted.length - 1)];
};

/** Least of precision and recall of an engine's stop; greatest errors of 95 in 100, SI. */
const BOUNDS: Record<SensorSet, { cut: [number, number]; height_m: number; time_s: number; cut_s: number }> = {
  "GPX 1 Hz": { cut: [0.86, 0.85], height_m: 50 * M_PER_FT, time_s: 2.6, cut_s: 8.4 },
  "IGC 1 Hz": { cut: [0.85, 0.85], height_m: 30 * M_PER_FT, time_s: 2.6, cut_s: 2.1 },
  "+IAS 1 Hz": { cut: [0.97, 0.97], height_m: 28 * M_PER_FT, time_s: 2.3, cut_s: 1.4 },
  "+IAS 5 Hz": { cut: [0.97, 0.97], height_m: 28 * M_PER_FT, time_s: 2.3, cut_s: 0.75 },
  "all 1 Hz": { cut: [0.98, 0.98], height_m: 14 * M_PER_FT, time_s: 1.1, cut_s: 1 },
  "all 10 Hz": { cut: [0.98, 0.98], height_m: 11 * M_PER_FT, time_s: 0.85, cut_s: 0.4 },
};

describe("logs with a known truth", () => {
  it.each(Object.entries(BOUNDS) as [SensorSet, (typeof BOUNDS)[SensorSet]][])("by %s", (set, bound) => {
    const found = score(set, FLIGHTS_OF_KIND, SEED);
    expect(precision(found.cut)).toBeGreaterThanOrEqual(bound.cut[0]);
    expect(recall(found.cut)).toBeGreaterThanOrEqual(bound.cut[1]);
    expect(most(found.cut.errors)).toBeLessThan(bound.cut_s);
    expect(recall(found.takeOff)).toBeGreaterThanOrEqual(0.97);
    expect(precision(found.takeOff)).toBe(1);
    expect(recall(found.touchdown)).toBeGreaterThanOrEqual(set === "GPX 1 Hz" ? 0.83 : 0.97);
    expect(precision(found.turn)).toBeGreaterThanOrEqual(0.9);
    expect(recall(found.turn)).toBeGreaterThanOrEqual(0.95);
    expect(found.kindRight[0]).toBe(found.kindRight[1]);
    expect(most(found.figures["height of half a turn"].errors)).toBeLessThan(bound.height_m);
    expect(most(found.figures["time of half a turn"].errors)).toBeLessThan(bound.time_s);
    expect(most(found.figures["bank, shallow"].errors)).toBeLessThan(radians(1.6));
    expect(most(found.figures["bank, steep"].errors)).toBeLessThan(radians(4));
    // Two standard deviations hold in 95 of 100: counted over the figures together, for each has but a few flights.
    const all = Object.values(found.figures).flatMap(({ sigmas }) => sigmas);
    expect(all.length).toBeGreaterThan(200);
    expect(share(all.filter((z) => Math.abs(z) < 2).length, all.length)).toBeGreaterThan(0.94);
  });
});
