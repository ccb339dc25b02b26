// Where a flight touched down along a runway, and how fast.
import { type LatLon, geodesicBetween } from "../../earth/geodesic";
import type { LandingEnd } from "../../landing/landing-end";
import { degrees, radians } from "../../quantities/angle";
import { radiiAt } from "../clean/ground-line";
import { type Figure, figure } from "../figure";
import type { Flown } from "../flown";
import { valueAt } from "../events/turns";

/** A landing end as far as a landing is measured on it. */
export type RunwayLine = Pick<LandingEnd, "name" | "threshold" | "headingTrue_rad" | "length_m">;

/** @see measureLanding */
export interface LandingMeasures {
  readonly runway: string;
  readonly length_m: number;
  /** From the threshold along the runway; beyond is positive. */
  readonly along_m: Figure;
  /** Right of its line is positive. */
  readonly across_m: Figure;
  readonly groundSpeed_mps: Figure;
}

/** Standard deviation of a position across and along, m. */
const PLACE_M = 2;

/** Where the flight was at a time, smoothed. */
export function placeAt(flown: Flown, at_s: number): LatLon {
  const { time_s, log, eastOff_m, northOff_m } = flown;
  const { latitude_deg, longitude_deg } = log.columns;
  if (!latitude_deg || !longitude_deg) throw new Error("placeAt: expected positions after cleaning");
  const latitude = valueAt(time_s, latitude_deg, at_s);
  const { north_m, east_m } = radiiAt(radians(latitude));
  return {
    latitude_deg: latitude + degrees(valueAt(time_s, northOff_m, at_s) / north_m),
    longitude_deg: valueAt(time_s, longitude_deg, at_s) + degrees(valueAt(time_s, eastOff_m, at_s) / east_m),
  };
}

/** Along and right of a runway's line, from its threshold. */
export function onRunway(
  { threshold, headingTrue_rad }: RunwayLine,
  place: LatLon,
): { along_m: number; across_m: number } {
  const line = geodesicBetween(threshold, place);
  const off = line.azimuthStart_rad - headingTrue_rad;
  return { along_m: line.distance_m * Math.cos(off), across_m: line.distance_m * Math.sin(off) };
}

/** The runway that is landed on: in the direction of the motion, nearest to its line; null where none is near. */
export function landedOn(flown: Flown, at_s: number, runways: readonly RunwayLine[]): RunwayLine | null {
  const { time_s, groundEast_mps, groundNorth_mps } = flown;
  const track = Math.atan2(valueAt(time_s, groundEast_mps, at_s), valueAt(time_s, groundNorth_mps, at_s));
  const place = placeAt(flown, at_s);
  let [best, least] = [null as RunwayLine | null, 300];
  for (const runway of runways) {
    if (Math.cos(track - runway.headingTrue_rad) < 0.7) continue;
    const { along_m, across_m } = onRunway(runway, place);
    const off = Math.abs(across_m) + Math.max(-along_m - 1000, along_m - runway.length_m - 1000, 0);
    if (off < least) [best, least] = [runway, off];
  }
  return best;
}

/**
 * Measures a landing.
 *
 * @param sigma_s - of the time of touching
 */
export function measureLanding(flown: Flown, at_s: number, sigma_s: number, runway: RunwayLine): LandingMeasures {
  const { along_m, across_m } = onRunway(runway, placeAt(flown, at_s));
  const speed = valueAt(flown.time_s, flown.groundSpeed_mps, at_s);
  const sensors = flown.has.accelerometer ? (["position", "accelerometer"] as const) : (["position"] as const);
  return {
    runway: runway.name,
    length_m: runway.length_m,
    along_m: figure(along_m, Math.hypot(PLACE_M, sigma_s * speed), ...sensors),
    across_m: figure(across_m, PLACE_M, "position"),
    groundSpeed_mps: figure(speed, 0.5 + sigma_s * 0.7, "position"),
  };
}
