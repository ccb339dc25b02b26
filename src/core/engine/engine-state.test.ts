import { describe, expect, it } from "vitest";
import { demoAircraft } from "../../../demo/read-demo";
import { airState } from "../air/atmosphere";
import { P0_PA, T0_K, ZERO_CELSIUS_K } from "../quantities/constants";
import { type EngineState, RUNNING, engineMoment, engineStep } from "./engine-state";
import { type EngineSurroundings, type GaugeName, gaugesOf } from "./gauges";

/** A single's engine at sea level and 85 kt, or another aircraft's. */
function around(name = "alder-s1"): EngineSurroundings {
  const state = airState(0, 0);
  return {
    engines: demoAircraft(name).engines,
    air: {
      density: state.density,
      delta: state.pressure_Pa / P0_PA,
      theta: state.temperature_K / T0_K,
      speedOfSound_mps: state.speedOfSound_mps,
    },
    sigmaCritical: null,
    tas_mps: 43.7,
    setting: 1,
  };
}
const after = (state: EngineState, time_s: number, lever = 1, step_s = 0.25, jet = false) => {
  let now = state;
  for (let t = 0; t < time_s; t += step_s) now = engineStep(now, lever, step_s, jet);
  return now;
};
const read = (state: EngineState, gauge: GaugeName, name?: string) => gaugesOf(state, around(name))[gauge] ?? NaN;

describe("an engine in steps of time", () => {
  it("that runs well goes on as it is", () => {
    expect(after(RUNNING, 60)).toEqual(RUNNING);
    expect(engineMoment(RUNNING, false)).toMatchObject({ power: 1, turning: "driven" });
  });

  it("is the same after one long step and after many short ones", () => {
    for (const fault of ["starvation", "ice", "mixture", "seizure", "partial"] as const) {
      const begun = { ...RUNNING, fault };
      const [long, short] = [engineStep(begun, 1, 20, false), after(begun, 20, 1, 0.125)];
      expect(engineMoment(short, false)).toEqual(engineMoment(long, false));
    }
  });

  // 1 − e^(−t/τ) with τ of 240 s: common practice for the order of a cylinder head's cooling.
  it("cools its heads from the moment it gives less than half, and not before", () => {
    const idle = after(RUNNING, 240, 0.2);
    expect(read(idle, "head") - ZERO_CELSIUS_K).toBeCloseTo(190 - 100 * (1 - Math.exp(-1)), 6);
    expect(read(after(RUNNING, 240, 0.6), "head") - ZERO_CELSIUS_K).toBeCloseTo(190, 9);
    const iced = { ...RUNNING, fault: "ice" as const };
    // The intake is closed by 0.5/0.85 of 45 s when half of the power is gone.
    expect(after(iced, 26).idle_s).toBe(0);
    expect(after(iced, 27).idle_s).toBeGreaterThan(0);
    expect(engineStep(idle, 1, 1, false).idle_s).toBe(0);
  });

  it.each([
    ["starvation", 1.5, 0.368],
    ["ignition", 1.5, 0.368],
    ["seizure", 0.5, 0.368],
    ["partial", 60, 0.6],
    ["overspeed", 60, 0.4],
    ["ice", 45, 0.15],
    ["mixture", 19.99, 0.75],
    ["gauge", 30, 1],
    ["stuck", 30, 1],
  ] as const)("%s leaves after %f s %f of the power", (fault, time_s, power) => {
    expect(engineMoment({ ...RUNNING, fault, since_s: time_s }, false).power).toBeCloseTo(power, 3);
  });

  it("a selector that is off gives ten good seconds, surges five, and stops", () => {
    const power = (since_s: number) => engineMoment({ ...RUNNING, fault: "selector", since_s }, false).power;
    expect([power(9.9), power(10), power(11), power(14.999)].map((share) => Number(share.toFixed(2)))).toEqual([
      1, 1, 0.5, 0.5,
    ]);
    expect(power(18)).toBeCloseTo(Math.exp(-2), 9);
  });

  it("a partly broken jet runs hotter, a piston engine colder", () => {
    const state = { ...RUNNING, fault: "partial" as const, since_s: 60 };
    expect([engineMoment(state, true).heat, engineMoment(state, false).heat]).toEqual([
      expect.closeTo(1.12, 6),
      expect.closeTo(0.9, 6),
    ]);
  });
});

describe("gauges of one engine alone", () => {
  it("of a single at full power are those of the ground", () => {
    expect(read(RUNNING, "manifold")).toBeCloseTo(P0_PA - 3386.389, 0);
    expect(read(RUNNING, "rpm")).toBe(2700);
    expect(read(RUNNING, "exhaust") - ZERO_CELSIUS_K).toBeCloseTo(750, 9);
    // 0.3 kg/kWh: common practice for a piston engine at full power.
    const { engines } = around();
    const power_W = engines.kind === "propeller" ? engines.power_W : NaN;
    expect(read(RUNNING, "fuelFlow") * 3600).toBeCloseTo((0.3 * power_W) / 1000, 1);
  });

  it("a throttle that is closed takes manifold pressure, and below idle the air turns the propeller", () => {
    expect(read({ ...RUNNING, lever: 0 }, "manifold")).toBeCloseTo(33_863.89, 1);
    expect(read({ ...RUNNING, lever: 0.14 }, "rpm")).toBe(2700);
    const slow = { ...around(), tas_mps: 19 };
    expect(gaugesOf({ ...RUNNING, lever: 0.14 }, slow).rpm).toBe(1350);
    expect(gaugesOf({ ...RUNNING, lever: 0.15 }, slow).rpm).toBe(2700);
  });

  it("a propeller that runs away reaches 115 % in three seconds", () => {
    expect(read({ ...RUNNING, fault: "overspeed", since_s: 1.5 }, "rpm")).toBeCloseTo(1.075 * 2700, 6);
    expect(read({ ...RUNNING, fault: "overspeed", since_s: 9 }, "rpm")).toBeCloseTo(1.15 * 2700, 6);
  });

  it("a stopped engine has outside pressure, no speed and no oil", () => {
    const state = { ...RUNNING, fault: "seizure" as const, since_s: 20 };
    expect([read(state, "manifold"), read(state, "rpm"), read(state, "oil")]).toEqual([P0_PA, 0, 0]);
  });

  it("one that has failed reads nothing: manifold pressure, of a jet the exhaust", () => {
    const state = { ...RUNNING, fault: "gauge" as const };
    expect([read(state, "manifold"), read(state, "rpm")]).toEqual([0, 2700]);
    expect([read(state, "exhaust", "cedar-j2"), read(state, "fan", "cedar-j2")]).toEqual([0, 1]);
  });

  it("a flamed-out jet windmills at a fifth of its fan's and a tenth of its core's speed", () => {
    const state = { ...RUNNING, fault: "starvation" as const, since_s: 60 };
    expect([read(state, "fan", "cedar-j2"), read(state, "core", "cedar-j2")]).toEqual([0.2, 0.1]);
  });
});
