// A gyroplane's rudder: what the air at the tail lets it do, with the propeller's slipstream and without.
import { bisect } from "../numeric/bisect";
import { MPS_PER_KT } from "../quantities/constants";
import { gyroGlideAt } from "./gyro-glide";
import { type GyroCase, load_N } from "./gyro-rotor";
import { fullPower_W, slipstreamOf } from "./slipstream";

const HALVINGS = 40;
/** What the rudder is compared with: 55 kt, engine stopped. */
export const REFERENCE_MPS = 55 * MPS_PER_KT;

/** Yawing moment of full rudder in an air at the tail, N m. */
export function fullRudder_Nm({ density, aircraft: { tail } }: GyroCase, tail_mps: number): number {
  return 0.5 * density * tail_mps * tail_mps * tail.rudderArea_m2 * tail.rudderSlope * tail.rudderMax_rad * tail.arm_m;
}

/**
 * Pull of level flight, N: what the glide with the engine stopped spends of height, less the stopped propeller's drag.
 *
 * @param tas_mps - more than 0
 * @returns null where the rotor does not carry it
 */
export function levelPull_N(flight: GyroCase, tas_mps: number): number | null {
  const glide = gyroGlideAt(flight, tas_mps, "stopped");
  if (!glide) return null;
  const stopped_N = 0.5 * flight.density * tas_mps ** 2 * flight.aircraft.body.stoppedPropeller_m2;
  const drag_N = load_N(flight, tas_mps, 0, "stopped").ahead_N;
  return Math.max((flight.weight_N * glide.sink_mps) / tas_mps, drag_N) - stopped_N;
}

/** Power of level flight, W; null where the engine does not give it. */
function levelPower_W(flight: GyroCase, tas_mps: number): number | null {
  const pull_N = levelPull_N(flight, tas_mps);
  const full = fullPower_W(flight);
  if (pull_N === null || slipstreamOf(flight, tas_mps, full).thrust_N < pull_N) return null;
  return bisect((power) => slipstreamOf(flight, tas_mps, power).thrust_N < pull_N, 0, full, HALVINGS).high;
}

/** The rudder at a speed. */
export interface RudderAtSpeed {
  readonly tas_mps: number;
  /** Moment of full rudder over that at 55 kt with the engine stopped. */
  readonly stopped: number;
  readonly fullPower: number;
  /** How fast full rudder turns the nose from rest, engine stopped, rad/s². */
  readonly yaw_radps2: number;
  /** Rudder held against the swirl in level flight, rad, and what of it is too much when the engine stops. */
  readonly held_rad: number | null;
  /** Power of that level flight, W; null where it does not fly level. */
  readonly power_W: number | null;
}

/**
 * What the rudder does at a speed, with the engine and without.
 *
 * @param tas_mps - 0 to 50
 * @returns moments in the ratio of dynamic pressures at the tail
 */
export function rudderAt(flight: GyroCase, tas_mps: number): RudderAtSpeed {
  const { tail } = flight.aircraft;
  const reference = fullRudder_Nm(flight, REFERENCE_MPS);
  const stopped_Nm = fullRudder_Nm(flight, tas_mps);
  const power_W = tas_mps > 0 ? levelPower_W(flight, tas_mps) : null;
  const fin = tail.finArea_m2 * tail.finSlope;
  const rudder = tail.rudderArea_m2 * tail.rudderSlope;
  return {
    tas_mps,
    stopped: stopped_Nm / reference,
    fullPower: fullRudder_Nm(flight, slipstreamOf(flight, tas_mps, fullPower_W(flight)).tail_mps) / reference,
    yaw_radps2: stopped_Nm / tail.yawInertia_kgm2,
    held_rad: power_W === null ? null : (slipstreamOf(flight, tas_mps, power_W).swirl_rad * (fin + rudder)) / rudder,
    power_W,
  };
}
