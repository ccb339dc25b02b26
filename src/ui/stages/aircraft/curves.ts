// Curves of a polar for drawing.
import type { Polar } from "@/core/aircraft/polar";
import { liftCoefficientAt, straightGlide } from "@/core/glide/straight-glide";

/** A point of a polar: equivalent airspeed and sink at sea-level density. */
export interface PolarPoint {
  readonly eas_mps: number;
  readonly sink_mps: number;
}

/** Points enough for a smooth line. */
const POINTS = 70;

/** Sink over speed from the stall to a speed. */
export function polarCurve(polar: Polar, fastest_mps: number): PolarPoint[] {
  // A hair under CLmax: at the stall itself rounding would leave no lift to solve for.
  const slowest_mps = straightGlide(polar, polar.clMax * 0.9999).eas_mps;
  return Array.from(
    { length: POINTS },
    (_, i) => slowest_mps + ((fastest_mps - slowest_mps) * i) / (POINTS - 1),
  ).flatMap((eas_mps) => {
    const cl = liftCoefficientAt(polar, eas_mps);
    return cl === null ? [] : [{ eas_mps, sink_mps: straightGlide(polar, cl).sinkEas_mps }];
  });
}
