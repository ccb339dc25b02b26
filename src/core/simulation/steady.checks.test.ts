// Steady flight of the simulated aeroplane against the steady core and a prototype's figures.
import { describe, expect, it } from "vitest";
import { demoModel, stillAir } from "../../../demo/demo-flight";
import { demoAircraft } from "../../../demo/read-demo";
import type { Aeroplane } from "../aircraft/aeroplane";
import { polarOf } from "../aircraft/polar";
import { discThrust_N } from "../aircraft/propeller-thrust";
import { asymmetricCase } from "../asymmetric/anchored-case";
import { equilibriumAt } from "../asymmetric/equilibrium";
import { engineForce } from "../engine/engine-force";
import { A0_MPS, G0, MPS_PER_KT, M_PER_FT, RHO0 } from "../quantities/constants";
import { readAir, stepAir } from "./step-air";
import { stepForces } from "./body-rates";
import { type Held, trimmed } from "./trimmed";

const DEG = 180 / Math.PI;
const kt = (speed: number) => speed * MPS_PER_KT;

/** Steady flight of an aeroplane in standard air at sea level, gear up where it can be. */
function steady(id: string, mass_kg: number, held: Omit<Held, "torque_Nm" | "wake_mps"> & Partial<Held>, flap = 0) {
  const model = demoModel(id, mass_kg);
  const forces = stepForces(readAir(stillAir(), 0, stepAir()));
  forces.wheelsDown = false;
  forces.deltaCl0 = model.flaps[flap].deltaCl0;
  forces.stall_rad = model.flaps[flap].stall_rad;
  forces.deltaCd = model.flaps[flap].deltaCd + (model.retractable ? 0 : model.gearCd);
  const found = trimmed(model, forces, { torque_Nm: [0, 0], wake_mps: [0, 0], ...held });
  if (!found) throw new Error(`${id} at ${held.tas_mps}: no steady state`);
  return { ...found, model };
}

/** The live engine at full power. */
function live({ engines }: Aeroplane, tas_mps: number) {
  if (engines.kind !== "propeller") {
    const air = { density: RHO0, delta: 1, theta: 1, speedOfSound_mps: A0_MPS };
    return { thrust_N: engineForce(engines, air, tas_mps, 1, null).thrust_N, torque_Nm: 0, wake_mps: 0 };
  }
  const { diameter_m, efficiency } = engines.propeller;
  const thrust_N = discThrust_N({ power_W: engines.power_W, efficiency, diameter_m }, tas_mps, RHO0);
  const area_m2 = (Math.PI * diameter_m ** 2) / 4;
  return {
    thrust_N,
    torque_Nm: (engines.power_W * 30) / (engines.speed_rpm * Math.PI),
    wake_mps: (Math.sqrt(tas_mps ** 2 + (2 * thrust_N) / (RHO0 * area_m2)) - tas_mps) / 2,
  };
}

const propellerOf = ({ propeller }: ReturnType<typeof demoModel>) => {
  if (!propeller) throw new Error("no propeller");
  return propeller;
};
const dead_N = (area_m2: number, tas_mps: number) => -0.5 * RHO0 * tas_mps ** 2 * area_m2;

// Outside check: figures of an independent prototype that agrees with the handbooks of the demo fleet.
describe("a twin on one engine", () => {
  it("Larch 1725 kg, 81 kt, left feathered, without a slip: bank 3.07°, rudder 12.69°, 262.9 ft/min", () => {
    const tas_mps = kt(81);
    const { model } = steady("larch-t2", 1725, { tas_mps, hold: { slip_rad: 0 }, thrust_N: [0, 0] });
    const engine = live(demoAircraft("larch-t2"), tas_mps);
    const state = steady("larch-t2", 1725, {
      tas_mps,
      hold: { slip_rad: 0 },
      thrust_N: [dead_N(propellerOf(model).feathered_m2, tas_mps), engine.thrust_N],
      torque_Nm: [0, engine.torque_Nm],
      wake_mps: [0, engine.wake_mps],
    });
    expect(Math.abs(state.bank_rad * DEG - 3.07)).toBeLessThan(0.1);
    expect(Math.abs(state.rudder_rad * DEG - 12.69)).toBeLessThan(0.05);
    expect(Math.abs((tas_mps * Math.sin(state.gamma_rad) * 60) / M_PER_FT - 262.9)).toBeLessThan(3);
  });
});

describe("glides by the state of the propeller", () => {
  it.each([
    ["alder-s1", 1100, 66.7, "windmilling_m2", 9.0],
    ["alder-s1", 1100, 69.5, "stopped_m2", 9.71],
    ["hornbeam-t2c", 3175, 111.3, "feathered_m2", 12.41],
  ] as const)("%s, %d kg at %f kt, %s: %f", (id, mass_kg, speed, area, ratio) => {
    const tas_mps = kt(speed);
    const { model } = steady(id, mass_kg, { tas_mps, hold: { slip_rad: 0 }, thrust_N: [0, 0] });
    const thrust_N = model.engines.map(() => dead_N(propellerOf(model)[area], tas_mps));
    const { gamma_rad } = steady(id, mass_kg, { tas_mps, hold: { slip_rad: 0 }, thrust_N });
    expect(Math.abs(-1 / Math.tan(gamma_rad) / ratio - 1)).toBeLessThan(0.005);
  });
});

// The core's own steady states: what is flown by hand must not teach other numbers than the planner.
describe("a jet with both engines dead", () => {
  it("Cedar, 41 t, 182 kt: 17.5", () => {
    const tas_mps = kt(182);
    const thrust = dead_N(0.1, tas_mps);
    const { gamma_rad } = steady("cedar-j2", 41_000, { tas_mps, hold: { slip_rad: 0 }, thrust_N: [thrust, thrust] });
    expect(Math.abs(-1 / Math.tan(gamma_rad) / 17.5 - 1)).toBeLessThan(0.005);
  });
});

describe("steady states are the planner's", () => {
  const TWINS = [
    ["larch-t2", 1350],
    ["larch-t2", 1725],
    ["hornbeam-t2c", 2450],
    ["hornbeam-t2c", 3175],
    ["cedar-j2", 41_000],
  ] as const;
  /** The planner's state, and all that it follows from. */
  function plannedAt(
    id: string,
    mass_kg: number,
    overStall: number,
    propeller: "feathered" | "windmilling",
    bank: number,
  ) {
    const aircraft = demoAircraft(id);
    const flight = asymmetricCase({
      aircraft,
      mass_kg,
      centreOfGravity: 1,
      altitude_m: 0,
      air: { qnh_Pa: 101_325, deviation_K: 0 },
      flap: 0,
      gearDown: false,
      items: [],
      deadPropeller: aircraft.engines.kind === "jet" ? "none" : propeller,
      failed: "left",
      setting: 1,
    });
    if (!flight.ok) throw new Error(flight.issue.message);
    const { weight_N, clMax, wing } = flight.value;
    const tas_mps = overStall * Math.sqrt((2 * weight_N) / (RHO0 * wing.area_m2 * clMax));
    return { aircraft, flight: flight.value, tas_mps, planned: equilibriumAt(flight.value, tas_mps, bank / DEG) };
  }
  const cases = TWINS.flatMap(([id, mass_kg]) =>
    [1.25, 1.45, 1.7, 2].flatMap((overStall) =>
      (["feathered", "windmilling"] as const).flatMap((propeller) =>
        [0, 3, 5].map((bank) => [id, mass_kg, overStall, propeller, bank] as const),
      ),
    ),
  ).filter((asked) => {
    const { planned, flight } = plannedAt(...asked);
    // Steeper than this the planner takes lift for weight, coarser than what is flown; a fin that stalls is none.
    return (
      planned !== null &&
      Math.abs(planned.sinGamma) <= 0.12 &&
      Math.abs(planned.fin_rad) <= flight.asymmetric.finStall_rad
    );
  });

  it("most of what is asked can be compared", () => expect(cases.length).toBeGreaterThan(80));

  it.each(cases)("%s %d kg at %f stall, left %s, %d° of bank", (id, mass_kg, overStall, propeller, bank) => {
    const { aircraft, flight, tas_mps, planned } = plannedAt(id, mass_kg, overStall, propeller, bank);
    if (!planned) throw new Error("expected a state");
    const engine = live(aircraft, tas_mps);
    const flown = steady(id, mass_kg, {
      tas_mps,
      hold: { bank_rad: bank / DEG },
      thrust_N: [dead_N(flight.deadArea_m2, tas_mps), engine.thrust_N],
      torque_Nm: [0, engine.torque_Nm],
      wake_mps: [0, engine.wake_mps],
    });
    // One percent of the drag's power.
    const drag = planned.drag_N / flight.weight_N;
    // The planner takes the thrust along the path; in a slip it is along the nose.
    const slipped = (engine.thrust_N * (1 - Math.cos(flown.beta_rad))) / flight.weight_N;
    expect(Math.abs(Math.sin(flown.gamma_rad) + slipped - planned.sinGamma) / drag).toBeLessThan(0.012);
    expect(Math.abs(flown.rudder_rad - planned.rudder_rad) * DEG).toBeLessThan(0.4);
    expect(Math.abs(flown.aileron_rad - planned.aileron_rad) * DEG).toBeLessThan(0.4);
    expect(Math.abs(flown.beta_rad - planned.beta_rad) * DEG).toBeLessThan(0.4);
  });

  const SINGLES = [
    ["alder-s1", 1100],
    ["alder-s1", 800],
    ["rowan-r1", 1650],
    ["thorn-v12", 2750],
    ["fir-p1", 3500],
  ] as const;
  it.each(
    SINGLES.flatMap(([id, mass_kg]) =>
      [0, 1, 2].flatMap((flap) => [1.2, 1.5, 2].map((overStall) => [id, mass_kg, flap, overStall] as const)),
    ),
  )("%s %d kg, flap %d, at %f stall glides as its polar", (id, mass_kg, flap, overStall) => {
    const aircraft = demoAircraft(id);
    const polar = polarOf(aircraft, mass_kg, {
      propeller: "windmilling",
      flap,
      gearDown: !aircraft.polar?.gear.retractable,
      slip: 0,
      items: [],
    });
    if (!polar.ok) throw new Error(polar.issue.message);
    const { cd0, k, clMax, wingLoading } = polar.value.polar;
    const tas_mps = overStall * Math.sqrt((2 * wingLoading) / (RHO0 * clMax));
    const { model } = steady(id, mass_kg, { tas_mps, hold: { slip_rad: 0 }, thrust_N: [0, 0] }, flap);
    const thrust_N = [dead_N(propellerOf(model).windmilling_m2, tas_mps)];
    const { gamma_rad } = steady(id, mass_kg, { tas_mps, hold: { slip_rad: 0 }, thrust_N }, flap);
    // q = (W/S)/√(CL² + CD²): the lift that the path leaves.
    const q = 0.5 * RHO0 * tas_mps ** 2;
    const cl = ((mass_kg * G0) / (q * model.area_m2)) * Math.cos(gamma_rad);
    expect(Math.tan(-gamma_rad) / ((cd0 + k * cl ** 2) / cl)).toBeCloseTo(1, 2);
  });
});
