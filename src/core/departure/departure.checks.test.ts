// Values from outside the project for take-off, turnback and propeller thrust. "cross-check" marks values of an
// independent prototype of the same equations: two implementations agree, nature is not asked.
import { describe, expect, it } from "vitest";
import { demoDeparture } from "../../../demo/demo-departure";
import { discThrust_N } from "../aircraft/propeller-thrust";
import { radians } from "../quantities/angle";
import { M_PER_FT, RHO0 } from "../quantities/constants";
import { bandsOf, betterSide, turnbackAt } from "./scan";

const CROSS_CHECK = { mass_kg: 1100, plan: { reaction: "attitude", stallMargin: 1.1 } } as const;

/**
 * Heights at which turning back with 45° works, ft, looked at every 10 ft about the expected edge and every 100 ft
 * elsewhere.
 */
function bands(length_m: number, headwind_kt: number) {
  const { day, question } = demoDeparture({ ...CROSS_CHECK, plain: { length_m, headwind_kt } });
  const heights = [
    ...Array.from({ length: 8 }, (_, i) => 100 * (i + 1)),
    ...Array.from({ length: 11 }, (_, i) => 420 + 10 * i),
    1000,
    1200,
    1500,
    1800,
    2100,
    2500,
  ].sort((a, b) => a - b);
  const points = heights.map((height_ft) => ({
    height_m: height_ft * M_PER_FT,
    score_m: betterSide(turnbackAt(day, question, Math.min(height_ft * M_PER_FT, 762), radians(45)))?.score_m ?? null,
  }));
  return bandsOf(points).map(({ from_m, to_m }) => ({
    from_ft: from_m / M_PER_FT,
    to_ft: to_m === null ? null : to_m / M_PER_FT,
  }));
}

describe("turnback, Alder S1 at 1 100 kg, 45°, k 1.10, 4 s with the attitude held (cross-check)", () => {
  it("10 kt of headwind, 1 000 m: from 454 ft, give or take 10", () => {
    const [band] = bands(1000, 10);
    expect(Math.abs(band.from_ft - 454)).toBeLessThan(10);
    expect(band.to_ft).toBeNull();
  });

  it("still air, 1 000 m: at no height; the climb outflies the runway", () => {
    expect(bands(1000, 0)).toEqual([]);
  });

  it("still air, 1 600 m: from 470 ft, give or take 10", () => {
    const [band] = bands(1600, 0);
    expect(Math.abs(band.from_ft - 470)).toBeLessThan(10);
  });
});

describe("propeller thrust", () => {
  const LARCH = { power_W: 134_200, efficiency: 0.78, diameter_m: 1.93 };
  it.each([
    [0, 4282.41],
    [42, 2168.627],
  ])("disc at %d m/s (momentum theory)", (tas_mps, thrust_N) => {
    expect(Math.abs(discThrust_N(LARCH, tas_mps, RHO0) / thrust_N - 1)).toBeLessThan(1e-6);
  });

  it("falls with speed and rises with density and power", () => {
    expect(discThrust_N(LARCH, 60, RHO0)).toBeLessThan(discThrust_N(LARCH, 42, RHO0));
    expect(discThrust_N(LARCH, 42, 1)).toBeLessThan(discThrust_N(LARCH, 42, RHO0));
    expect(discThrust_N({ ...LARCH, power_W: 1 }, 42, RHO0)).toBeGreaterThan(0);
  });

  it.each([0, 42])("without power there is none, at %d m/s", (tas_mps) => {
    expect(discThrust_N({ ...LARCH, power_W: 0 }, tas_mps, RHO0)).toBeCloseTo(0, 9);
  });
});

describe("take-off", () => {
  // Rules of thumb, common practice: a light single at maximum mass rolls 200 to 350 m in still air at sea level,
  // climbs 600 to 900 ft/min.
  it("is that of a light single", () => {
    const { day } = demoDeparture({ ...CROSS_CHECK, plain: { length_m: 1000, headwind_kt: 0 } });
    expect(day.climb.run_m).toBeGreaterThan(180);
    expect(day.climb.run_m).toBeLessThan(350);
    const { points } = day.climb;
    const [low, high] = [
      points.findIndex((point) => point.height_m > 150),
      points.findIndex((point) => point.height_m > 300),
    ];
    const rate_fpm =
      (((points[high].height_m - points[low].height_m) / (points[high].time_s - points[low].time_s)) * 60) / M_PER_FT;
    expect(rate_fpm).toBeGreaterThan(600);
    expect(rate_fpm).toBeLessThan(900);
  });
});
