// The equations of motion against what must hold whatever the aeroplane.
import { describe, expect, it } from "vitest";
import { glidingTurn } from "../glide/gliding-turn";
import { bestGlide } from "../glide/straight-glide";
import { G0, RHO0 } from "../quantities/constants";
import { type AirColumn, airColumn } from "./air-column";
import { type Body, type Control, type Motion, advance } from "./point-mass";

const GLIDER: Body = { cd0: 0.05, k: 0.0617, clMax: 1.5, wingLoading: 650, clAlpha: 4.9, thrust: null };
const BALL: Body = { ...GLIDER, cd0: 0, k: 0 };
const AIR = { qnh_Pa: 101_325, deviation_K: 0 };

function column(
  wind: (altitude_m: number) => { east_mps: number; north_mps: number } = () => ({ east_mps: 0, north_mps: 0 }),
): AirColumn {
  // Take-off to the north, so x is north and y east.
  return airColumn(AIR, wind, 0, 0, 1000);
}
const start = (change: Partial<Motion> = {}): Motion => ({
  tas_mps: 40,
  gamma_rad: 0,
  psi_rad: 0,
  x_m: 0,
  y_m: 0,
  height_m: 600,
  ...change,
});
function fly(motion: Motion, body: Body, air: AirColumn, control: Control, time_s: number, step_s = 0.1): Motion {
  for (let t = 0; t < time_s - 1e-9; t += step_s) advance(motion, body, air, control, step_s);
  return motion;
}
const load = (value: number, bank_rad = 0): Control => ({ hold: "load", value, clLimit: 10, bank_rad });

describe("point mass", () => {
  it("keeps its energy without drag, banked and pulling", () => {
    const motion = start();
    const energy = ({ tas_mps, height_m }: Motion) => height_m + tas_mps ** 2 / (2 * G0);
    const before = energy(motion);
    fly(motion, BALL, column(), load(1.3, 0.5), 8, 0.02);
    expect(Math.abs(motion.height_m - 600)).toBeGreaterThan(0.5);
    expect(Math.abs(energy(motion) - before)).toBeLessThan(0.02);
  });

  it("is only carried along by a wind that is the same at every height", () => {
    const control = load(1.2, 0.6);
    const still = fly(start(), GLIDER, column(), control, 20);
    const carried = fly(
      start(),
      GLIDER,
      column(() => ({ east_mps: 4, north_mps: -9 })),
      control,
      20,
    );
    expect(carried.tas_mps).toBeCloseTo(still.tas_mps, 9);
    expect(carried.psi_rad).toBeCloseTo(still.psi_rad, 9);
    expect(carried.height_m).toBeCloseTo(still.height_m, 9);
    expect(carried.x_m - still.x_m).toBeCloseTo(-9 * 20, 6);
    expect(carried.y_m - still.y_m).toBeCloseTo(4 * 20, 6);
  });

  it("falls like a stone through shear: the ground velocity changes by gravity alone", () => {
    // Wind that grows by 0.05 1/s with height, along and across.
    const wind = (altitude_m: number) => ({ east_mps: 0.03 * altitude_m, north_mps: -0.05 * altitude_m });
    const air = column(wind);
    const ground = ({ tas_mps, gamma_rad, psi_rad, height_m }: Motion) => {
      const { east_mps, north_mps } = wind(height_m);
      return {
        x: tas_mps * Math.cos(gamma_rad) * Math.cos(psi_rad) + north_mps,
        y: tas_mps * Math.cos(gamma_rad) * Math.sin(psi_rad) + east_mps,
        up: tas_mps * Math.sin(gamma_rad),
      };
    };
    const motion = start({ gamma_rad: 0.2, psi_rad: 0.7 });
    const before = ground(motion);
    fly(motion, BALL, air, load(0), 4, 0.01);
    const after = ground(motion);
    expect(after.x).toBeCloseTo(before.x, 3);
    expect(after.y).toBeCloseTo(before.y, 3);
    expect(after.up).toBeCloseTo(before.up - G0 * 4, 3);
  });

  it("settles into the steady glide and the steady turn of the closed forms", () => {
    const polar = { cd0: 0.05, k: 0.0617, clMax: 1.5, wingLoading: 650 };
    const best = bestGlide(polar);
    // Hands off at best-glide lift the phugoid dies away slowly; started in balance it stays there.
    const straight = fly(
      start({ tas_mps: best.eas_mps, gamma_rad: -best.angle_rad, height_m: 0 }),
      GLIDER,
      { ...column(), density: column().density.fill(RHO0) },
      { hold: "lift", value: best.cl, clLimit: 10, bank_rad: 0 },
      10,
    );
    expect(-straight.height_m / 10).toBeCloseTo(best.sinkEas_mps, 6);
    const turn = glidingTurn(polar, 1, Math.PI / 4, RHO0);
    const turned = fly(
      start({
        tas_mps: turn.tas_mps,
        gamma_rad: -Math.atan2(turn.sink_mps, turn.rate_radps * turn.radius_m),
        height_m: 0,
      }),
      GLIDER,
      { ...column(), density: column().density.fill(RHO0) },
      { hold: "lift", value: 1, clLimit: 10, bank_rad: Math.PI / 4 },
      10,
    );
    expect(turned.psi_rad / 10).toBeCloseTo(turn.rate_radps, 5);
    expect(-turned.height_m / 10).toBeCloseTo(turn.sink_mps, 5);
  });

  it("is second order in its step", () => {
    const end = (step_s: number) =>
      fly(
        start(),
        GLIDER,
        column((h) => ({ east_mps: 0, north_mps: -0.02 * h })),
        load(1.3, 0.7),
        12,
        step_s,
      ).x_m;
    const exact = end(0.01);
    const ratio = Math.abs(end(0.4) - exact) / Math.abs(end(0.2) - exact);
    expect(ratio).toBeGreaterThan(3);
    expect(ratio).toBeLessThan(5);
  });

  it("holds lift to its limit and says nothing else of the stall", () => {
    const motion = fly(
      start({ tas_mps: 20 }),
      GLIDER,
      column(),
      { hold: "attitude", value: 1.2, clLimit: 1.5, bank_rad: 0 },
      1,
    );
    expect(motion.height_m).toBeLessThan(600);
    expect(Number.isFinite(motion.tas_mps)).toBe(true);
  });
});
