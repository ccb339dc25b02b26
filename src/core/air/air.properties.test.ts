// What must hold for air and airspeeds everywhere in their range.
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { airspeedsFromCas, airspeedsFromEas, airspeedsFromMach, airspeedsFromTas } from "./airspeed";
import { airState, densityAltitude_m } from "./atmosphere";
import { airAtAltitude, pressureAltitudeOnQnh_m } from "./altimetry";

const altitudes = fc.integer({ min: -2000, max: 20_000 });
const deviations = fc.integer({ min: -40, max: 40 });

describe("air (property)", () => {
  it("thins and grows lighter with height, at any deviation", () => {
    fc.assert(
      fc.property(altitudes, deviations, (altitude_m, deviation_K) => {
        const here = airState(altitude_m, deviation_K);
        const above = airState(altitude_m + 10, deviation_K);
        expect(above.pressure_Pa).toBeLessThan(here.pressure_Pa);
        expect(above.density).toBeLessThan(here.density);
      }),
      { numRuns: 200, seed: 50 },
    );
  });

  it("warmer air is felt as higher, by about 120 ft for each degree near the sea (common practice)", () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 3000 }), fc.integer({ min: 1, max: 30 }), (altitude_m, warmer_K) => {
        const rise_ft = (densityAltitude_m(airState(altitude_m, warmer_K).density) - altitude_m) / 0.3048;
        expect(rise_ft / warmer_K).toBeGreaterThan(100);
        expect(rise_ft / warmer_K).toBeLessThan(130);
      }),
      { numRuns: 100, seed: 51 },
    );
  });

  it("density altitude of standard air is its altitude", () => {
    for (const altitude_m of [-1000, 0, 3000, 11_000, 18_000])
      expect(densityAltitude_m(airState(altitude_m, 0).density)).toBeCloseTo(altitude_m, 2);
  });

  it("a lower QNH puts the same altitude higher in the standard air", () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 5000 }), fc.integer({ min: 950, max: 1040 }), (altitude_m, qnh_hPa) => {
        expect(pressureAltitudeOnQnh_m(altitude_m, qnh_hPa * 100 - 100)).toBeGreaterThan(
          pressureAltitudeOnQnh_m(altitude_m, qnh_hPa * 100),
        );
        expect(airAtAltitude(altitude_m, { qnh_Pa: qnh_hPa * 100, deviation_K: 0 }).density).toBeGreaterThan(0);
      }),
      { numRuns: 100, seed: 52 },
    );
  });
});

describe("airspeeds (property)", () => {
  it("go from each to the others and back", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 14_000 }),
        deviations,
        fc.integer({ min: 10, max: 200 }),
        (altitude_m, deviation_K, cas_mps) => {
          const air = airState(altitude_m, deviation_K);
          const speeds = airspeedsFromCas(cas_mps, air);
          if (!speeds.ok) return;
          const { eas_mps, tas_mps, mach } = speeds.value;
          for (const back of [
            airspeedsFromEas(eas_mps, air),
            airspeedsFromTas(tas_mps, air),
            airspeedsFromMach(mach, air),
          ]) {
            if (!back.ok) throw new Error(back.issue.message);
            expect(back.value.cas_mps).toBeCloseTo(cas_mps, 6);
            expect(back.value.tas_mps).toBeCloseTo(tas_mps, 6);
          }
        },
      ),
      { numRuns: 200, seed: 53 },
    );
  });

  it("stand in order above the sea: calibrated at least equivalent, true the highest", () => {
    fc.assert(
      fc.property(fc.integer({ min: 100, max: 11_000 }), fc.integer({ min: 20, max: 170 }), (altitude_m, cas_mps) => {
        const speeds = airspeedsFromCas(cas_mps, airState(altitude_m, 0));
        if (!speeds.ok) return;
        expect(speeds.value.eas_mps).toBeLessThanOrEqual(cas_mps + 1e-9);
        expect(speeds.value.tas_mps).toBeGreaterThan(speeds.value.eas_mps);
      }),
      { numRuns: 200, seed: 54 },
    );
  });

  it.each([
    [airspeedsFromCas(-1, airState(0, 0)), "negative_speed"],
    [airspeedsFromCas(NaN, airState(0, 0)), "negative_speed"],
    [airspeedsFromCas(400, airState(0, 0)), "not_subsonic"],
    [airspeedsFromMach(1, airState(0, 0)), "not_subsonic"],
    [airspeedsFromTas(NaN, airState(0, 0)), "not_subsonic"],
  ])("refuse what the equations do not hold for: %#", (outcome, code) => {
    expect(outcome.ok ? "" : outcome.issue.code).toBe(code);
  });
});
