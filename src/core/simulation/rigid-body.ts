// What moves and turns as one piece, whatever it is. Runs inside a step.
import * as S from "./state";

/** Earth to body. */
export interface Turned {
  readonly r11: number;
  readonly r12: number;
  readonly r13: number;
  readonly r21: number;
  readonly r22: number;
  readonly r23: number;
  readonly r31: number;
  readonly r32: number;
  readonly r33: number;
}

/** @see Turned */
export function earthToBody(y: Float64Array): Turned {
  const q0 = y[S.Q0];
  const q1 = y[S.Q1];
  const q2 = y[S.Q2];
  const q3 = y[S.Q3];
  return {
    r11: q0 * q0 + q1 * q1 - q2 * q2 - q3 * q3,
    r12: 2 * (q1 * q2 + q0 * q3),
    r13: 2 * (q1 * q3 - q0 * q2),
    r21: 2 * (q1 * q2 - q0 * q3),
    r22: q0 * q0 - q1 * q1 + q2 * q2 - q3 * q3,
    r23: 2 * (q2 * q3 + q0 * q1),
    r31: 2 * (q1 * q3 + q0 * q2),
    r32: 2 * (q2 * q3 - q0 * q1),
    r33: q0 * q0 - q1 * q1 - q2 * q2 + q3 * q3,
  };
}

/** Rates of place and attitude, written to `out`. */
export function pathRates(y: Float64Array, t: Turned, out: Float64Array): void {
  const u = y[S.U];
  const v = y[S.V];
  const w = y[S.W];
  const p = y[S.P];
  const q = y[S.Q];
  const r = y[S.R];
  const q0 = y[S.Q0];
  const q1 = y[S.Q1];
  const q2 = y[S.Q2];
  const q3 = y[S.Q3];
  out[S.NORTH] = t.r11 * u + t.r21 * v + t.r31 * w;
  out[S.EAST] = t.r12 * u + t.r22 * v + t.r32 * w;
  out[S.DOWN] = t.r13 * u + t.r23 * v + t.r33 * w;
  out[S.Q0] = -0.5 * (p * q1 + q * q2 + r * q3);
  out[S.Q1] = 0.5 * (p * q0 + r * q2 - q * q3);
  out[S.Q2] = 0.5 * (q * q0 - r * q1 + p * q3);
  out[S.Q3] = 0.5 * (r * q0 + q * q1 - p * q2);
}
