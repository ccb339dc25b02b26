import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { demoAircraft } from "../../../demo/read-demo";
import { REQUIRED, massLimit, takeOffSegments } from "./segments";

const cedar = demoAircraft("cedar-j2");
const at = (altitude_m: number, deviation_K: number) => ({
  aircraft: cedar,
  altitude_m,
  air: { qnh_Pa: 101_325, deviation_K },
});
const limit = (altitude_m: number, deviation_K: number) => {
  const found = massLimit(at(altitude_m, deviation_K));
  if (!found.ok) throw new Error(found.issue.message);
  return found.value;
};

describe("take-off segments of a two-engine jet", () => {
  it("ask for 2.4 % in the second, 1.2 % in the final, 2.1 % in the approach segment (14 CFR 25.121, memory)", () => {
    expect(REQUIRED).toMatchObject({ second: 0.024, final: 0.012, approach: 0.021 });
  });

  it("the gear costs the first segment about what its drag over lift says (arithmetic: ΔCD/CL)", () => {
    const found = takeOffSegments({ ...at(0, 0), mass_kg: 41_000 });
    if (!found.ok) throw new Error(found.issue.message);
    const [first, second] = found.value;
    // V_2 is 1.2 V_S, so CL is CLmax/1.44.
    expect(second.gradient - first.gradient).toBeCloseTo(0.018 / (2 / 1.44), 3);
    expect(found.value.every((segment) => segment.complies)).toBe(true);
  });

  it("at the limit the binding segment has just its gradient", () => {
    const { mass_kg, binding } = limit(2500, 25);
    expect(binding).toBe("second");
    const found = takeOffSegments({ ...at(2500, 25), mass_kg: mass_kg ?? NaN });
    const second = found.ok ? found.value.find((segment) => segment.name === "second") : null;
    expect(second?.gradient ?? NaN).toBeCloseTo(0.024, 4);
  });

  it("hotter or higher never lets it be heavier", () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 2800 }), fc.integer({ min: -20, max: 30 }), (altitude_m, deviation_K) => {
        const here = limit(altitude_m, deviation_K).mass_kg ?? 0;
        expect(limit(altitude_m + 300, deviation_K).mass_kg ?? 0).toBeLessThanOrEqual(here + 10);
        expect(limit(altitude_m, deviation_K + 8).mass_kg ?? 0).toBeLessThanOrEqual(here + 10);
      }),
      { numRuns: 6 },
    );
  });

  it("cold and low the structure is the limit; where not even the least mass climbs it is said which segment", () => {
    expect(limit(0, -10)).toEqual({ mass_kg: 46_000, binding: null });
    const weak = { ...cedar, polar: cedar.polar && { ...cedar.polar, cd0: 8 * cedar.polar.cd0 } };
    expect(massLimit({ ...at(1500, 30), aircraft: weak })).toMatchObject({ ok: true, value: { mass_kg: null } });
  });

  it("is not asked of propeller twins", () => {
    expect(takeOffSegments({ ...at(0, 0), aircraft: demoAircraft("larch-t2"), mass_kg: 1600 })).toMatchObject({
      ok: false,
      issue: { code: "not_a_jet" },
    });
  });
});
