// A glide path with places on the Earth instead of a plane, for the open formats.
import type { LatLon } from "../earth/geodesic";
import { localPlane } from "../earth/local-plane";
import type { WayToEnd } from "./way-to-end";

/** A point of a path on the Earth. */
export interface PlacedPoint extends LatLon {
  readonly altitude_m: number;
  readonly time_s: number;
  readonly entry: number;
}

/** Six decimals of a degree are a tenth of a metre; a tenth of a metre or a second is more than the model knows. */
const DEGREE_DIGITS = 6;
const TENTHS = 1;

/** The same number with as many decimals. */
function rounded(value: number, digits: number): number {
  return Number(value.toFixed(digits));
}

/**
 * The points of a path.
 *
 * @param origin - of the plane that the end's points are in
 */
export function placedPath(end: WayToEnd, origin: LatLon): PlacedPoint[] {
  const plane = localPlane(origin);
  return end.points.map(({ x_m, y_m, altitude_m, time_s, entry }) => {
    const { latitude_deg, longitude_deg } = plane.toLatLon({ x_m, y_m });
    return {
      latitude_deg: rounded(latitude_deg, DEGREE_DIGITS),
      longitude_deg: rounded(longitude_deg, DEGREE_DIGITS),
      altitude_m: rounded(altitude_m, TENTHS),
      time_s: rounded(time_s, TENTHS),
      entry,
    };
  });
}
