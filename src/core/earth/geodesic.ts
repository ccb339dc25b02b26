// Distances and directions on the WGS 84 ellipsoid, by GeographicLib (errors of nanometres).
import geographiclib from "geographiclib-geodesic";
import { z } from "zod";
import { degrees, radians, wrapTurn } from "../quantities/angle";

/** A place on the Earth, degrees north and east (WGS 84). */
export const LatLon = z.strictObject({
  latitude_deg: z.number().min(-90, "A latitude is −90 to 90°.").max(90, "A latitude is −90 to 90°."),
  longitude_deg: z.number().min(-180, "A longitude is −180 to 180°.").max(180, "A longitude is −180 to 180°."),
});

/** @see LatLon */
export type LatLon = z.infer<typeof LatLon>;

/**
 * Shortest line between two places.
 *
 * @returns length, m, and its true directions at both ends, 0 ≤ azimuth < 2π
 * @see C. F. F. Karney, Algorithms for geodesics, J. Geodesy 87 (2013), 10.1007/s00190-012-0578-z
 */
export function geodesicBetween(
  from: LatLon,
  to: LatLon,
): { distance_m: number; azimuthStart_rad: number; azimuthEnd_rad: number } {
  const line = geographiclib.Geodesic.WGS84.Inverse(
    from.latitude_deg,
    from.longitude_deg,
    to.latitude_deg,
    to.longitude_deg,
  );
  return {
    distance_m: line.s12 ?? 0,
    azimuthStart_rad: wrapTurn(radians(line.azi1 ?? 0)),
    azimuthEnd_rad: wrapTurn(radians(line.azi2 ?? 0)),
  };
}

/** The place reached from another along a true direction. */
export function destination(from: LatLon, azimuth_rad: number, distance_m: number): LatLon {
  const line = geographiclib.Geodesic.WGS84.Direct(
    from.latitude_deg,
    from.longitude_deg,
    degrees(azimuth_rad),
    distance_m,
  );
  return { latitude_deg: line.lat2 ?? from.latitude_deg, longitude_deg: line.lon2 ?? from.longitude_deg };
}
