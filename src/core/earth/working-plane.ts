// Which plane a situation is worked on: a plane is flat about its origin only, so it goes where the aircraft goes.
import { type LatLon, geodesicBetween } from "./geodesic";

/** A plane serves so far from its origin, m: lengths across are long by 4e-5 there, a glide of 20 km by 3 ft. */
export const PLANE_REACH_M = 100_000;
/** Planes that follow an aircraft lie this far apart, degrees, so that not every move makes another. */
const RASTER_DEG = 0.5;

/**
 * Origin of the plane that serves a place: that of its terrain as long as it reaches, otherwise a point of a raster
 * near the place.
 *
 * @param terrain - origin of the terrain; null without one
 */
export function planeOrigin(position: LatLon, terrain: LatLon | null): LatLon {
  if (terrain && geodesicBetween(terrain, position).distance_m <= PLANE_REACH_M) return terrain;
  const snapped = (angle_deg: number) => Math.round(angle_deg / RASTER_DEG) * RASTER_DEG;
  return { latitude_deg: snapped(position.latitude_deg), longitude_deg: snapped(position.longitude_deg) };
}
