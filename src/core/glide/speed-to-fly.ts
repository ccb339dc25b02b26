import type { Polar } from "../aircraft/polar";
import { goldenMinimum } from "../numeric/golden-section";
import { type Outcome, failure, success } from "../outcome";
import { type StraightGlide, liftCoefficientAt, speedRange, straightGlide } from "./straight-glide";

/** Wind relative to the track that is to be flown. */
export interface TrackWind {
  /** From behind positive. */
  readonly along_mps: number;
  readonly across_mps: number;
  /** Rising air positive. */
  readonly vertical_mps: number;
}

/** The speed that goes farthest over the ground for the height. */
export interface SpeedToFly extends StraightGlide {
  readonly groundSpeed_mps: number;
  /** Ground distance over height lost. */
  readonly groundRatio: number;
}

/**
 * Speed to fly in wind: least height lost per ground distance along the track, drift included.
 *
 * @param sigma - density over sea-level density, for true airspeed
 * @returns `wind_exceeds_airspeed` when no allowed speed makes headway; `air_rises_faster_than_sink` when no height
 *   is lost at the best speed
 */
export function speedToFly(polar: Polar, wind: TrackWind, sigma: number): Outcome<SpeedToFly> {
  const { slow_mps, fast_mps } = speedRange(polar);
  const at = (eas_mps: number) => {
    const cl = liftCoefficientAt(polar, eas_mps);
    if (cl === null) return null;
    const glide = straightGlide(polar, cl);
    const horizontal = (eas_mps * Math.cos(glide.angle_rad)) / Math.sqrt(sigma);
    const forward = horizontal ** 2 - wind.across_mps ** 2;
    const groundSpeed_mps = forward > 0 ? Math.sqrt(forward) + wind.along_mps : 0;
    return groundSpeed_mps > 0
      ? { glide, groundSpeed_mps, sink_mps: glide.sinkEas_mps / Math.sqrt(sigma) - wind.vertical_mps }
      : null;
  };
  const cost = (eas_mps: number) => {
    const state = at(eas_mps);
    // No headway costs more than any headway, and less so the faster one flies: the search is led towards speed.
    return state ? state.sink_mps / state.groundSpeed_mps : 1e6 - eas_mps;
  };
  const state = at(goldenMinimum(cost, slow_mps, fast_mps, 1e-4));
  if (!state)
    return failure(
      "wind_exceeds_airspeed",
      "The wind along or across the track is faster than any speed the glide can hold: no headway.",
      "wind",
    );
  if (!(state.sink_mps > 0))
    return failure(
      "air_rises_faster_than_sink",
      "The air rises faster than the aircraft sinks: no height is lost at this speed.",
      "wind.vertical_mps",
    );
  return success({
    ...state.glide,
    groundSpeed_mps: state.groundSpeed_mps,
    groundRatio: state.groundSpeed_mps / state.sink_mps,
  });
}
