import { describe, expect, it } from "vitest";
import { demoTwin, demoTwinQuestion } from "../../../demo/demo-twin";
import { radians } from "../quantities/angle";
import { ceilingsByMass, climbByHeight, climbTo, mendedOf, speedsTable } from "./climb-by-height";
import { SERVICE_ONE_MPS, ceiling_m, oneEngineSpeeds } from "./one-engine-climb";
import { stallCrossing_m, vmcaByBank, vmcaCurve } from "./vmca-curve";
import { vmca } from "./vmca";

const question = demoTwinQuestion({ gearDown: true });

describe("climb by height", () => {
  it("falls with height, and mended is better than as set", () => {
    const rows = climbByHeight(question, [0, 1000, 2000, 3000]);
    rows.forEach((row, i) => {
      expect(row.mended.climb_mps).toBeGreaterThan(row.asSet.climb_mps);
      if (i > 0) expect(row.mended.climb_mps).toBeLessThan(rows[i - 1].mended.climb_mps);
    });
    expect(climbByHeight(question, [50_000])).toEqual([]);
  });

  it("takes time and distance that the mean rate gives", () => {
    const mended = mendedOf(question);
    const to = climbTo(mended, 300);
    const mean =
      (oneEngineSpeeds(demoTwin(mended)).rate.climb_mps +
        oneEngineSpeeds(demoTwin({ ...mended, altitude_m: 300 })).rate.climb_mps) /
      2;
    expect(to.ok && to.value ? to.value.time_s * mean : NaN).toBeCloseTo(300, -1);
    // Over the ceiling there is no such climb.
    expect(climbTo(mended, 4000)).toEqual({ ok: true, value: null });
  });

  it("ceilings fall with mass and are those of the ceiling search", () => {
    const [heavy, light] = ceilingsByMass(question, [1725, 1300]);
    const own = ceiling_m(mendedOf(question), SERVICE_ONE_MPS, 1);
    expect(heavy.service).toEqual(own);
    expect(light.service.ok && heavy.service.ok && light.service.value > heavy.service.value).toBe(true);
  });
});

describe("the card's table", () => {
  it("has a row for each altitude at each mass; slower the lighter and the higher", () => {
    const rows = speedsTable(question, radians(5), [0, 2000], [1725, 1300]);
    expect(rows.map((row) => [row.mass_kg, row.altitude_m])).toEqual([
      [1725, 0],
      [1725, 2000],
      [1300, 0],
      [1300, 2000],
    ]);
    expect(rows[2].vyse.eas_mps).toBeLessThan(rows[0].vyse.eas_mps);
    expect(rows[1].vyse.eas_mps).toBeLessThan(rows[0].vyse.eas_mps);
    expect(rows[1].vmca_mps ?? Infinity).toBeLessThan(rows[0].vmca_mps ?? 0);
    // Gear and doors of the question do not enter the card.
    expect(rows[0].vmca_mps).toBeCloseTo(vmca(demoTwin({}), radians(5)).eas_mps ?? NaN, 9);
  });
});

describe("curves of minimum control speed", () => {
  it("over bank are those of each bank alone, with the least near 7° where the fin stalls", () => {
    const byBank = vmcaByBank(question, [0, 3, 5, 7, 9].map(radians));
    expect(byBank[2].vmca_mps).toBe(vmca(demoTwin({ gearDown: true }), radians(5)).eas_mps);
    const least = byBank.reduce((best, at) => ((at.vmca_mps ?? Infinity) < (best.vmca_mps ?? Infinity) ? at : best));
    expect(least.bank_rad).toBeCloseTo(radians(7), 6);
  });

  it("over density altitude: warm air moves the crossing by its own altitude, not by density altitude", () => {
    const altitudes = Array.from({ length: 15 }, (_, i) => i * 300);
    const standard = stallCrossing_m(vmcaCurve(question, radians(5), altitudes));
    const warm = stallCrossing_m(
      vmcaCurve({ ...question, air: { ...question.air, deviation_K: 15 } }, radians(5), altitudes),
    );
    expect(standard).not.toBeNull();
    expect(Math.abs((warm ?? NaN) - (standard ?? NaN))).toBeLessThan(60);
  });
});
