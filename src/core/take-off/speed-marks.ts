import { type Outcome, success } from "../outcome";
import { rollOn, standing, tasOnRunway } from "./ground-roll";
import type { TakeOffDay } from "./take-off-day";
import type { TakeOffPath } from "./take-off-path";

/** Where a speed is passed with both engines. */
export interface SpeedMark {
  readonly name: string;
  readonly eas_mps: number;
  /** Null when it is not reached on the way up. */
  readonly at: { readonly x_m: number; readonly height_m: number } | null;
}

/** Margin over minimum control speed that schools ask for before lift-off, m/s: 5 kt. Common practice. */
const VMCA_MARGIN_MPS = 2.572;

/**
 * Where minimum control speed and its margin, rotation, V_SSE and V_YSE come along the runway and the climb.
 *
 * @param both - the way with both engines
 */
export function speedMarks(day: TakeOffDay, both: TakeOffPath): Outcome<SpeedMark[]> {
  const { vmca_mps, rotation_mps, vsse_mps, oneEngine_mps } = day.speeds;
  const wanted: (readonly [string, number | null])[] = [
    ["V_MCA 5°", vmca_mps],
    ["V_MCA 5° + 5 kt", vmca_mps === null ? null : vmca_mps + VMCA_MARGIN_MPS],
    ["V_R", rotation_mps],
    ["V_SSE", vsse_mps],
    [day.jet ? "V_FTO" : "V_YSE", oneEngine_mps],
  ];
  const marks: SpeedMark[] = [];
  for (const [name, eas_mps] of wanted) {
    if (eas_mps === null) continue;
    if (eas_mps <= rotation_mps) {
      const tas_mps = tasOnRunway(day, eas_mps);
      const rolled = rollOn(day, standing(day), 2, (state) => tas_mps - state.tas_mps);
      if (!rolled.ok) return rolled;
      marks.push({ name, eas_mps, at: { x_m: rolled.value.x_m, height_m: 0 } });
    } else {
      const point = both.points.find((candidate) => candidate.eas_mps >= eas_mps);
      marks.push({ name, eas_mps, at: point ? { x_m: point.x_m, height_m: point.height_m } : null });
    }
  }
  return success(marks.sort((a, b) => a.eas_mps - b.eas_mps));
}
