import { attitude } from "./attitude";
import * as S from "./state";

/** Sink and speed over the ground as it touches. Runs inside a step. */
export function touching(s: Float64Array): { sink_mps: number; speed_mps: number } {
  const [row0, row1, row2] = attitude(s);
  const sink_mps = row0[2] * s[S.U] + row1[2] * s[S.V] + row2[2] * s[S.W];
  return { sink_mps, speed_mps: Math.sqrt(s[S.U] * s[S.U] + s[S.V] * s[S.V]) };
}
