// What a gyroplane's propeller makes of its engine's power: pull, and the stream that its tail stands in. Runs inside a
// step of a flight too: functions of numeric/exact only.
import { powerShare } from "../engine/power-share";
import { bisect } from "../numeric/bisect";
import { atan } from "../numeric/exact";
import { RHO0 } from "../quantities/constants";
import type { GyroCase } from "./gyro-rotor";

/** What a propeller makes of its power in standing air, over an ideal one. Typical. */
const FIGURE_OF_MERIT = 0.78;
/** Where the swirl is taken, share of the propeller's radius. */
const SWIRL_RADIUS = 0.7;
/** Induced speeds searched, m/s. */
const [MOST_INDUCED, HALVINGS] = [80, 40];

/** What of a gyroplane its propeller goes by. */
type PropellerCase = Pick<GyroCase, "aircraft" | "density">;

/** The stream behind the propeller. */
export interface Slipstream {
  readonly thrust_N: number;
  readonly power_W: number;
  /** Far behind the propeller, where the tail is. */
  readonly tail_mps: number;
  /** Its swirl as an angle at the tail. */
  readonly swirl_rad: number;
}

const radiusOf = ({ aircraft }: PropellerCase) => aircraft.engines.propeller.diameter_m / 2;

/**
 * The stream of a power: 2ρA·vi·(V + vi)² = FM·P; the tail meets V + 2vi, and the torque's swirl of which a share is
 * met.
 *
 * @param tas_mps - 0 to 50
 * @param power_W - 0 and more
 * @see momentum theory of the actuator disc with swirl
 */
export function slipstreamOf(flight: PropellerCase, tas_mps: number, power_W: number): Slipstream {
  const { density, aircraft } = flight;
  const radius = radiusOf(flight);
  const area = Math.PI * radius * radius;
  const induced = bisect(
    (vi) => 2 * density * area * vi * (tas_mps + vi) * (tas_mps + vi) < FIGURE_OF_MERIT * power_W,
    0,
    MOST_INDUCED,
    HALVINGS,
  ).low;
  const through = tas_mps + induced;
  const tail_mps = tas_mps + 2 * induced;
  const torque_Nm = power_W / ((aircraft.engines.speed_rpm * 2 * Math.PI) / 60);
  const swirl_mps = through > 0 ? torque_Nm / (density * area * through * SWIRL_RADIUS * radius) : 0;
  return {
    thrust_N: 2 * density * area * induced * through,
    power_W,
    tail_mps,
    swirl_rad: tail_mps > 0 ? aircraft.tail.swirlShare * atan(swirl_mps / tail_mps) : 0,
  };
}

/** Full power in this air, W: an engine that is not charged thins with it. */
export const fullPower_W = ({ aircraft: { engines }, density }: PropellerCase): number =>
  engines.power_W * Math.min(powerShare(density / RHO0, null), 1);
