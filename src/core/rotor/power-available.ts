import type { Rating } from "../aircraft/helicopter";
import { pow } from "../numeric/exact";
import type { HelicopterCase } from "./helicopter-case";

/** What an engine loses by being built in, and how its power falls with temperature. Typical of the class. */
const [INSTALLED, THETA_POWER] = [0.97, -2.3];

/** What one engine gives at a rating. */
export interface Available {
  readonly power_W: number;
  readonly binds: "engine" | "gearbox";
  readonly engine_W: number;
  readonly gearbox_W: number;
}

/**
 * Power of one engine: the smaller of what it gives, engine·0.97·δ·θ^−2.3·(2n − n²), and of what the gearbox takes at
 * its torque, gearbox·n.
 *
 * @param nr - n, rotor speed over the nominal one, 0.7 to 1.1
 * @see typical of free-turbine engines; the maker's charts decide
 */
export function availablePower(
  { delta, theta }: Pick<HelicopterCase, "delta" | "theta">,
  rating: Rating,
  nr = 1,
): Available {
  const engine_W = rating.engine_W * INSTALLED * delta * pow(theta, THETA_POWER) * (2 * nr - nr * nr);
  const gearbox_W = rating.gearbox_W * nr;
  return engine_W < gearbox_W
    ? { power_W: engine_W, binds: "engine", engine_W, gearbox_W }
    : { power_W: gearbox_W, binds: "gearbox", engine_W, gearbox_W };
}
