// How the state of motion of a rotorcraft changes: a body that hangs under its rotor, in wind and gusts, on skids or
// wheels. Runs inside a step: functions of numeric/exact only. Not here: blades one by one, the tail in the wake.
import { asin, atan2, cos, sin } from "../numeric/exact";
import { G0 } from "../quantities/constants";
import type { Felt, StepForces } from "./body-rates";
import { groundContact } from "./ground-contact";
import { earthToBody, pathRates } from "./rigid-body";
import type { RotorcraftModel } from "./rotorcraft-model";
import * as S from "./state";

/** Slower than this the air has no direction, m/s. */
const STILL_MPS = 0.5;

/**
 * Rates of change of the motion.
 *
 * The disc follows the hands with a lag and stays in space while the mast turns under it: ȧ = (a wanted − a)/τ + q. It
 * holds the body by its thrust above the centre of gravity and by the hub.
 *
 * @param y - numbers of the motion, in the order of the state
 * @param out - as many rates; written
 * @param seen - written
 * @see G. D. Padfield, Helicopter Flight Dynamics (memory), for the disc as one piece; common practice
 */
export function rotorcraftRates(
  m: RotorcraftModel,
  y: Float64Array,
  at: StepForces,
  out: Float64Array,
  seen: Felt,
): void {
  const { air, rotor } = at;
  const t = earthToBody(y);
  const u = y[S.U];
  const v = y[S.V];
  const w = y[S.W];
  const p = y[S.P];
  const q = y[S.Q];
  const r = y[S.R];
  const { north_mps: wn, east_mps: we, down_mps: wd } = air;
  const ua = u - (t.r11 * wn + t.r12 * we + t.r13 * wd);
  const va = v - (t.r21 * wn + t.r22 * we + t.r23 * wd);
  const wa = w - (t.r31 * wn + t.r32 * we + t.r33 * wd);
  const tas = Math.sqrt(ua * ua + va * va + wa * wa);

  // The rotor: along its tilted axis; over a fuselage a little of what holds it up is pressed down again.
  const a = y[S.TILT_FORWARD];
  const b = y[S.TILT_RIGHT];
  const tx = sin(a);
  const ty = sin(b) * cos(a);
  const tz = -cos(a) * cos(b);
  const thrust = rotor.thrust_N;
  const pressed = -thrust * (t.r13 * tx + t.r23 * ty + t.r33 * tz) * (1 - rotor.upShare);
  let fx = thrust * tx + pressed * t.r13 + rotor.along_N;
  let fy = thrust * ty + pressed * t.r23 + rotor.side_N;
  let fz = thrust * tz + pressed * t.r33;
  const held = m.stiffness_Nm + thrust * m.hub_m;
  let mx = held * b + rotor.roll_Nm;
  let my = -held * (a - m.neutral_rad);
  let mz = rotor.yaw_Nm;

  // Drag: along the ground by what it meets ahead and abeam, up and down by what it meets so.
  const down = t.r13 * ua + t.r23 * va + t.r33 * wa;
  const flat = -0.5 * air.density * tas;
  const level = { x: ua - down * t.r13, y: va - down * t.r23, z: wa - down * t.r33 };
  fx += flat * (m.along_m2 * level.x + m.across_m2 * down * t.r13);
  fy += flat * (m.side_m2 * level.y + m.across_m2 * down * t.r23);
  fz += flat * (m.along_m2 * level.z + m.across_m2 * down * t.r33);

  const touched = groundContact(m, y, at, t);
  fx += touched.fx;
  fy += touched.fy;
  fz += touched.fz;
  mx += touched.mx;
  my += touched.my;
  mz += touched.mz;

  pathRates(y, t, out);
  out[S.U] = fx / m.mass_kg + G0 * t.r13 + r * v - q * w;
  out[S.V] = fy / m.mass_kg + G0 * t.r23 + p * w - r * u;
  out[S.W] = fz / m.mass_kg + G0 * t.r33 + q * u - p * v;
  out[S.P] = (mx - (m.iz - m.iy) * q * r) / m.ix;
  out[S.Q] = (my - (m.ix - m.iz) * p * r) / m.iy;
  out[S.R] = (mz - (m.iy - m.ix) * p * q) / m.iz;
  out[S.TILT_FORWARD] = (rotor.tiltForward_rad - a) / m.tiltLag_s + q;
  out[S.TILT_RIGHT] = (rotor.tiltRight_rad - b) / m.tiltLag_s - p;

  const still = tas < STILL_MPS;
  seen.tas_mps = tas;
  seen.alpha_rad = still ? 0 : atan2(wa, ua);
  seen.beta_rad = still ? 0 : asin(Math.max(-1, Math.min(1, va / tas)));
  seen.cl = 0;
  seen.fx = fx / m.mass_kg;
  seen.fy = fy / m.mass_kg;
  seen.fz = fz / m.mass_kg;
  seen.touch_N = touched.touch_N;
  seen.hull_N = touched.hull_N;
  seen.onWheels = touched.touch_N > touched.hull_N;
}
