// Where on a flight it takes as long to one alternate as to another: the point to turn back, or to press on.
import { type LatLon, geodesicBetween } from "../earth/geodesic";
import type { WindVector } from "../air/wind";
import { groundSpeed_mps } from "../air/wind-triangle";
import { bisect } from "../numeric/bisect";
import { halvingsTo } from "../numeric/halvings";
import { type Outcome, failure, success } from "../outcome";

/** A flight by distance, and the two places that it could end at. */
export interface EqualTimeQuestion {
  /** Points along the flight in their order, at least two. */
  readonly line: readonly { readonly distance_m: number; readonly position: LatLon }[];
  readonly first: LatLon;
  readonly second: LatLon;
  /** True airspeed that is left: on one engine, say. */
  readonly tas_mps: number;
  /** Air motion at the altitude flown, to the true east and north. */
  readonly wind: WindVector;
}

/** The point. */
export interface EqualTime {
  readonly distance_m: number;
  readonly position: LatLon;
  /** Seconds to either. */
  readonly time_s: number;
}

/**
 * Time straight to a place: its distance over the speed that the triangle of velocities leaves.
 *
 * @returns seconds; Infinity where there is no headway
 */
export function timeTo_s(from: LatLon, to: LatLon, tas_mps: number, wind: WindVector): number {
  const { distance_m, azimuthStart_rad } = geodesicBetween(from, to);
  if (distance_m === 0) return 0;
  return distance_m / groundSpeed_mps(tas_mps, wind, Math.sin(azimuthStart_rad), Math.cos(azimuthStart_rad));
}

/**
 * The first point of the flight from which the second place is no farther in time than the first.
 *
 * @returns `no_equal_time` where one of the two is nearer all the way, `wind_exceeds_airspeed`
 */
export function equalTimePoint({ line, first, second, tas_mps, wind }: EqualTimeQuestion): Outcome<EqualTime> {
  const lead_s = (position: LatLon) =>
    timeTo_s(position, second, tas_mps, wind) - timeTo_s(position, first, tas_mps, wind);
  const leads = line.map(({ position }) => lead_s(position));
  if (leads.some(Number.isNaN) || leads.every((lead) => Math.abs(lead) === Infinity))
    return failure(
      "wind_exceeds_airspeed",
      "The wind is as fast as the aircraft: one of the two is out of reach.",
      "wind",
    );
  const at = leads.findIndex((lead, i) => i > 0 && leads[i - 1] > 0 && lead <= 0);
  if (at < 0)
    return failure(
      "no_equal_time",
      leads[0] > 0 ? "The first of the two is nearer all the way." : "The second of the two is nearer all the way.",
      "second",
    );
  const [a, b] = [line[at - 1], line[at]];
  const between = (share: number): LatLon => ({
    latitude_deg: a.position.latitude_deg + share * (b.position.latitude_deg - a.position.latitude_deg),
    longitude_deg: a.position.longitude_deg + share * turn(b.position.longitude_deg - a.position.longitude_deg),
  });
  const { low } = bisect((share) => lead_s(between(share)) > 0, 0, 1, halvingsTo(1e-6, 0, 1));
  const position = between(low);
  return success({
    distance_m: a.distance_m + low * (b.distance_m - a.distance_m),
    position,
    time_s: timeTo_s(position, first, tas_mps, wind),
  });
}

/** A difference of longitudes the short way. */
function turn(difference_deg: number): number {
  return difference_deg > 180 ? difference_deg - 360 : difference_deg < -180 ? difference_deg + 360 : difference_deg;
}
