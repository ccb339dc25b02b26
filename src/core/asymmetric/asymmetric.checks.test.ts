// Values from outside the project for flight on one engine. "cross-check" marks values of an independent prototype of
// the same equations: two implementations agree, nature is not asked.
import { describe, expect, it } from "vitest";
import { demoTwin, demoTwinQuestion } from "../../../demo/demo-twin";
import { radians } from "../quantities/angle";
import { M_PER_FT, M_PER_NMI, MPS_PER_KT } from "../quantities/constants";
import { driftdown } from "./driftdown";
import { SERVICE_ONE_MPS, ceiling_m, oneEngineSpeeds, twoEngineSpeeds, zeroSideslip } from "./one-engine-climb";
import { PEDAL_N, vmca } from "./vmca";

const FPM = M_PER_FT / 60;
const relative = (actual: number | null, expected: number) => Math.abs((actual ?? NaN) / expected - 1);

describe("Larch T2, 1 725 kg, aft centre of gravity, critical engine windmilling, sea level (cross-check)", () => {
  const one = demoTwin();
  it.each([
    [5, 62.88254],
    [0, 79.298],
  ])("minimum control speed at %d° of bank: %f KEAS", (bank_deg, keas) => {
    const found = vmca(one, radians(bank_deg));
    expect(relative(found.eas_mps, keas * MPS_PER_KT)).toBeLessThan(1e-5);
    expect(found).toMatchObject({ binding: "rudder", stallFirst: false });
  });

  it("is the published speed in the certification case, bank at most 5°, pedal force at most 150 lbf (14 CFR 23.149 before 2017, memory)", () => {
    const certified = demoTwin({ mass_kg: 1350 });
    const found = vmca(certified, radians(5));
    expect(relative(found.eas_mps, 66 * MPS_PER_KT)).toBeLessThan(1e-5);
    const { pedal } = found.limits;
    expect(pedal.kind === "at" ? pedal.eas_mps : 0).toBeLessThan(found.eas_mps ?? 0);
    // At most 1.2 V_S1 at maximum mass.
    expect(66 * MPS_PER_KT).toBeLessThan(1.2 * vmca(one, 0).stall_mps);
    expect(PEDAL_N / 4.4482216).toBeCloseTo(150, 4);
  });

  it("rises by more than 2 kt for each degree of bank less than 5° (Airplane Flying Handbook: more than 3, memory; Larch 2.6 light, 3.3 at maximum mass)", () => {
    const slope = (mass_kg: number) => {
      const twin = demoTwin({ mass_kg });
      return ((vmca(twin, 0).eas_mps ?? NaN) - (vmca(twin, radians(5)).eas_mps ?? NaN)) / MPS_PER_KT / 5;
    };
    expect(slope(1350)).toBeCloseTo(2.6, 1);
    expect(slope(1725)).toBeCloseTo(3.3, 1);
  });
});

describe("Larch T2 on one engine, feathered", () => {
  const feathered = demoTwin({ deadPropeller: "feathered" });

  it("81 KEAS, zero sideslip: φ 3.072389°, rudder 12.68876°, 262.8713 ft/min (cross-check)", () => {
    const state = zeroSideslip(feathered, 81 * MPS_PER_KT);
    expect(relative(state?.bank_rad ?? null, radians(3.072389))).toBeLessThan(1e-5);
    expect(relative(state?.rudder_rad ?? null, radians(12.68876))).toBeLessThan(1e-5);
    expect(relative(state?.climb_mps ?? null, 262.8713 * FPM)).toBeLessThan(1e-5);
    // Ball a third to two thirds out, bank 2 to 3° (Airplane Flying Handbook, memory): one ball is 5°.
    expect((state?.bank_rad ?? 0) / radians(5)).toBeCloseTo(0.61, 2);
  });

  it("half the power lost costs 80 to 90 % of the climb (Airplane Flying Handbook, memory; Larch 81 %)", () => {
    const loss = 1 - oneEngineSpeeds(feathered).rate.climb_mps / twoEngineSpeeds(feathered).rate.climb_mps;
    expect(loss).toBeCloseTo(0.81, 2);
  });

  it("service ceiling 5 614 ft, absolute 6 953 ft (cross-check; 50 ft/min and 0 by definition)", () => {
    const question = demoTwinQuestion({ deadPropeller: "feathered" });
    const [service, absolute] = [ceiling_m(question, SERVICE_ONE_MPS, 1), ceiling_m(question, 0, 1)];
    expect(service.ok ? service.value / M_PER_FT : NaN).toBeCloseTo(5614, -1);
    expect(absolute.ok ? absolute.value / M_PER_FT : NaN).toBeCloseTo(6953, -1);
  });

  it.each([
    [0, 31.578, 50.419],
    [0.011, 18.447, 29.532],
  ])(
    "drift-down 14 000 to 9 000 ft at 81 KEAS, decrement %f: %f min, %f NM (cross-check)",
    (decrement, minutes, miles) => {
      const found = driftdown(
        demoTwinQuestion({ deadPropeller: "feathered" }),
        14_000 * M_PER_FT,
        9000 * M_PER_FT,
        81 * MPS_PER_KT,
        decrement,
      );
      const last = found.ok ? found.value.points.at(-1) : undefined;
      expect(relative((last?.time_s ?? NaN) / 60, minutes)).toBeLessThan(1e-3);
      expect(relative((last?.distance_m ?? NaN) / M_PER_NMI, miles)).toBeLessThan(1e-3);
    },
  );
});
