// A flight thin enough to be drawn and pointed at: not more points than a screen shows.
import { degrees, radians } from "../quantities/angle";
import { radiiAt } from "./clean/ground-line";
import type { Flown } from "./flown";

/** Most points: some for each pixel of a wide screen. */
const MOST_POINTS = 8000;

/** @see drawnTrack */
export interface DrawnTrack {
  readonly time_s: Float64Array;
  readonly latitude_deg: Float64Array;
  readonly longitude_deg: Float64Array;
  readonly altitude_m: Float64Array;
  readonly climb_mps: Float64Array;
  readonly groundSpeed_mps: Float64Array;
  readonly tas_mps: Float64Array;
  readonly eas_mps: Float64Array;
  readonly bank_rad: Float64Array;
  readonly course_rad: Float64Array;
  readonly energy_m: Float64Array;
}

/** Every so manieth fix of a flight, smoothed. */
export function drawnTrack(flown: Flown): DrawnTrack {
  const count = flown.time_s.length;
  const stride = Math.max(1, Math.ceil(count / MOST_POINTS));
  const picked = Array.from({ length: Math.ceil(count / stride) }, (_, i) => i * stride);
  if (picked[picked.length - 1] !== count - 1) picked.push(count - 1);
  const of = (values: Float64Array) => Float64Array.from(picked, (i) => values[i]);
  const { latitude_deg, longitude_deg } = flown.log.columns;
  if (!latitude_deg || !longitude_deg) throw new Error("drawnTrack: expected positions after cleaning");
  return {
    time_s: of(flown.time_s),
    latitude_deg: Float64Array.from(picked, (i) => {
      const { north_m } = radiiAt(radians(latitude_deg[i]));
      return latitude_deg[i] + degrees(flown.northOff_m[i] / north_m);
    }),
    longitude_deg: Float64Array.from(picked, (i) => {
      const { east_m } = radiiAt(radians(latitude_deg[i]));
      return longitude_deg[i] + degrees(flown.eastOff_m[i] / east_m);
    }),
    altitude_m: of(flown.altitude_m),
    climb_mps: of(flown.climb_mps),
    groundSpeed_mps: of(flown.groundSpeed_mps),
    tas_mps: of(flown.tas_mps),
    eas_mps: of(flown.eas_mps),
    bank_rad: of(flown.bank_rad),
    course_rad: of(flown.course_rad),
    energy_m: of(flown.energy_m),
  };
}
