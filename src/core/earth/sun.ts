import SunCalc from "suncalc";
import { wrapTurn } from "../quantities/angle";
import type { LatLon } from "./geodesic";

/** Where the sun stands. */
export interface SunPosition {
  /** True direction. */
  readonly azimuth_rad: number;
  /** Above the horizon; negative below it. */
  readonly elevation_rad: number;
}

/**
 * Sun at a place, day and time of day.
 *
 * @param day - ISO date, UTC
 * @param utc_h - 0 to 24
 * @returns good to about a degree
 */
export function sunPosition(place: LatLon, day: string, utc_h: number): SunPosition {
  const { azimuth, altitude } = SunCalc.getPosition(
    new Date(Date.parse(`${day}T00:00:00Z`) + utc_h * 3_600_000),
    place.latitude_deg,
    place.longitude_deg,
  );
  // The library counts azimuth from south, westward.
  return { azimuth_rad: wrapTurn(azimuth + Math.PI), elevation_rad: altitude };
}
