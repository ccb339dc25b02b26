// Steady straight flight of the simulated aeroplane, by Newton's method on its own rates: where a flight begins, and
// what is held against the steady core. Made of numeric/exact only, so that every machine begins in the same bits.
import { atan2, cos, sin } from "../numeric/exact";
import { solveLinear } from "../numeric/solve-linear";
import { G0 } from "../quantities/constants";
import type { AeroplaneModel } from "./aeroplane-model";
import { type StepForces, bodyRates, felt } from "./body-rates";
import { settledAttached, LEFT_EARLIER_RAD } from "./separation";
import * as S from "./state";

/** What is held in steady flight. */
export interface Held {
  readonly tas_mps: number;
  /** Without a slip, at whatever bank; or at a bank, with whatever slip. */
  readonly hold: { readonly slip_rad: number } | { readonly bank_rad: number };
  /** By engine. */
  readonly thrust_N: readonly number[];
  readonly torque_Nm: readonly number[];
  readonly wake_mps: readonly number[];
}

/** A steady state. */
export interface Trimmed {
  readonly alpha_rad: number;
  readonly beta_rad: number;
  readonly bank_rad: number;
  readonly gamma_rad: number;
  readonly pitch_rad: number;
  readonly elevator_rad: number;
  readonly aileron_rad: number;
  readonly rudder_rad: number;
}

const ROUNDS = 40;
/** Good enough, m/s² and rad/s². */
const SMALL = 1e-9;
const NUDGE = 1e-6;

/**
 * The steady state.
 *
 * @param forces - flap, gear, air and ground as they are; its surfaces are written
 * @returns null where none was found: below the stall, or no control holds it
 */
export function trimmed(model: AeroplaneModel, forces: StepForces, held: Held): Trimmed | null {
  const y = new Float64Array(S.MOTION);
  const out = new Float64Array(S.MOTION);
  const seen = felt();
  for (let i = 0; i < 2; i += 1) {
    forces.thrust_N[i] = held.thrust_N[i] ?? 0;
    forces.torque_Nm[i] = held.torque_Nm[i] ?? 0;
    forces.wake_mps[i] = held.wake_mps[i] ?? 0;
    // Without turning, gyroscopic moments say nothing.
    forces.omega_radps[i] = 0;
  }
  const { density } = forces.air;
  const q = 0.5 * density * held.tas_mps * held.tas_mps;
  const cl = (model.mass_kg * G0) / (q * model.area_m2);
  // α, γ, δe, δa, δr, and the bank or the slip, whichever is free.
  const x = [(cl - model.cl0 - forces.deltaCl0) / model.clAlpha, -0.08, -0.05, 0, 0, 0];
  const residual = (of: readonly number[]): number[] => {
    const [alpha, gamma, elevator, aileron, rudder, free] = of;
    const [bank, beta] = "bank_rad" in held.hold ? [held.hold.bank_rad, free] : [free, held.hold.slip_rad];
    put(y, alpha, beta, bank, gamma, held.tas_mps, forces.stall_rad);
    forces.elevator_rad = elevator;
    forces.aileron_rad = aileron;
    forces.rudder_rad = rudder;
    y[S.DOWN] = -1000 - forces.ground_m;
    bodyRates(model, y, forces, out, seen);
    return [S.U, S.V, S.W, S.P, S.Q, S.R].map((i) => out[i]);
  };
  for (let round = 0; round < ROUNDS; round += 1) {
    const now = residual(x);
    if (now.every((value) => Math.abs(value) < SMALL)) {
      const [alpha_rad, gamma_rad, elevator_rad, aileron_rad, rudder_rad, free] = x;
      const [bank_rad, beta_rad] = "bank_rad" in held.hold ? [held.hold.bank_rad, free] : [free, held.hold.slip_rad];
      const pitch_rad = pitchOf(alpha_rad, beta_rad, bank_rad, gamma_rad);
      return { alpha_rad, beta_rad, bank_rad, gamma_rad, pitch_rad, elevator_rad, aileron_rad, rudder_rad };
    }
    const columns = x.map((_, j) => {
      const moved = x.map((value, i) => (i === j ? value + NUDGE : value));
      return residual(moved).map((value, i) => (value - now[i]) / NUDGE);
    });
    const step = solveLinear(
      now.map((_, i) => columns.map((column) => column[i])),
      now,
    );
    if (!step) return null;
    const most = Math.max(...step.map(Math.abs));
    const damp = most > 0.2 ? 0.2 / most : 1;
    step.forEach((value, i) => (x[i] -= damp * value));
  }
  return null;
}

/**
 * Pitch at which the path is γ: sinγ = a·sinθ − b·cosθ, a = cosα·cosβ, b = sinφ·sinβ + cosφ·sinα·cosβ.
 *
 * @see B. L. Stevens and F. L. Lewis, Aircraft Control and Simulation (memory)
 */
function pitchOf(alpha: number, beta: number, bank: number, gamma: number): number {
  const a = cos(alpha) * cos(beta);
  const b = sin(bank) * sin(beta) + cos(bank) * sin(alpha) * cos(beta);
  const s = sin(gamma);
  return atan2(a * b + s * Math.sqrt(Math.max(a * a - s * s + b * b, 0)), a * a - s * s);
}

function put(
  y: Float64Array,
  alpha: number,
  beta: number,
  bank: number,
  gamma: number,
  tas_mps: number,
  stall_rad: number,
): void {
  const pitch = pitchOf(alpha, beta, bank, gamma);
  const [cp, sp, cb, sb] = [cos(pitch / 2), sin(pitch / 2), cos(bank / 2), sin(bank / 2)];
  y.fill(0);
  y[S.Q0] = cb * cp;
  y[S.Q1] = sb * cp;
  y[S.Q2] = cb * sp;
  y[S.Q3] = -sb * sp;
  y[S.U] = tas_mps * cos(alpha) * cos(beta);
  y[S.V] = tas_mps * sin(beta);
  y[S.W] = tas_mps * sin(alpha) * cos(beta);
  y[S.ATTACHED_LEFT] = settledAttached(alpha, stall_rad - LEFT_EARLIER_RAD);
  y[S.ATTACHED_RIGHT] = settledAttached(alpha, stall_rad);
}
