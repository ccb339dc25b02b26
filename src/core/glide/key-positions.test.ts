import { describe, expect, it } from "vitest";
import { windProfile } from "../air/wind";
import type { Polar } from "../aircraft/polar";
import { radians } from "../quantities/angle";
import { G0, P0_PA } from "../quantities/constants";
import { descentIntegrals } from "./descent-integrals";
import type { KeyChoice } from "./glide-path";
import { glidePerformance } from "./glide-performance";
import { keyCircuit } from "./key-positions";
import { bestGlide } from "./straight-glide";

const ALDER: Polar = { cd0: 0.05, k: 0.0617, clMax: 1.5, wingLoading: (1100 * G0) / 16.5 };

/** Height at a key for a landing to the north, in a wind at 10 m. */
function height(key: Exclude<KeyChoice, "none">, from_deg: number, speed_mps: number, bank_deg = 30): number {
  const wind = windProfile({ surface: { from_rad: radians(from_deg), speed_mps }, layers: [] }, 0);
  if (!wind.ok) throw new Error(wind.issue.message);
  const glide = bestGlide(ALDER);
  const performance = glidePerformance(ALDER, glide, { bank_rad: radians(bank_deg), stallMargin: 1.2 });
  if (!performance.ok) throw new Error(performance.issue.message);
  const found = keyCircuit(
    {
      performance: performance.value,
      integrals: descentIntegrals({ qnh_Pa: P0_PA, deviation_K: 0 }, wind.value, -1500, 3000, glide.eas_mps),
      target: { x_m: 0, y_m: 0, heading_rad: 0, altitude_m: 0 },
      choices: {
        reaction_s: 4,
        reserve_m: 60,
        final_m: 300,
        key: "none",
      },
    },
    key,
  );
  if (!found.ok) throw new Error(found.issue.message);
  return found.value.height_m;
}

describe("key positions in wind", () => {
  it("are the same left and right in calm air, and in a wind along the runway", () => {
    for (const [from, speed] of [
      [0, 0],
      [0, 6],
      [180, 4],
    ]) {
      expect(height("overhead-left", from, speed)).toBeCloseTo(height("overhead-right", from, speed), 1);
      expect(height("abeam-left", from, speed)).toBeCloseTo(height("abeam-right", from, speed), 1);
    }
  });

  it("change sides with a crosswind", () => {
    expect(height("overhead-left", 90, 5)).toBeCloseTo(height("overhead-right", 270, 5), 1);
  });

  it("overhead is higher than abeam, with the wind ahead or behind", () => {
    for (const [from, speed] of [
      [0, 0],
      [0, 5],
      [180, 3],
    ])
      for (const side of ["left", "right"] as const)
        expect(height(`overhead-${side}`, from, speed)).toBeGreaterThan(height(`abeam-${side}`, from, speed));
  });

  it("more bank makes a lower key: the circuit is smaller (common practice)", () => {
    expect(height("overhead-left", 0, 0, 20)).toBeGreaterThan(height("overhead-left", 0, 0, 30));
    expect(height("overhead-left", 0, 0, 30)).toBeGreaterThan(height("overhead-left", 0, 0, 40));
  });
});
