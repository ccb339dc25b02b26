// How the simulated aeroplanes move about steady flight: the modes of the linearised equations within the ranges that
// aeroplanes of such classes have. Ranges: MIL-F-8785C, levels for light aeroplanes, and Lanchester's phugoid (memory).
import { EigenvalueDecomposition, Matrix } from "ml-matrix";
import { describe, expect, it } from "vitest";
import { demoModel, stillAir } from "../../../demo/demo-flight";
import { demoAircraft } from "../../../demo/read-demo";
import { levelStall_mps } from "../aircraft/fit-handbook";
import { G0 } from "../quantities/constants";
import { bodyRates, felt, stepForces } from "./body-rates";
import { settledAttached, LEFT_EARLIER_RAD } from "./separation";
import * as S from "./state";
import { readAir, stepAir } from "./step-air";
import { trimmed } from "./trimmed";

interface Mode {
  readonly omega: number;
  readonly zeta: number;
  /** Of one that does not oscillate: 1/s, negative dies out. */
  readonly rate: number | null;
}

/** Modes along and sideways of a steady glide at a speed over the stall. */
function modes(id: string, mass_kg: number, overStall: number) {
  const aircraft = demoAircraft(id);
  const tas_mps = overStall * levelStall_mps(mass_kg, aircraft.wing?.area_m2 ?? 1, aircraft.polar?.flaps[0].clMax ?? 1);
  const model = demoModel(id, mass_kg);
  const forces = stepForces(readAir(stillAir(), 0, stepAir()));
  forces.wheelsDown = false;
  forces.stall_rad = model.flaps[0].stall_rad;
  forces.deltaCd = model.retractable ? 0 : model.gearCd;
  const found = trimmed(model, forces, {
    tas_mps,
    hold: { slip_rad: 0 },
    thrust_N: [0, 0],
    torque_Nm: [0, 0],
    wake_mps: [0, 0],
  });
  if (!found) throw new Error(`${id}: no steady state`);
  forces.elevator_rad = found.elevator_rad;
  forces.aileron_rad = found.aileron_rad;
  forces.rudder_rad = found.rudder_rad;
  /** Rates of u w q θ, v p r φ where they stand so far from the steady state. */
  const rates = (off: readonly number[]) => {
    const [u, w, q, theta, v, p, r, phi] = off;
    const y = new Float64Array(S.MOTION);
    const out = new Float64Array(S.MOTION);
    const [pitch, bank] = [found.pitch_rad + theta, phi];
    y[S.DOWN] = -1000;
    y[S.U] = tas_mps * Math.cos(found.alpha_rad) + u;
    y[S.W] = tas_mps * Math.sin(found.alpha_rad) + w;
    y[S.V] = v;
    [y[S.P], y[S.Q], y[S.R]] = [p, q, r];
    y[S.Q0] = Math.cos(bank / 2) * Math.cos(pitch / 2);
    y[S.Q1] = Math.sin(bank / 2) * Math.cos(pitch / 2);
    y[S.Q2] = Math.cos(bank / 2) * Math.sin(pitch / 2);
    y[S.Q3] = -Math.sin(bank / 2) * Math.sin(pitch / 2);
    // Well off the stall the flow follows the angle at once.
    y[S.ATTACHED_LEFT] = settledAttached(found.alpha_rad, forces.stall_rad - LEFT_EARLIER_RAD);
    y[S.ATTACHED_RIGHT] = settledAttached(found.alpha_rad, forces.stall_rad);
    bodyRates(model, y, forces, out, felt());
    const turn = q * Math.sin(bank) + r * Math.cos(bank);
    return [
      out[S.U],
      out[S.W],
      out[S.Q],
      q * Math.cos(bank) - r * Math.sin(bank),
      out[S.V],
      out[S.P],
      out[S.R],
      p + turn * Math.tan(pitch),
    ];
  };
  const NUDGE = 1e-5;
  const column = (j: number) => {
    const at = (by: number) => rates(Array.from({ length: 8 }, (_, i) => (i === j ? by : 0)));
    const [more, less] = [at(NUDGE), at(-NUDGE)];
    return more.map((value, i) => (value - less[i]) / (2 * NUDGE));
  };
  const jacobian = Array.from({ length: 8 }, (_, j) => column(j));
  const of = (from: number): Mode[] => {
    const block = Array.from({ length: 4 }, (_, i) =>
      Array.from({ length: 4 }, (_, j) => jacobian[from + j][from + i]),
    );
    const { realEigenvalues: real, imaginaryEigenvalues: imaginary } = new EigenvalueDecomposition(new Matrix(block));
    return real.flatMap((re, i) => {
      if (imaginary[i] < 0) return [];
      const omega = Math.hypot(re, imaginary[i]);
      return [{ omega, zeta: -re / omega, rate: imaginary[i] === 0 ? re : null }];
    });
  };
  return { tas_mps, along: of(0), sideways: of(4) };
}

const FLEET = [
  ["alder-s1", 1100],
  ["rowan-r1", 1650],
  ["larch-t2", 1725],
  ["hornbeam-t2c", 3175],
  ["thorn-v12", 2750],
  ["cedar-j2", 41_000],
] as const;

describe.each(FLEET)("%s, %d kg, about a steady glide", (id, mass_kg) => {
  it.each([1.4, 1.8])("at %f of the stall: short period and phugoid as such aeroplanes have them", (over) => {
    const { along, tas_mps } = modes(id, mass_kg, over);
    const [phugoid, short] = along.toSorted((a, b) => a.omega - b.omega);
    expect(along).toHaveLength(2);
    expect(short.omega).toBeGreaterThan(1);
    expect(short.omega).toBeLessThan(8);
    expect(short.zeta).toBeGreaterThan(0.4);
    expect(short.zeta).toBeLessThan(1);
    const lanchester_s = (Math.SQRT2 * Math.PI * tas_mps) / G0;
    const period_s = (2 * Math.PI) / (phugoid.omega * Math.sqrt(1 - phugoid.zeta ** 2));
    expect(period_s / lanchester_s).toBeGreaterThan(1);
    expect(period_s / lanchester_s).toBeLessThan(1.5);
    // In theory 1/(√2·L/D): .040 of the jet that glides 17.5.
    expect(phugoid.zeta).toBeGreaterThan(0.035);
  });

  it.each([1.4, 1.8])("at %f of the stall: Dutch roll dies out, rolling is quick, the spiral slow", (over) => {
    const { sideways } = modes(id, mass_kg, over);
    const [dutch] = sideways.filter(({ rate }) => rate === null);
    const [roll, spiral] = sideways.flatMap(({ rate }) => (rate === null ? [] : [rate])).toSorted((a, b) => a - b);
    expect(sideways).toHaveLength(3);
    expect(dutch.zeta).toBeGreaterThan(0.08);
    expect(-1 / roll).toBeLessThan(1.4);
    expect(roll).toBeLessThan(0);
    // It doubles in more than twelve seconds, or dies out.
    expect(spiral).toBeLessThan(Math.LN2 / 12);
  });
});
