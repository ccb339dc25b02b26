import { type LatLon, destination } from "../earth/geodesic";
import type { LocalPlane, PlanePoint } from "../earth/local-plane";
import type { LandingEnd } from "../landing/landing-end";

/** From the runway's frame (x along the take-off, y to its right) to a plane. */
export type ToPlane = (x_m: number, y_m: number) => PlanePoint;

/** The frame of a runway in a plane. */
export function runwayFrame(runway: Pick<LandingEnd, "threshold" | "headingTrue_rad">, plane: LocalPlane): ToPlane {
  const threshold = plane.toPlane(runway.threshold);
  const heading = runway.headingTrue_rad + plane.convergence_rad(runway.threshold);
  const [cos, sin] = [Math.cos(heading), Math.sin(heading)];
  return (x, y) => ({ x_m: threshold.x_m + x * sin + y * cos, y_m: threshold.y_m + x * cos - y * sin });
}

/** Where a point of the runway's frame lies on the Earth. */
export function placeInFrame(
  runway: Pick<LandingEnd, "threshold" | "headingTrue_rad">,
  x_m: number,
  y_m: number,
): LatLon {
  return destination(runway.threshold, runway.headingTrue_rad + Math.atan2(y_m, x_m), Math.hypot(x_m, y_m));
}
