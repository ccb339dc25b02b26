import { describe, expect, it } from "vitest";
import { airColumn, airSample, readAir } from "./air-column";
import { type Body, type Control, type Motion, advance } from "./point-mass";
import { loadToHoldSpeed } from "./speed-hold";

const GLIDER: Body = { cd0: 0.05, k: 0.0617, clMax: 1.5, wingLoading: 600, clAlpha: 4.9, thrust: null };
const CALM = airColumn({ qnh_Pa: 101_325, deviation_K: 0 }, () => ({ east_mps: 0, north_mps: 0 }), 0, 0, 1500);
const SHEAR = airColumn(
  { qnh_Pa: 101_325, deviation_K: 0 },
  (altitude_m) => ({ east_mps: 0, north_mps: -0.02 * altitude_m }),
  0,
  0,
  1500,
);
const CL_LIMIT = 1.5 / 1.05 ** 2;

/** Flies a speed for a while and says how it went. */
function hold(target_mps: number, bank_rad: number, change: Partial<Motion> = {}, air = CALM, time_s = 40) {
  const motion: Motion = { tas_mps: 34, gamma_rad: -0.1, psi_rad: 0, x_m: 0, y_m: 0, height_m: 1200, ...change };
  const control: Control = { hold: "load", value: 1, clLimit: CL_LIMIT, bank_rad };
  const loads: number[] = [];
  for (let t = 0; t < time_s; t += 0.2) {
    control.value = loadToHoldSpeed(
      motion,
      GLIDER,
      readAir(air, motion.height_m, airSample()),
      target_mps,
      bank_rad,
      CL_LIMIT,
    );
    loads.push(control.value);
    advance(motion, GLIDER, air, control, 0.2);
  }
  return { motion, loads };
}

describe("holding a speed", () => {
  it.each([
    [30, 0],
    [34, 0],
    [42, 0],
    [36, 0.5],
    [38, Math.PI / 4],
  ])("settles on %d m/s in %f rad of bank", (target_mps, bank_rad) => {
    const { motion } = hold(target_mps, bank_rad);
    expect(Math.abs(motion.tas_mps - target_mps)).toBeLessThan(0.4);
    expect(motion.gamma_rad).toBeLessThan(0);
  });

  it("stays within the loads of a calm hand", () => {
    for (const target of [28, 60]) {
      const { loads } = hold(target, 0.6, { tas_mps: target === 28 ? 60 : 28 });
      expect(Math.min(...loads)).toBeGreaterThanOrEqual(0.5);
      expect(Math.max(...loads)).toBeLessThanOrEqual(2.6);
    }
  });

  it("holds the speed through a wind that falls off on the way down", () => {
    const { motion } = hold(34, 0, {}, SHEAR);
    expect(Math.abs(motion.tas_mps - 34)).toBeLessThan(0.5);
    // The headwind dies away below: the glide is steeper than in calm air.
    expect(motion.gamma_rad).toBeLessThan(hold(34, 0).motion.gamma_rad);
  });

  it("asks for no more lift than the limit leaves", () => {
    const { motion } = hold(20, 0, {}, CALM, 25);
    // Slower than the limit allows cannot be held: it settles at the least speed instead of stalling.
    const least = Math.sqrt((2 * GLIDER.wingLoading) / (1.1 * CL_LIMIT));
    expect(motion.tas_mps).toBeGreaterThan(least * 0.9);
  });
});
