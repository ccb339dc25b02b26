// The wind that a flight shows, with how well it shows it.
import type { WindVector } from "../../air/wind";
import type { Sensor } from "../figure";

/** A wind along a flight: w(h) = w + g·(h − hm). Motion of the air, east and north. */
export interface FittedWind {
  readonly east_mps: number;
  readonly north_mps: number;
  /** Change by height, 1/s. */
  readonly eastGradient: number;
  readonly northGradient: number;
  /** Mean height of what it rests on, m above mean sea level. */
  readonly altitude_m: number;
  /** Covariance of east and north: ee, en, nn, m²/s². */
  readonly covariance: readonly [number, number, number];
  /** True airspeed of the indicator's over that of the fit: 1 for an indicator without an error. */
  readonly airspeedScale: number;
  readonly sensors: readonly Sensor[];
}

/** The wind at a height. */
export function windAt(wind: FittedWind, altitude_m: number): WindVector {
  const above = altitude_m - wind.altitude_m;
  return {
    east_mps: wind.east_mps + wind.eastGradient * above,
    north_mps: wind.north_mps + wind.northGradient * above,
  };
}

/** One standard deviation of its speed in the direction in which it is known least, m/s. */
export function windSigma_mps({ covariance: [ee, en, nn] }: Pick<FittedWind, "covariance">): number {
  const middle = (ee + nn) / 2;
  return Math.sqrt(middle + Math.hypot((ee - nn) / 2, en));
}

/** A wind that was told, not measured; it is taken as good to so much, m/s. Common practice. */
const TOLD_SIGMA_MPS = 2.5;

/** A wind that the pilot gives. */
export function givenWind({ east_mps, north_mps }: WindVector): FittedWind {
  return {
    east_mps,
    north_mps,
    eastGradient: 0,
    northGradient: 0,
    altitude_m: 0,
    covariance: [TOLD_SIGMA_MPS ** 2, 0, TOLD_SIGMA_MPS ** 2],
    airspeedScale: 1,
    sensors: ["wind given"],
  };
}
