// Why turning back may stop working higher up: the climb carries the aeroplane away faster than the glide can bring it
// back.
import { liftCoefficientAt, straightGlide } from "../glide/straight-glide";
import { RHO0 } from "../quantities/constants";
import { airSample, readAir } from "../flight/air-column";
import { climbAt } from "../flight/climb-out";
import type { DepartureDay } from "./departure-day";

/** Distances over the ground from and to the runway for each metre of height. */
export interface ClimbAgainstGlide {
  /** Out, in the climb. */
  readonly out: number;
  /** Back, in the glide with the wind of the climb. */
  readonly back: number;
  /**
   * Margin gained for each metre of failure height once the turn is paid for: about 1 − out/back. Negative: the runway
   * is outflown; null: the glide makes no way back against the wind.
   */
  readonly gain: number | null;
}

/**
 * Climb distance against glide distance between two heights.
 *
 * @returns null when the climb does not pass both
 */
export function climbAgainstGlide(day: DepartureDay, low_m: number, high_m: number): ClimbAgainstGlide | null {
  const [a, b] = [climbAt(day.climb, low_m), climbAt(day.climb, high_m)];
  if (!a || !b) return null;
  // Away from the middle of the runway, whichever way the climb goes: turned crosswind it still goes out.
  const middle_m = day.runway.length_m / 2;
  const away = ({ x_m, y_m }: { x_m: number; y_m: number }) => Math.hypot(x_m - middle_m, y_m);
  const out = (away(b) - away(a)) / (high_m - low_m);
  const [x, y] = [(a.x_m + b.x_m) / 2 - middle_m, (a.y_m + b.y_m) / 2];
  const cl = liftCoefficientAt(day.polar, day.best_mps) ?? day.polar.clMax;
  const glide = straightGlide(day.polar, cl);
  const air = readAir(day.air, (low_m + high_m) / 2, airSample());
  const root = Math.sqrt(RHO0 / air.density);
  const back =
    (glide.eas_mps * Math.cos(glide.angle_rad) * root -
      (air.along_mps * x + air.across_mps * y) / Math.max(Math.hypot(x, y), 1)) /
    (glide.sinkEas_mps * root);
  return { out, back, gain: back > 0 ? 1 - out / back : null };
}
