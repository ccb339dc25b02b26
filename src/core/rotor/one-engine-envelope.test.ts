import { describe, expect, it } from "vitest";
import { demoHelicopter } from "../../../demo/read-demo";
import { MPS_PER_KT, M_PER_FT } from "../quantities/constants";
import { oneEngineEnvelope } from "./one-engine-envelope";

const aircraft = demoHelicopter();
const air = { qnh_Pa: 101_325, deviation_K: 0 };
const of = (mass_kg: number, rating: number, deviation_K = 0) => {
  const found = oneEngineEnvelope({ aircraft, mass_kg, rating, air: { ...air, deviation_K } });
  if (!found.ok) throw new Error(found.issue.message);
  return found.value;
};

describe("level flight on one engine over altitude", () => {
  // cross-check: at 3,000 kg level from 31.3 kt on the continuous rating at sea level.
  it("begins where the power curve meets the rating", () => {
    const [seaLevel] = of(3000, 3).altitudes;
    expect((seaLevel.level?.slowest_mps ?? NaN) / MPS_PER_KT).toBeCloseTo(31.3, 0);
  });

  it("has a service ceiling under the absolute one, where it climbs 50 ft/min and nothing", () => {
    const { service_m, absolute_m, altitudes } = of(3000, 3);
    if (service_m === null || absolute_m === null) throw new Error("ceilings");
    expect(service_m).toBeLessThan(absolute_m);
    // Between the rows that it lies between, the climb passes 50 ft/min.
    const rate = (50 * M_PER_FT) / 60;
    for (const row of altitudes) expect(row.climb_mps >= rate).toBe(row.altitude_m <= service_m);
    for (const row of altitudes) expect(row.level !== null).toBe(row.altitude_m <= absolute_m + 1);
  });

  it("is lower heavier, hotter and on a weaker rating, and narrower near its ceiling", () => {
    const service = (mass: number, rating: number, deviation_K = 0) => of(mass, rating, deviation_K).service_m ?? 0;
    expect(service(3000, 3)).toBeLessThan(service(2700, 3));
    expect(service(3000, 3, 20)).toBeLessThan(service(3000, 3));
    expect(service(3000, 3)).toBeLessThan(service(3000, 0));
    const spans = of(3000, 3).altitudes.flatMap(({ level }) => (level ? [level.fastest_mps - level.slowest_mps] : []));
    // Low down the gearbox binds, and thinner air drags less: narrower from where the engine binds.
    expect(spans[spans.length - 1]).toBeLessThan(spans[0] / 2);
  });

  it("one engine alone has none", () => {
    const single = { ...aircraft, engines: { ...aircraft.engines, count: 1 } };
    expect(oneEngineEnvelope({ aircraft: single, mass_kg: 2500, rating: 0, air })).toMatchObject({
      ok: false,
      issue: { code: "one_engine" },
    });
  });
});
