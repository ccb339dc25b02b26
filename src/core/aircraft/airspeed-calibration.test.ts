import { describe, expect, it } from "vitest";
import { MPS_PER_KT } from "../quantities/constants";
import { AirspeedCalibration, calibrated_mps, indicated_mps } from "./airspeed-calibration";

const kt = (rows: readonly (readonly [number, number])[]) =>
  rows.map(([indicated, calibrated]) => ({
    indicated_mps: indicated * MPS_PER_KT,
    calibrated_mps: calibrated * MPS_PER_KT,
  }));

// The form of a light aeroplane's table: slow, the indicator shows too little. Common practice, figures invented.
const TABLE = kt([
  [40, 49],
  [60, 63],
  [80, 80],
  [120, 117],
]);

describe("airspeed calibration", () => {
  // Straight lines by hand: 50 lies half way between 40 and 60, its calibrated speed half way between 49 and 63.
  it.each([
    [40, 49],
    [50, 56],
    [60, 63],
    [65, 67.25],
    [80, 80],
    [100, 98.5],
    [120, 117],
    [30, 39],
    [150, 147],
  ])("%d kt indicated are %d kt calibrated, and back", (indicated, calibrated) => {
    expect(calibrated_mps(TABLE, indicated * MPS_PER_KT) / MPS_PER_KT).toBeCloseTo(calibrated, 9);
    expect(indicated_mps(TABLE, calibrated * MPS_PER_KT) / MPS_PER_KT).toBeCloseTo(indicated, 9);
  });

  it("without a table it shows calibrated airspeed", () => {
    expect([indicated_mps(null, 33), calibrated_mps(null, 33)]).toEqual([33, 33]);
  });

  it.each([
    ["one row", kt([[40, 49]])],
    [
      "a speed that falls",
      kt([
        [40, 49],
        [60, 48],
      ]),
    ],
    [
      "the same speed twice",
      kt([
        [40, 49],
        [40, 52],
      ]),
    ],
    [
      "columns of another thing",
      kt([
        [40, 90],
        [60, 100],
      ]),
    ],
    ["31 rows", kt(Array.from({ length: 31 }, (_, i) => [40 + i, 42 + i] as const))],
  ])("%s is refused", (_, table) => {
    expect(AirspeedCalibration.safeParse(table).success).toBe(false);
  });
});
