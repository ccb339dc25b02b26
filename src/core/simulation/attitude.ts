// How an aeroplane stands in space, from the four numbers that are kept of it. Runs inside a step.
import { PI, asin, atan2 } from "../numeric/exact";
import * as S from "./state";

/** Earth to body as rows. */
export function attitude(s: Float64Array): readonly (readonly [number, number, number])[] {
  const q0 = s[S.Q0];
  const q1 = s[S.Q1];
  const q2 = s[S.Q2];
  const q3 = s[S.Q3];
  return [
    [q0 * q0 + q1 * q1 - q2 * q2 - q3 * q3, 2 * (q1 * q2 + q0 * q3), 2 * (q1 * q3 - q0 * q2)],
    [2 * (q1 * q2 - q0 * q3), q0 * q0 - q1 * q1 + q2 * q2 - q3 * q3, 2 * (q2 * q3 + q0 * q1)],
    [2 * (q1 * q3 + q0 * q2), 2 * (q2 * q3 - q0 * q1), q0 * q0 - q1 * q1 - q2 * q2 + q3 * q3],
  ];
}

/** Bank, pitch and heading (0…2π), rad. */
export function eulerAngles(s: Float64Array): { bank_rad: number; pitch_rad: number; heading_rad: number } {
  const q0 = s[S.Q0];
  const q1 = s[S.Q1];
  const q2 = s[S.Q2];
  const q3 = s[S.Q3];
  const heading = atan2(2 * (q1 * q2 + q0 * q3), q0 * q0 + q1 * q1 - q2 * q2 - q3 * q3);
  return {
    bank_rad: atan2(2 * (q2 * q3 + q0 * q1), q0 * q0 - q1 * q1 - q2 * q2 + q3 * q3),
    pitch_rad: asin(Math.max(-1, Math.min(1, 2 * (q0 * q2 - q1 * q3)))),
    heading_rad: heading < 0 ? heading + 2 * PI : heading,
  };
}
