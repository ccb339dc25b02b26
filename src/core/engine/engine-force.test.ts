import { describe, expect, it } from "vitest";
import { demoTwin, demoTwinQuestion } from "../../../demo/demo-twin";
import { demoAircraft } from "../../../demo/read-demo";
import { airState } from "../air/atmosphere";
import { P0_PA, RHO0, T0_K } from "../quantities/constants";
import { deadDragArea_m2, engineForce } from "./engine-force";
import { equilibriumAt } from "../asymmetric/equilibrium";

const larch = demoAircraft("larch-t2");
const cedar = demoAircraft("cedar-j2");
const airOf = (altitude_m: number, deviation_K = 0) => {
  const state = airState(altitude_m, deviation_K);
  return {
    density: state.density,
    delta: state.pressure_Pa / P0_PA,
    theta: state.temperature_K / T0_K,
    speedOfSound_mps: state.speedOfSound_mps,
  };
};

describe("a live engine", () => {
  it("propeller: thrust is ρ·A·(V + vi)·2vi, and half of ηP is not lost", () => {
    const force = engineForce(larch.engines, airOf(0), 42, 1, null);
    if (!force) throw new Error("no force");
    const area = (Math.PI * 1.93 ** 2) / 4;
    expect(force.thrust_N).toBeCloseTo(RHO0 * area * (42 + force.induced_mps) * 2 * force.induced_mps, 3);
    // Energy: thrust times the speed through the disc is the power put in.
    expect((force.thrust_N * (42 + force.induced_mps)) / (0.78 * 134_200)).toBeCloseTo(1, 6);
    // Momentum theory at 42 m/s (checked for the disc itself too).
    expect(Math.abs(force.thrust_N / 2168.627 - 1)).toBeLessThan(1e-6);
  });

  it("propeller: less with height unless it is turbocharged", () => {
    const thrust = (altitude_m: number, sigmaCritical: number | null) =>
      engineForce(larch.engines, airOf(altitude_m), 42, 1, sigmaCritical).thrust_N;
    expect(thrust(3000, null)).toBeLessThan(0.75 * thrust(0, null));
    expect(thrust(3000, 0.6)).toBeGreaterThan(0.95 * thrust(0, 0.6));
    expect(engineForce(larch.engines, airOf(12_000), 42, 1, null).power_W).toBeGreaterThan(0);
  });

  it("jet: rated thrust at standstill, less with speed, height and heat over the flat rating", () => {
    const thrust = (altitude_m: number, tas_mps: number, deviation_K = 0) =>
      engineForce(cedar.engines, airOf(altitude_m, deviation_K), tas_mps, 1, null).thrust_N;
    expect(thrust(0, 0.001)).toBeCloseTo(70_000, -3);
    expect(thrust(0, 80)).toBeLessThan(thrust(0, 40));
    expect(thrust(3000, 80)).toBeLessThan(thrust(0, 80));
    // Flat up to a total temperature ratio of 1.05, some 14 °C above standard, then falling.
    expect(Math.abs(thrust(0, 20, 10) / thrust(0, 20) - 1)).toBeLessThan(0.005);
    expect(thrust(0, 20, 30)).toBeLessThan(0.95 * thrust(0, 20));
  });

  it("at a setting gives that share; a helicopter has no thrust of this kind", () => {
    expect(
      engineForce(cedar.engines, airOf(0), 60, 0.5, null).thrust_N /
        engineForce(cedar.engines, airOf(0), 60, 1, null).thrust_N,
    ).toBeCloseTo(0.5, 9);
  });
});

describe("a dead engine", () => {
  it.each([
    ["windmilling", 0.18],
    ["stopped", 0.08],
    ["feathered", 0.008],
  ] as const)("%s drags %f of its disc", (state, coefficient) => {
    expect(deadDragArea_m2(larch, state)).toBeCloseTo((coefficient * Math.PI * 1.93 ** 2) / 4, 9);
  });

  it("on the wing's area counts one of all propellers; what cannot be is null", () => {
    const alder = demoAircraft("alder-s1");
    expect(deadDragArea_m2(alder, "windmilling")).toBeCloseTo(0.014 * 16.5, 9);
    expect(deadDragArea_m2(alder, "feathered")).toBeNull();
    expect(deadDragArea_m2(larch, "none")).toBeNull();
    expect(deadDragArea_m2(cedar, "none")).toBe(0.1);
  });
});

describe("equilibrium", () => {
  it.each([
    ["larch-t2", 41, 0.05, 0],
    ["larch-t2", 36, 0.087, 0.5],
    ["hornbeam-t2c", 55, 0, 1],
    ["cedar-j2", 75, 0.03, 0.2],
  ])("of %s at %f m/s solves its three equations", (name, eas_mps, bank_rad, centreOfGravity) => {
    const one = demoTwin({ centreOfGravity }, name);
    const state = equilibriumAt(one, eas_mps, bank_rad);
    if (!state) throw new Error("no state");
    const { asymmetric: a, wing, cnDeltaR, cg_m } = one;
    const cyR = (-cnDeltaR * wing.span_m) / a.finArm_m;
    const side = a.cyBeta * state.beta_rad + cyR * state.rudder_rad + state.cw * Math.sin(bank_rad);
    const roll =
      a.clBeta * state.beta_rad +
      a.clDeltaA * state.aileron_rad +
      ((cyR * a.finHeight_m) / wing.span_m) * state.rudder_rad +
      state.clThrust;
    const yaw =
      (a.cnBeta + (a.cyBeta * cg_m) / wing.span_m) * state.beta_rad +
      (cnDeltaR + (cyR * cg_m) / wing.span_m) * state.rudder_rad +
      a.cnDeltaA * state.aileron_rad +
      state.cnThrust;
    for (const residual of [side, roll, yaw]) expect(residual).toBeCloseTo(0, 12);
  });

  it("the right engine live needs right rudder, the left engine live left rudder", () => {
    expect(equilibriumAt(demoTwin(), 42, 0)?.rudder_rad).toBeGreaterThan(0);
    expect(equilibriumAt(demoTwin({ failed: "right" }), 42, 0)?.rudder_rad).toBeLessThan(0);
    expect(demoTwinQuestion().failed).toBe("left");
  });

  it("wings level it slips towards the dead engine; the wind comes from the live side with too much bank", () => {
    const one = demoTwin({ deadPropeller: "feathered" });
    // Left engine dead, nose held by right rudder: the aeroplane slides to the left, wind from the left.
    expect(equilibriumAt(one, 42, 0)?.beta_rad).toBeLessThan(0);
    expect(equilibriumAt(one, 42, 0.15)?.beta_rad).toBeGreaterThan(0);
  });
});
