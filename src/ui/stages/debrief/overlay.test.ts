import { describe, expect, it } from "vitest";
import type { Failure } from "@/core/track/analyse";
import type { DrawnTrack } from "@/core/track/drawn-track";
import { overlaidRuns } from "./overlay";

const time_s = Float64Array.from({ length: 400 }, (_, i) => i);
const zero = new Float64Array(400);
const drawn: DrawnTrack = {
  time_s,
  latitude_deg: zero,
  longitude_deg: zero,
  // Down at 4 m/s after 100 s, at 5 m/s after 200 s.
  altitude_m: time_s.map((t) => 1000 - (t > 100 ? 4 * (t - 100) : 0) - (t > 200 ? t - 200 : 0)),
  climb_mps: zero,
  groundSpeed_mps: zero,
  tas_mps: zero,
  eas_mps: zero,
  bank_rad: time_s.map((t) => (t > 210 ? 0.5 : 0)),
  course_rad: zero,
  energy_m: zero,
};
const stop = (at_s: number, back_s: number | null) => ({ time_s: at_s, back_s }) as Failure;
const flights = [{ failures: [stop(100, 150), stop(200.5, null)], ends_s: 300 }];
const named = (failure: Failure) => `at ${failure.time_s}`;

describe("runs over one another", () => {
  it("begin at nothing where each began, and go to the power's return or the flight's end", () => {
    const [first, second] = overlaidRuns(drawn, flights, named, null);
    expect(first.label).toBe("at 100");
    expect(first.points[0]).toMatchObject({ time_s: 0, height_m: 0 });
    expect(first.points.at(-1)).toMatchObject({ time_s: 50, height_m: -200 });
    expect(second.points.at(-1)?.time_s).toBe(99.5);
    expect(second.points.at(-1)?.height_m).toBeCloseTo(-5 * 99.5, 6);
    expect(second.points.find(({ bank_rad }) => bank_rad > 0)?.time_s).toBe(10.5);
  });

  it("leave the one out that is looked at, and are no more than can be told apart", () => {
    expect(overlaidRuns(drawn, flights, named, 0).map(({ label }) => label)).toEqual(["at 200.5"]);
    const many = [{ failures: Array.from({ length: 30 }, (_, i) => stop(i * 10, i * 10 + 5)), ends_s: 300 }];
    expect(overlaidRuns(drawn, many, named, null)).toHaveLength(12);
  });
});
