import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { evenly } from "../../../fuzz/evenly";
import { airspeedsFromCas } from "../air/airspeed";
import { airAtAltitude } from "../air/altimetry";
import { windProfile } from "../air/wind";
import { P0_PA } from "../quantities/constants";
import { accelerationFactor, kineticHeight_m } from "./acceleration-factor";
import { descentIntegrals } from "./descent-integrals";

const AIR = { qnh_Pa: P0_PA, deviation_K: 10 };
const CAS = 60;
const wind = windProfile(
  {
    surface: { from_rad: 1, speed_mps: 8 },
    layers: [
      { altitude_m: 700, from_rad: 2, speed_mps: 14 },
      { altitude_m: 1900, from_rad: 3, speed_mps: 20 },
    ],
  },
  100,
);
if (!wind.ok) throw new Error(wind.issue.message);
const table = descentIntegrals(AIR, wind.value, -1000, 4000, CAS);
const at = (altitude_m: number) => table.at(altitude_m, { time_m: 0, east_m2ps: 0, north_m2ps: 0 });

describe("sums over height", () => {
  it("agree with sums in steps of 10 cm", () => {
    for (const [from, to] of [
      [2500, 120],
      [400, 95],
      [3900, 2000],
      [104, 101],
    ]) {
      const steps = Math.round((from - to) * 10);
      const plain = { time: 0, east: 0, north: 0 };
      for (let i = 0; i < steps; i += 1) {
        const altitude_m = to + (i + 0.5) / 10;
        const weight =
          (Math.sqrt(airAtAltitude(altitude_m, AIR).sigma) * (1 + accelerationFactor(CAS, altitude_m, AIR))) / 10;
        plain.time += weight;
        plain.east += weight * wind.value(altitude_m).east_mps;
        plain.north += weight * wind.value(altitude_m).north_mps;
      }
      const high = at(from);
      const low = at(to);
      expect(high.time_m - low.time_m).toBeCloseTo(plain.time, 2);
      // m²/s; a tenth of it is 2 cm of drift at a sink of 4 m/s.
      expect(Math.abs(high.east_m2ps - low.east_m2ps - plain.east)).toBeLessThan(0.6);
      expect(Math.abs(high.north_m2ps - low.north_m2ps - plain.north)).toBeLessThan(0.6);
    }
  });

  it("grow without a jump, beyond the table too (property)", () => {
    fc.assert(
      fc.property(evenly(-3000, 6000), (altitude_m) => {
        const here = at(altitude_m).time_m;
        const above = at(altitude_m + 0.01).time_m;
        expect(above).toBeGreaterThan(here);
        expect(above - here).toBeLessThan(0.0125);
      }),
      { numRuns: 300, seed: 8 },
    );
  });

  it("energy height is height plus V²/2g, and descending by it leads to the altitude that has so much less (property)", () => {
    expect(table.energyAt(2000)).toBeCloseTo(2000 + kineticHeight_m(CAS, 2000, AIR), 3);
    fc.assert(
      fc.property(evenly(-900, 3900), evenly(-500, 3000), (altitude_m, energy_m) => {
        expect(table.energyAt(altitude_m) - table.energyAt(table.descend(altitude_m, energy_m))).toBeCloseTo(
          energy_m,
          3,
        );
      }),
      { numRuns: 300, seed: 8 },
    );
  });

  it("√σ between nodes is the air's", () => {
    for (const altitude_m of [-995, 3, 1234.5, 3999])
      expect(table.rootSigmaAt(altitude_m)).toBeCloseTo(Math.sqrt(airAtAltitude(altitude_m, AIR).sigma), 6);
  });
});

describe("acceleration factor", () => {
  it("is 0.7·M²·(ψ − 0.190263), ψ = [(1 + 0.2M²)^3.5 − 1]/[0.7M²(1 + 0.2M²)^2.5], at constant CAS below the tropopause (textbooks of jet performance, from memory)", () => {
    const isa = { qnh_Pa: P0_PA, deviation_K: 0 };
    for (const [cas_mps, altitude_m] of [
      [34, 0],
      [60, 500],
      [94, 4267],
      [130, 9000],
    ]) {
      const speeds = airspeedsFromCas(cas_mps, airAtAltitude(altitude_m, isa));
      const m2 = speeds.ok ? speeds.value.mach ** 2 : NaN;
      const psi = ((1 + 0.2 * m2) ** 3.5 - 1) / (0.7 * m2 * (1 + 0.2 * m2) ** 2.5);
      expect(accelerationFactor(cas_mps, altitude_m, isa) / (0.7 * m2 * (psi - 0.190263))).toBeCloseTo(1, 3);
    }
  });
});
