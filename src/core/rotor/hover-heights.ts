// Which hover heights are safe when an engine fails: a sketch over height and wind.
import type { Rating } from "../aircraft/helicopter";
import type { Progress } from "../calculation";
import { MPS_PER_KT, M_PER_FT } from "../quantities/constants";
import { flyAway } from "./fly-away";
import type { HelicopterCase } from "./helicopter-case";
import { rejectHeight_m } from "./vertical-reject";

/** Winds that are looked at, m/s. */
export const SKETCH_WINDS_MPS = [0, 5, 10, 15, 20, 25, 30].map((kt) => kt * MPS_PER_KT);
/** What is kept between skids and ground in a fly-away, m: 15 ft. Common practice. */
export const FLY_AWAY_CLEARANCE_M = 15 * M_PER_FT;

/** Safe heights of the skids in a wind. */
export interface SafeHeights {
  readonly wind_mps: number;
  /** Up to this a reject is gentle; null for none. */
  readonly rejectBelow_m: number | null;
  /** From this up it flies away; null where it does not. */
  readonly flyAwayFrom_m: number | null;
}

/** Safe heights in one wind. */
export function safeHeights(flight: HelicopterCase, wind_mps: number, rating: Rating): SafeHeights {
  const away = flyAway(flight, wind_mps, rating);
  return {
    wind_mps,
    rejectBelow_m: rejectHeight_m(flight, wind_mps, rating),
    flyAwayFrom_m: away.ok ? away.value.loss_m + FLY_AWAY_CLEARANCE_M : null,
  };
}

/** Safe heights over the winds; fewer where it was cancelled. */
export function safeHeightSketch(flight: HelicopterCase, rating: Rating, progress?: Progress): SafeHeights[] {
  const found: SafeHeights[] = [];
  for (const [i, wind_mps] of SKETCH_WINDS_MPS.entries()) {
    found.push(safeHeights(flight, wind_mps, rating));
    if (progress && !progress((i + 1) / SKETCH_WINDS_MPS.length)) break;
  }
  return found;
}

/** Whether a hover height is safe in that sketch, and by which way. */
export function hoverSafety(
  { rejectBelow_m, flyAwayFrom_m }: SafeHeights,
  skids_m: number,
): "reject" | "fly-away" | "either" | "neither" {
  const reject = rejectBelow_m !== null && skids_m <= rejectBelow_m;
  const away = flyAwayFrom_m !== null && skids_m >= flyAwayFrom_m;
  if (reject && away) return "either";
  return reject ? "reject" : away ? "fly-away" : "neither";
}
