// The air, against the published standard atmosphere and the pitot equations.
import { describe, expect, it } from "vitest";
import { M_PER_FT, MPS_PER_KT, P0_PA, ZERO_CELSIUS_K } from "../quantities/constants";
import type { Outcome } from "../outcome";
import { airspeedsFromCas, airspeedsFromEas, airspeedsFromMach, airspeedsFromTas } from "./airspeed";
import { airAtAltitude, deviationAtStation_K, pressureAltitudeOnQnh_m } from "./altimetry";
import {
  airState,
  atmosphereAt,
  densityAltitude_m,
  pressureAltitude_m,
  standardPressure_Pa,
  standardTemperature_K,
} from "./atmosphere";

function valueOf<T>(outcome: Outcome<T>): T {
  if (!outcome.ok) throw new Error(outcome.issue.message);
  return outcome.value;
}

describe("standard atmosphere", () => {
  // ICAO Doc 7488; US Standard Atmosphere 1976 (from memory). Tolerances: the last printed digit.
  it.each([
    [0, 15.0, 1013.25, 1.225, 661.479],
    [5_000, 5.094, 843.073, 1.05555, 650.009],
    [10_000, -4.812, 696.816, 0.90464, 638.333],
    [20_000, -24.624, 465.632, 0.65269, 614.317],
    // The tropopause, 11,000 m, which the tables round to 36,089 ft.
    [36_089.24, -56.5, 226.32, 0.36392, 573.569],
  ])("at %f ft", (altitude_ft, temperature_degC, pressure_hPa, density, sound_kt) => {
    const air = valueOf(atmosphereAt(altitude_ft * M_PER_FT));
    expect(Math.abs(air.temperature_K - ZERO_CELSIUS_K - temperature_degC)).toBeLessThan(0.0006);
    expect(Math.abs(air.pressure_Pa / 100 - pressure_hPa)).toBeLessThan(0.002);
    expect(Math.abs(air.density - density)).toBeLessThan(0.000_006);
    expect(Math.abs(air.speedOfSound_mps / MPS_PER_KT - sound_kt)).toBeLessThan(0.001);
  });

  it("finds the pressure altitude of a pressure on both sides of the tropopause", () => {
    for (const altitude_m of [-1000, 0, 5000, 11_000, 15_000, 20_000])
      expect(pressureAltitude_m(standardPressure_Pa(altitude_m))).toBeCloseTo(altitude_m, 6);
  });

  it("density altitude of 5 000 ft pressure altitude at 25 °C is 7 262 ft (by the equations of Doc 7488)", () => {
    const altitude_m = 5000 * M_PER_FT;
    const air = airState(altitude_m, 25 + ZERO_CELSIUS_K - standardTemperature_K(altitude_m));
    expect(densityAltitude_m(air.density) / M_PER_FT).toBeCloseTo(7262, 0);
  });

  it.each([
    [-2000.1, 0, "outside_atmosphere"],
    [20_000.1, 0, "outside_atmosphere"],
    [NaN, 0, "outside_atmosphere"],
    [0, 61, "deviation_implausible"],
    [0, NaN, "deviation_implausible"],
  ])("refuses %f m with a deviation of %f", (altitude_m, deviation_K, code) => {
    const outcome = atmosphereAt(altitude_m, deviation_K);
    expect(outcome.ok ? "" : outcome.issue.code).toBe(code);
  });

  it("takes both ends of its range", () => {
    expect(atmosphereAt(-2000).ok).toBe(true);
    expect(atmosphereAt(20_000).ok).toBe(true);
  });
});

describe("altimetry", () => {
  it("about 27 ft for each hPa near the sea (common practice)", () => {
    const lower = pressureAltitudeOnQnh_m(0, P0_PA - 1000) / M_PER_FT;
    expect(lower).toBeGreaterThan(265);
    expect(lower).toBeLessThan(285);
  });

  it("gives back the temperature a station measured", () => {
    const deviation_K = deviationAtStation_K(12 + ZERO_CELSIUS_K, 19, 101_600);
    expect(airAtAltitude(19, { qnh_Pa: 101_600, deviation_K }).temperature_K - ZERO_CELSIUS_K).toBeCloseTo(12, 9);
  });
});

describe("airspeeds", () => {
  // Pitot equations; tolerances: the last printed digit.
  it.each([
    [250, 10_000, 288.7, 0.4523],
    [280, 30_000, 437.37, 0.7422],
    [300, 30_000, 465.94, 0.7906],
  ])("%i KCAS at %i ft", (cas_kt, altitude_ft, tas_kt, mach) => {
    const speeds = valueOf(airspeedsFromCas(cas_kt * MPS_PER_KT, airState(altitude_ft * M_PER_FT, 0)));
    expect(Math.abs(speeds.tas_mps / MPS_PER_KT - tas_kt)).toBeLessThan(0.006);
    expect(Math.abs(speeds.mach - mach)).toBeLessThan(0.00006);
  });

  it("M .80 at FL350 is 271.93 KCAS and 461.13 KTAS", () => {
    const speeds = valueOf(airspeedsFromMach(0.8, airState(35_000 * M_PER_FT, 0)));
    expect(Math.abs(speeds.cas_mps / MPS_PER_KT - 271.93)).toBeLessThan(0.006);
    expect(Math.abs(speeds.tas_mps / MPS_PER_KT - 461.13)).toBeLessThan(0.006);
  });

  it("round-trips through every speed", () => {
    const air = airState(4000, 12);
    const speeds = valueOf(airspeedsFromCas(70, air));
    for (const again of [
      airspeedsFromEas(speeds.eas_mps, air),
      airspeedsFromTas(speeds.tas_mps, air),
      airspeedsFromMach(speeds.mach, air),
    ]) {
      expect(valueOf(again).cas_mps).toBeCloseTo(70, 9);
    }
  });

  it("calibrated, equivalent and true agree at sea level and stand in order above it", () => {
    const low = valueOf(airspeedsFromCas(60, airState(0, 0)));
    expect(low.tas_mps).toBeCloseTo(60, 9);
    const high = valueOf(airspeedsFromCas(120, airState(8000, 0)));
    expect(high.eas_mps).toBeLessThan(high.cas_mps);
    expect(high.tas_mps).toBeGreaterThan(high.cas_mps);
  });

  it.each([[-1], [NaN], [700]])("refuses %f m/s", (cas_mps) => {
    expect(airspeedsFromCas(cas_mps, airState(0, 0)).ok).toBe(false);
  });
});
