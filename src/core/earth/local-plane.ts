// A flat map around an origin: azimuthal equidistant on the ellipsoid. Distances from the origin are exact; at 50 km
// from it, distances across are long by 1e-5 and grid north leans from true north by up to half a degree at 47°.
import { wrapHalfTurn } from "../quantities/angle";
import { type LatLon, destination, geodesicBetween } from "./geodesic";

/** Metres east and north of a plane's origin. */
export interface PlanePoint {
  readonly x_m: number;
  readonly y_m: number;
}

/** A plane about an origin. */
export interface LocalPlane {
  readonly origin: LatLon;
  toPlane(place: LatLon): PlanePoint;
  toLatLon(point: PlanePoint): LatLon;
  /**
   * Direction of true north in the plane at a place, radians clockwise from the y axis. Add it to a true direction to
   * get the plane's.
   */
  convergence_rad(place: LatLon): number;
}

/** The plane about an origin; good to 100 km. */
export function localPlane(origin: LatLon): LocalPlane {
  const toPlane = (place: LatLon): PlanePoint => {
    const line = geodesicBetween(origin, place);
    return {
      x_m: line.distance_m * Math.sin(line.azimuthStart_rad),
      y_m: line.distance_m * Math.cos(line.azimuthStart_rad),
    };
  };
  return {
    origin,
    toPlane,
    toLatLon: ({ x_m, y_m }) => destination(origin, Math.atan2(x_m, y_m), Math.hypot(x_m, y_m)),
    convergence_rad: (place) => {
      const here = toPlane(place);
      // 100 m is short enough for a straight line and long enough for ten digits.
      const north = toPlane(destination(place, 0, 100));
      return wrapHalfTurn(Math.atan2(north.x_m - here.x_m, north.y_m - here.y_m));
    },
  };
}
