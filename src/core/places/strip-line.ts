import { type LatLon, destination, geodesicBetween } from "../earth/geodesic";
import { magneticVariation } from "../earth/magnetic-variation";
import { degrees, wrapTurn } from "../quantities/angle";
import type { Strip, StripEnd } from "./place";

/** How a strip lies: from its first threshold to its second. */
export interface StripLine {
  readonly length_m: number;
  /** True directions of landing at either end. */
  readonly headingsTrue_rad: readonly [number, number];
  readonly middle: LatLon;
  /** Rise over run from the first threshold to the second; 0 where they lie on one another. */
  readonly slope: number;
}

/**
 * Length and directions of a strip on the ellipsoid.
 *
 * @see geodesicBetween
 */
export function stripLine(
  ends: readonly [Pick<StripEnd, "threshold" | "elevation_m">, Pick<StripEnd, "threshold" | "elevation_m">],
): StripLine {
  const [a, b] = ends;
  const line = geodesicBetween(a.threshold, b.threshold);
  return {
    length_m: line.distance_m,
    headingsTrue_rad: [line.azimuthStart_rad, wrapTurn(line.azimuthEnd_rad + Math.PI)],
    middle: destination(a.threshold, line.azimuthStart_rad, line.distance_m / 2),
    slope: line.distance_m > 0 ? (b.elevation_m - a.elevation_m) / line.distance_m : 0,
  };
}

/** Direction of landing from the magnetic north of a day, radians. */
export function magneticHeading_rad(place: LatLon, headingTrue_rad: number, day: Date): number {
  return wrapTurn(headingTrue_rad - magneticVariation(place, day).variation_rad);
}

/** The number that a runway of that magnetic direction bears: tens of degrees, 36 for north. */
export function runwayNumber(headingMagnetic_rad: number): string {
  const tens = Math.round(degrees(wrapTurn(headingMagnetic_rad)) / 10) % 36;
  return String(tens === 0 ? 36 : tens).padStart(2, "0");
}

/** The same strip with its first end at a place, from there in a direction for a length. */
export function thresholdsFrom(threshold: LatLon, headingTrue_rad: number, length_m: number): [LatLon, LatLon] {
  return [threshold, destination(threshold, headingTrue_rad, length_m)];
}

/** Names for the ends of a strip that has no numbers. */
const POINTS = ["north", "north-east", "east", "south-east", "south", "south-west", "west", "north-west"] as const;

/** The point of the compass that a direction of landing leads to. */
export function compassPoint(headingTrue_rad: number): string {
  return POINTS[Math.round(degrees(wrapTurn(headingTrue_rad)) / 45) % 8];
}

/** A strip with numbers or compass points of its own for its two ends. */
export function withDesignators<S extends Pick<Strip, "ends">>(strip: S, numbered: boolean, day: Date): S {
  const { headingsTrue_rad } = stripLine(strip.ends);
  const ends = strip.ends.map((end, i) => ({
    ...end,
    designator: numbered
      ? runwayNumber(magneticHeading_rad(end.threshold, headingsTrue_rad[i], day))
      : compassPoint(headingsTrue_rad[i]),
  }));
  return { ...strip, ends };
}
