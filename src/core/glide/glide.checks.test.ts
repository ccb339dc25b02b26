// Values from outside the project for gliding, turning and the shortest turn–straight–turn paths. "cross-check" marks
// values of an independent prototype of the same equations: two implementations agree, nature is not asked.
import { describe, expect, it } from "vitest";
import type { Polar } from "../aircraft/polar";
import { levelTurnLoadFactor, stallSpeed_mps } from "../aircraft/polar";
import { airspeedsFromCas } from "../air/airspeed";
import { airAtAltitude } from "../air/altimetry";
import { degrees, radians } from "../quantities/angle";
import { G0, M_PER_FT, MPS_PER_KT, P0_PA, RHO0 } from "../quantities/constants";
import { accelerationFactor } from "./acceleration-factor";
import { descentIntegrals } from "./descent-integrals";
import { type Word, turnSigns, turnStraightTurn } from "./dubins";
import { bestBankAtFixedLift_rad, glidingTurn } from "./gliding-turn";
import { bestGlide, leastSink, liftCoefficientAt, straightGlide } from "./straight-glide";

/** Alder S1 at 1,100 kg, clean, propeller windmilling. */
const ALDER: Polar = { cd0: 0.05, k: 0.0617, clMax: 1.5, wingLoading: (1100 * G0) / 16.5 };

function closeTo(actual: number, expected: number, relative: number): void {
  expect(Math.abs(actual / expected - 1)).toBeLessThan(relative);
}

describe("straight glide", () => {
  it("Alder S1 at 1 100 kg, sea level (cross-check)", () => {
    const best = bestGlide(ALDER);
    closeTo(best.cl, 0.900207, 1e-6);
    closeTo(best.eas_mps, 34.328818, 1e-6);
    closeTo(best.sinkEas_mps, 3.790122, 1e-6);
    closeTo(stallSpeed_mps(ALDER), 26.675713, 1e-6);
    expect(best.limitedByStall).toBe(false);
  });

  it("L/D 9 is 1.48 NM per 1 000 ft (arithmetic)", () => {
    expect((9 * 1000 * M_PER_FT) / 1852).toBeCloseTo(1.48, 2);
  });

  it("least sink is slower than best glide and sinks less", () => {
    const least = leastSink(ALDER);
    expect(least.eas_mps).toBeLessThan(bestGlide(ALDER).eas_mps);
    expect(least.sinkEas_mps).toBeLessThan(bestGlide(ALDER).sinkEas_mps);
    expect(least.limitedByStall).toBe(true);
  });

  it("finds the lift coefficient of a speed again, and none below the stall or past terminal speed", () => {
    for (const cl of [0.2, 0.9, 1.45])
      closeTo(liftCoefficientAt(ALDER, straightGlide(ALDER, cl).eas_mps) ?? NaN, cl, 1e-9);
    expect(liftCoefficientAt(ALDER, stallSpeed_mps(ALDER) * 0.97)).toBeNull();
    expect(liftCoefficientAt(ALDER, 500)).toBeNull();
  });
});

describe("glide at constant calibrated airspeed", () => {
  /** Cedar J2 at 41 t, engines windmilling. */
  const CEDAR: Polar = { cd0: 0.0232, k: 0.0352, clMax: 1.55, wingLoading: (41_000 * G0) / 92 };
  const ISA = { qnh_Pa: P0_PA, deviation_K: 0 };
  const CAS = 182 * MPS_PER_KT;

  it("Cedar J2 at FL140 and 182 KCAS: 1 214.12 ft/min, 3.0640° (cross-check)", () => {
    const altitude_m = 14_000 * M_PER_FT;
    const speeds = airspeedsFromCas(CAS, airAtAltitude(altitude_m, ISA));
    if (!speeds.ok) throw new Error(speeds.issue.message);
    const cl = liftCoefficientAt(CEDAR, speeds.value.eas_mps) ?? NaN;
    const sinAngle = Math.sin(straightGlide(CEDAR, cl).angle_rad) / (1 + accelerationFactor(CAS, altitude_m, ISA));
    // The prototype takes lift equal to weight, a shade less drag than ours: 1.6e-3.
    closeTo(degrees(Math.asin(sinAngle)), 3.064, 2e-3);
    closeTo((speeds.value.tas_mps * sinAngle * 60) / M_PER_FT, 1214.12, 2e-3);
    // 7 % at FL140 and 182 kt (the design's own figure).
    expect(accelerationFactor(CAS, altitude_m, ISA)).toBeCloseTo(0.07, 2);
  });

  it("Cedar J2 from FL140 to sea level in still air: 42.44 NM, 759.5 s (cross-check)", () => {
    const { ratio, sinkEas_mps } = bestGlide(CEDAR);
    const integrals = descentIntegrals(ISA, () => ({ east_mps: 0, north_mps: 0 }), 0, 14_000 * M_PER_FT, CAS);
    const at = (altitude_m: number) => integrals.at(altitude_m, { time_m: 0, east_m2ps: 0, north_m2ps: 0 }).time_m;
    const distance_m = ratio * (integrals.energyAt(14_000 * M_PER_FT) - integrals.energyAt(0));
    closeTo(distance_m / 1852, 42.44, 2e-3);
    closeTo((at(14_000 * M_PER_FT) - at(0)) / sinkEas_mps, 759.5, 2e-3);
  });
});

describe("gliding turn", () => {
  it.each([
    [30, 1.1547, 1.0746],
    [45, 1.4142, 1.1892],
    [60, 2.0, 1.4142],
    [75, 3.864, 1.966],
  ])("load and stall factors at %i° (FAA-H-8083-25, from memory)", (bank_deg, load, stall) => {
    const n = levelTurnLoadFactor(radians(bank_deg));
    // The table's last digits.
    expect(Math.abs(n - load)).toBeLessThan(0.0005);
    expect(Math.abs(Math.sqrt(n) - stall)).toBeLessThan(0.0005);
  });

  it("120 KTAS at 30°: 2 208 ft (book 2 215 with its rounded constant) and 5.255 °/s (FAA-H-8083-25, from memory)", () => {
    // A wing with hardly any drag turns level: the same formula in its limit.
    const slick: Polar = { cd0: 1e-9, k: 1e-9, clMax: 5, wingLoading: 500 };
    const v = 120 * MPS_PER_KT;
    const cl = liftCoefficientAt(slick, v, radians(30)) ?? NaN;
    const turn = glidingTurn(slick, cl, radians(30), RHO0);
    closeTo(turn.radius_m / M_PER_FT, 2208, 5e-4);
    closeTo(degrees(turn.rate_radps), 5.255, 2e-4);
  });

  it("65 kt at 3 °/s: radius about 2 100 ft; 225° plus 4 s at 1 000 ft/min about 1 316 ft (FAA-H-8083-3 example, from memory)", () => {
    expect(Math.abs((65 * MPS_PER_KT) / radians(3) / M_PER_FT - 2100)).toBeLessThan(10);
    // 75 s of turn plus 4 s of reaction.
    expect(((225 / 3 + 4) * 1000) / 60).toBeCloseTo(1316, -1);
  });

  it("Alder S1 at 45°, CL 1.5/1.21 (cross-check)", () => {
    const turn = glidingTurn(ALDER, 1.5 / 1.21, radians(45), RHO0);
    closeTo(turn.tas_mps, 34.661113, 1e-6);
    closeTo(turn.sink_mps, 5.64977, 1e-6);
    closeTo(turn.loadFactor, 1.3953, 1e-6);
    closeTo(turn.radius_m, 120.869547, 1e-6);
    closeTo(turn.heightPerRadian_m, 19.968828, 1e-6);
  });

  it.each([
    [1 / 9, 45.725818],
    [0.2, 47.515348],
    [0.35, 57.711234],
  ])("best bank at fixed lift for ε %f (closed form)", (epsilon, bank_deg) => {
    closeTo(degrees(bestBankAtFixedLift_rad(epsilon) ?? NaN), bank_deg, 1e-6);
  });

  it("the closed form's bank is the least of the exact turn, just over 45° (Rogers 1995, from memory)", () => {
    const cl = 1.2;
    const loss = (bank: number) => glidingTurn(ALDER, cl, bank, RHO0).heightPerRadian_m;
    const best = bestBankAtFixedLift_rad(straightGlide(ALDER, cl).cd / cl) ?? NaN;
    expect(degrees(best)).toBeGreaterThan(45);
    expect(loss(best)).toBeLessThan(loss(best + 0.01));
    expect(loss(best)).toBeLessThan(loss(best - 0.01));
    expect(bestBankAtFixedLift_rad(0.4)).toBeNull();
  });

  it("a light single loses about 300 ft in 180° at 20° of bank and about 200 ft at 60° (common practice)", () => {
    // 1,000 kg at 1.2 times the stall speed in the turn, sea level: practice quotes whole hundreds of feet.
    const light: Polar = { ...ALDER, wingLoading: (1000 * G0) / 16.5 };
    const loss_ft = (bank_deg: number) =>
      (Math.PI * glidingTurn(light, light.clMax / 1.44, radians(bank_deg), RHO0).heightPerRadian_m) / M_PER_FT;
    expect(loss_ft(20)).toBeGreaterThan(250);
    expect(loss_ft(20)).toBeLessThan(450);
    expect(loss_ft(60)).toBeGreaterThan(150);
    expect(loss_ft(60)).toBeLessThan(260);
  });
});

describe("turn, straight, turn", () => {
  const length = (word: Word) => {
    const [s1, s2] = turnSigns(word);
    const found = turnStraightTurn(0, 0, 0, 100, s1, 200, 400, Math.PI / 2, 100, s2, {
      turn1_rad: 0,
      straight_m: 0,
      turn2_rad: 0,
      heading_rad: 0,
    });
    return found ? 100 * (found.turn1_rad + found.turn2_rad) + found.straight_m : null;
  };

  it.each<[Word, number]>([
    ["LSL", 1682.6526],
    ["RSR", 473.3074],
    ["LSR", 1100.6608],
    ["RSL", 1060.371],
  ])(
    "R 100 m from the origin heading north to 400 m north, 200 m east, heading east, by %s (closed form)",
    (word, expected) => {
      closeTo(length(word) ?? NaN, expected, 1e-6);
    },
  );

  it("has no inner tangent when the circles overlap, and no turn where none is needed", () => {
    const out = { turn1_rad: 0, straight_m: 0, turn2_rad: 0, heading_rad: 0 };
    expect(turnStraightTurn(0, 0, 0, 100, 1, 50, 0, 0, 100, -1, out)).toBeNull();
    const straight = turnStraightTurn(0, 0, 0, 100, 1, 0, 1000, 0, 100, 1, out);
    expect(straight).toMatchObject({ turn1_rad: 0, turn2_rad: 0 });
    expect(straight?.straight_m).toBeCloseTo(1000, 6);
  });
});
