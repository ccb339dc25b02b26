// A gliding turn in the air mass. Its radius shrinks as the air thickens on the way down, by about 1 % a circle: small,
// but over a wide turn it moves the end by metres. Taken as linear in the angle turned, it has a closed form.

/** Displacement in the air mass, m east and north. */
export interface Displacement {
  x_m: number;
  y_m: number;
}

/**
 * What the change of radius adds to an arc of mean radius: r'·∫(θ − Θ/2)·u(ψ + s·θ) dθ from 0 to `upTo`.
 *
 * @param heading_rad - at the start of the turn
 * @param sign - +1 right, −1 left
 * @param slope_mprad - change of radius for each radian turned
 * @param angle_rad - of the whole turn, Θ
 * @param upTo_rad - angle turned so far, 0 to Θ
 * @param out - filled and returned; owned by the caller
 */
export function radiusChange(
  heading_rad: number,
  sign: number,
  slope_mprad: number,
  angle_rad: number,
  upTo_rad: number,
  out: Displacement,
): Displacement {
  const middle = angle_rad / 2;
  const now = heading_rad + sign * upTo_rad;
  const sin0 = Math.sin(heading_rad);
  const cos0 = Math.cos(heading_rad);
  const sin1 = Math.sin(now);
  const cos1 = Math.cos(now);
  out.x_m = slope_mprad * (-sign * (upTo_rad - middle) * cos1 + sin1 - sign * middle * cos0 - sin0);
  out.y_m = slope_mprad * (sign * (upTo_rad - middle) * sin1 + cos1 + sign * middle * sin0 - cos0);
  return out;
}
