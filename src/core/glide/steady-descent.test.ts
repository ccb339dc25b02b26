import { describe, expect, it } from "vitest";
import { airspeedsFromCas } from "../air/airspeed";
import { airAtAltitude } from "../air/altimetry";
import { G0, M_PER_FT, M_PER_NMI, MPS_PER_KT } from "../quantities/constants";
import { heldCas_mps, steadyDescent } from "./steady-descent";
import { bestGlide, liftCoefficientAt, straightGlide } from "./straight-glide";

const STANDARD = { qnh_Pa: 101_325, deviation_K: 0 };
// Cedar's figures as the prototype had them.
const polar = { cd0: 0.0232, k: 0.0352, clMax: 1.55, wingLoading: (41_000 * G0) / 92 };
const FL140 = 14_000 * M_PER_FT;
const speeds = airspeedsFromCas(182 * MPS_PER_KT, airAtAltitude(FL140, STANDARD));
if (!speeds.ok) throw new Error(speeds.issue.message);
const glide = straightGlide(polar, liftCoefficientAt(polar, speeds.value.eas_mps) ?? NaN);
// The whole way down as at sea level, where 182 kt are 182 kt: the prototype's and the paths' own way.
const descent = steadyDescent(bestGlide(polar), 182 * MPS_PER_KT, STANDARD);

describe("a steady descent", () => {
  // Cross-check, 2e-3: an independent prototype of the same equations.
  it("Cedar 41 t from FL140 at 182 KCAS: 1 214 ft/min, to sea level 759.5 s and 42.44 NM", () => {
    expect(
      Math.abs((steadyDescent(glide, 182 * MPS_PER_KT, STANDARD).sinkAt_mps(FL140) * 60) / M_PER_FT / 1214.12 - 1),
    ).toBeLessThan(2e-3);
    expect(Math.abs(descent.time_s(FL140, 0) / 759.5 - 1)).toBeLessThan(2e-3);
    expect(Math.abs(descent.air_m(FL140, 0) / M_PER_NMI / 42.44 - 1)).toBeLessThan(2e-3);
    // Without the acceleration factor it would be 1,305 ft/min, 719 s, 40.3 NM.
    expect((descent.sinkAt_mps(FL140) * 60) / M_PER_FT).toBeLessThan(1225);
    expect(descent.time_s(FL140, 0)).toBeGreaterThan(750);
  });

  it("time and altitude are two readings of the same way, up as well as down", () => {
    for (const low_m of [0, 1000, 3000]) {
      expect(descent.after_m(FL140, descent.time_s(FL140, low_m))).toBeCloseTo(low_m, 0);
      expect(descent.after_m(low_m, -descent.time_s(FL140, low_m))).toBeCloseTo(FL140, 0);
    }
    expect(descent.time_s(1000, 1000)).toBe(0);
  });

  it("holds what the indicator shows where it begins", () => {
    expect(heldCas_mps(glide.eas_mps, 0, STANDARD)).toBeCloseTo(glide.eas_mps, 5);
    expect(heldCas_mps(glide.eas_mps, FL140, STANDARD)).toBeGreaterThan(glide.eas_mps);
    expect(heldCas_mps(500, 12_000, STANDARD)).toBe(500);
  });
});
