import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { evenly } from "../../../fuzz/evenly";
import type { Polar } from "../aircraft/polar";
import { G0 } from "../quantities/constants";
import { speedToFly } from "./speed-to-fly";
import { bestGlide, straightGlide } from "./straight-glide";

const ALDER: Polar = { cd0: 0.05, k: 0.0617, clMax: 1.5, wingLoading: (1100 * G0) / 16.5 };
const CALM = { along_mps: 0, across_mps: 0, vertical_mps: 0 };

function fly(wind: Partial<typeof CALM>, sigma = 1) {
  const found = speedToFly(ALDER, { ...CALM, ...wind }, sigma);
  if (!found.ok) throw new Error(found.issue.message);
  return found.value;
}

describe("speed to fly", () => {
  it("in calm air is best glide", () => {
    expect(fly({}).eas_mps).toBeCloseTo(bestGlide(ALDER).eas_mps, 2);
    expect(fly({}).groundRatio).toBeCloseTo(bestGlide(ALDER).ratio, 6);
  });

  it("into a headwind is faster by about half of it, with a tailwind slower by less (common practice)", () => {
    const best = bestGlide(ALDER).eas_mps;
    const faster = fly({ along_mps: -10 }).eas_mps - best;
    expect(faster).toBeGreaterThan(10 / 4);
    expect(faster).toBeLessThan(10 / 1.5);
    expect(fly({ along_mps: 10 }).eas_mps).toBeLessThan(best);
    expect(fly({ vertical_mps: -2 }).eas_mps).toBeGreaterThan(best);
  });

  it("no other speed goes farther over the ground (property)", () => {
    fc.assert(
      fc.property(evenly(-20, 20), evenly(-12, 12), evenly(0.25, 1.4), (along_mps, across_mps, cl) => {
        const found = fly({ along_mps, across_mps });
        const other = straightGlide(ALDER, cl);
        const forward = (other.eas_mps * Math.cos(other.angle_rad)) ** 2 - across_mps ** 2;
        const ratio = forward > 0 ? (Math.sqrt(forward) + along_mps) / other.sinkEas_mps : 0;
        expect(found.groundRatio).toBeGreaterThanOrEqual(ratio - 1e-3);
      }),
      { numRuns: 200, seed: 4 },
    );
  });

  it("more headwind never goes farther (property)", () => {
    fc.assert(
      fc.property(evenly(-20, 15), evenly(0.1, 8), (along_mps, more) => {
        expect(fly({ along_mps: along_mps - more }).groundRatio).toBeLessThan(fly({ along_mps }).groundRatio);
      }),
      { numRuns: 100, seed: 9 },
    );
  });

  it.each([
    [{ along_mps: -200 }, "wind_exceeds_airspeed"],
    [{ across_mps: 200 }, "wind_exceeds_airspeed"],
    [{ vertical_mps: 9 }, "air_rises_faster_than_sink"],
  ])("says why there is none: %o", (wind, code) => {
    const found = speedToFly(ALDER, { ...CALM, ...wind }, 1);
    expect(found.ok ? "" : found.issue.code).toBe(code);
  });
});
