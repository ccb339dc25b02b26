// A pilot who flies a speed: nose down when slow, up when fast, with the load factor that a smooth hand uses.
import { clamp } from "../numeric/clamp";
import { G0 } from "../quantities/constants";
import type { AirSample } from "./air-column";
import { type Body, type Control, type Loads, type Motion, loadsOf, thrustOverWeight } from "./point-mass";

/**
 * A difference in speed is worked off over this time, with at most this acceleration. A model of a calm hand, common
 * practice.
 */
const SPEED_LAG_S = 2.5;
const ACCELERATION_MPS2 = 2;
/** The path is brought to the one wanted over this time. */
const PATH_LAG_S = 0.7;
/** No steeper than this down, up without an engine, and up with one, as sines. */
const STEEPEST_DOWN = -0.5;
const STEEPEST_ZOOM = 0.2;
const STEEPEST_CLIMB = 0.5;
/** Load factors that a pilot uses for it. */
const LOAD_LOW = 0.5;
const LOAD_HIGH = 2.6;

/**
 * Least share of the path that the wind gradient may leave. In a climb into a wind that grows faster than V/g the
 * energy balance would turn over; no pilot follows it there.
 */
const LEAST_GRADIENT_SHARE = 0.4;

const LOADS: Loads = { cl: 0, n: 0, drag: 0, limited: false };
/** The load of steady flight in the bank; its drag is what the path is worked out with. */
const STEADY: Control = { hold: "load", value: 1, clLimit: 1, bank_rad: 0 };

/**
 * The load factor that leads to a speed: path sinγ = T/W − D/W − V̇/g − shear, then n = (cosγ + V·Δγ/(0.7·g))/cosφ in
 * 0.5…2.6.
 *
 * @param climbing - with the engine running after take-off: the path does not go down, and may be steep
 * @param clLimit - lift coefficient that the pilot does not exceed: CLmax over the margin squared
 */
export function loadToHoldSpeed(
  motion: Motion,
  body: Body,
  air: AirSample,
  target_mps: number,
  bank_rad: number,
  clLimit: number,
  climbing = false,
): number {
  const { density } = air;
  const cosGamma = Math.cos(motion.gamma_rad);
  const cosBank = Math.cos(bank_rad);
  STEADY.value = cosGamma / cosBank;
  STEADY.clLimit = clLimit;
  loadsOf(body, motion, STEADY, density, LOADS);
  const acceleration = clamp((target_mps - motion.tas_mps) / SPEED_LAG_S, -ACCELERATION_MPS2, ACCELERATION_MPS2);
  const thrust = body.thrust ? thrustOverWeight(body.thrust, motion.tas_mps, density) : 0;
  // Wind that grows as the aeroplane sinks (or climbs) is paid for in speed: aim for it.
  const shear = air.alongSlope_ps * Math.cos(motion.psi_rad) + air.acrossSlope_ps * Math.sin(motion.psi_rad);
  const balance = thrust - LOADS.drag - acceleration / G0;
  const sine = clamp(
    balance / Math.max(1 + (motion.tas_mps * shear) / G0, LEAST_GRADIENT_SHARE),
    climbing ? 0 : STEEPEST_DOWN,
    climbing ? STEEPEST_CLIMB : STEEPEST_ZOOM,
  );
  const wanted = Math.asin(sine);
  const load = (cosGamma + (motion.tas_mps * (wanted - motion.gamma_rad)) / (PATH_LAG_S * G0)) / cosBank;
  return clamp(load, LOAD_LOW, LOAD_HIGH);
}
