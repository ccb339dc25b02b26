// Positions as metres east and north along the way: each step by the radii of the ellipsoid where it is flown, so that
// speeds are right however far the flight goes. It is not a map: two ways to one place may differ by a few metres.
import { radians } from "../../quantities/angle";

/** Semi-major axis, m, and first eccentricity squared of WGS 84. @see NIMA TR8350.2 (memory) */
const A_M = 6_378_137;
const E2 = 0.00669437999014;

/** Metres per radian of latitude and of longitude at a latitude. @see radii of the meridian and of the parallel */
export function radiiAt(latitude_rad: number): { north_m: number; east_m: number } {
  const w2 = 1 - E2 * Math.sin(latitude_rad) ** 2;
  const w = Math.sqrt(w2);
  return { north_m: (A_M * (1 - E2)) / (w2 * w), east_m: (A_M * Math.cos(latitude_rad)) / w };
}

/** East and north of the first fix, along the way, m. */
export function groundLine(lat_deg: Float64Array, lon_deg: Float64Array): { x_m: Float64Array; y_m: Float64Array } {
  const count = lat_deg.length;
  const [x_m, y_m] = [new Float64Array(count), new Float64Array(count)];
  for (let i = 1; i < count; i += 1) {
    const { north_m, east_m } = radiiAt(radians((lat_deg[i] + lat_deg[i - 1]) / 2));
    // Over the date line the short way.
    let step_deg = lon_deg[i] - lon_deg[i - 1];
    if (step_deg > 180) step_deg -= 360;
    else if (step_deg < -180) step_deg += 360;
    x_m[i] = x_m[i - 1] + radians(step_deg) * east_m;
    y_m[i] = y_m[i - 1] + radians(lat_deg[i] - lat_deg[i - 1]) * north_m;
  }
  return { x_m, y_m };
}
