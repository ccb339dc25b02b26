// How the state of motion of an aeroplane changes: a rigid body in wind, gusts, on wheels. Runs inside a step:
// functions of numeric/exact only. Not here: compressibility, ice on the wing, the tail in the slipstream, a spin.
import { asin, atan2, cos, sin } from "../numeric/exact";
import { G0 } from "../quantities/constants";
import type { AeroplaneModel } from "./aeroplane-model";
import { groundContact } from "./ground-contact";
import type { StepAir } from "./step-air";
import { SETTLING_CHORDS, LEFT_EARLIER_RAD, askedAttached } from "./separation";
import { earthToBody, pathRates } from "./rigid-body";
import * as S from "./state";

/** What holds over one step: surfaces, engines, air, ground. */
export interface StepForces {
  elevator_rad: number;
  aileron_rad: number;
  rudder_rad: number;
  brakes: number;
  deltaCl0: number;
  deltaCd: number;
  stall_rad: number;
  /** Of the flap on the left half alone that does not come out. */
  flapLeft: number;
  /** By engine: thrust, torque on the shaft, wake, speed of the shaft. */
  readonly thrust_N: Float64Array;
  readonly torque_Nm: Float64Array;
  readonly wake_mps: Float64Array;
  readonly omega_radps: Float64Array;
  air: StepAir;
  /** Ground below, above the sea, and its slope to the north and the east. */
  ground_m: number;
  slopeNorth: number;
  slopeEast: number;
  wheelsDown: boolean;
  readonly rotor: RotorPush;
}

/** What a rotor and what goes with it do over a step: none on an aeroplane. */
export interface RotorPush {
  thrust_N: number;
  /** What is left of the thrust’s upward part over the fuselage: 1 all of it. */
  upShare: number;
  /** Of the tail, and of engines on the body: to the right. */
  yaw_Nm: number;
  side_N: number;
  roll_Nm: number;
  /** Along the nose: a propeller. */
  along_N: number;
  /** Where the hands want the disc, from the mast, rad. */
  tiltForward_rad: number;
  tiltRight_rad: number;
}

/** What a look at the motion tells beside the rates. */
export interface Felt {
  tas_mps: number;
  alpha_rad: number;
  beta_rad: number;
  cl: number;
  /** Specific forces of the air and the ground, body axes, m/s². */
  fx: number;
  fy: number;
  fz: number;
  /** Greatest push of one point of the ground, N; of what is no wheel too. */
  touch_N: number;
  hull_N: number;
  onWheels: boolean;
}

/** @see StepForces */
export const stepForces = (air: StepAir): StepForces => ({
  elevator_rad: 0,
  aileron_rad: 0,
  rudder_rad: 0,
  brakes: 0,
  deltaCl0: 0,
  deltaCd: 0,
  stall_rad: 0.3,
  flapLeft: 0,
  thrust_N: new Float64Array(2),
  torque_Nm: new Float64Array(2),
  wake_mps: new Float64Array(2),
  omega_radps: new Float64Array(2),
  air,
  ground_m: 0,
  slopeNorth: 0,
  slopeEast: 0,
  wheelsDown: true,
  rotor: {
    thrust_N: 0,
    upShare: 1,
    yaw_Nm: 0,
    side_N: 0,
    roll_Nm: 0,
    along_N: 0,
    tiltForward_rad: 0,
    tiltRight_rad: 0,
  },
});

/** @see Felt */
export const felt = (): Felt => ({
  tas_mps: 0,
  alpha_rad: 0,
  beta_rad: 0,
  cl: 0,
  fx: 0,
  fy: 0,
  fz: 0,
  touch_N: 0,
  hull_N: 0,
  onWheels: false,
});

/** Slower than this the air says nothing, m/s; rates are made small with no less than this. */
const [STILL_MPS, RATE_MPS] = [0.5, 10];
/** Thrust follows the air's angle between these, rad. */
const [THRUST_LOW, THRUST_HIGH] = [(-6 * Math.PI) / 180, (12 * Math.PI) / 180];
/** A fin that has stalled keeps half; it is stalled at so much of its angle. */
const [FIN_LEFT, FIN_GONE] = [0.5, 1.3];

const half = (attached: number) => {
  const root = 1 + Math.sqrt(attached);
  return (root * root) / 4;
};

/**
 * Rates of change of the motion.
 *
 * @param y - numbers of the motion, in the order of the state
 * @param out - as many rates; written
 * @param seen - written
 * @see B. Etkin, Dynamics of Flight, for the equations; strip theory of two half wings for the stall; common practice
 */
export function bodyRates(m: AeroplaneModel, y: Float64Array, at: StepForces, out: Float64Array, seen: Felt): void {
  const { air } = at;
  const u = y[S.U];
  const v = y[S.V];
  const w = y[S.W];
  const p = y[S.P];
  const q = y[S.Q];
  const r = y[S.R];
  const turned = earthToBody(y);
  const { r11, r12, r13, r21, r22, r23, r31, r32, r33 } = turned;

  // Through the air.
  const { north_mps: wn, east_mps: we, down_mps: wd } = air;
  const ua = u - (r11 * wn + r12 * we + r13 * wd);
  const va = v - (r21 * wn + r22 * we + r23 * wd);
  const wa = w - (r31 * wn + r32 * we + r33 * wd);
  const tas = Math.sqrt(ua * ua + va * va + wa * wa);
  const still = tas < STILL_MPS;
  const alpha = still ? 0 : atan2(wa, ua);
  const beta = still ? 0 : asin(va / tas);
  const qS = 0.5 * air.density * tas * tas * m.area_m2;
  const fast = tas > RATE_MPS ? tas : RATE_MPS;
  const ph = ((p - air.roll_radps) * m.span_m) / (2 * fast);
  const qh = (q * m.chord_m) / (2 * fast);
  const rh = (r * m.span_m) / (2 * fast);
  const sinA = sin(alpha);
  const cosA = cos(alpha);

  // Blown from the side or from behind, on the ground, a wing and its controls are none.
  const ahead = still ? 1 : ua / tas;
  const forward = ahead >= 0.5 ? 1 : ahead > 0 ? 2 * ahead : 0;

  // Near the ground the wing's wake is held up.
  const height = -y[S.DOWN] - at.ground_m;
  const near = (16 * (height > 0.5 ? height : 0.5)) / m.span_m;
  const ge = (near * near) / (1 + near * near);

  // Two half wings, each at its own angle.
  const left = y[S.ATTACHED_LEFT];
  const right = y[S.ATTACHED_RIGHT];
  const attached = (left + right) / 2;
  const tilt = (m.wingArm * (p - air.roll_radps) * m.span_m) / fast;
  const kLeft = half(left);
  const kRight = half(right);
  const flap = at.deltaCl0 * m.flapLift;
  const linear = forward * (m.clWing0 + flap + m.clWingAlpha * alpha);
  const lifted = 1 + 0.08 * (1 - ge);
  const elevator = at.elevator_rad;
  const cl =
    ((kLeft + kRight) / 2) * linear * lifted +
    forward * (m.clQ * qh + m.clDeltaE * elevator - 0.5 * at.flapLeft * m.flapLift);
  const separated = (1 - left + 1 - right) / 2;
  const { rudder_rad: dr, aileron_rad: da } = at;
  const cd =
    m.cd0 +
    at.deltaCd +
    m.k * ge * cl * cl +
    separated * (0.12 + sinA * sinA) +
    m.cdBeta * beta * beta +
    m.cdDeltaR * dr * dr +
    m.cdDeltaA * da * da;

  // Body and fin.
  const finBeta = beta - (r * m.finArm_m) / fast + (p * m.finHeight_m) / fast;
  const push = Math.abs(finBeta + m.finRudder * dr) / m.finStall_rad;
  const grip = push <= 1 ? 1 : push >= FIN_GONE ? FIN_LEFT : 1 - ((push - 1) / (FIN_GONE - 1)) * (1 - FIN_LEFT);
  const cy = m.cyBody * beta + grip * (m.cyFin * finBeta + m.cyDeltaR * dr);

  const cosB = cos(beta);
  const inPlane = (cd + cy * (still ? 0 : va / tas)) / (cosB > 0.5 ? cosB : 0.5);
  let fx = qS * (-inPlane * cosA + cl * sinA);
  let fy = qS * cy;
  let fz = qS * (-inPlane * sinA - cl * cosA);

  const wing = m.clWing0 + flap;
  const leftLift = wing + m.clWingAlpha * (alpha - tilt);
  const rightLift = wing + m.clWingAlpha * (alpha + tilt);
  let roll =
    m.clBeta * beta +
    m.clP * ph * (0.55 + 0.45 * attached) +
    (cl / 4 + m.clRFin) * rh +
    m.clDeltaA * da * (0.35 + 0.65 * attached) +
    grip * m.clDeltaR * dr -
    (m.wingArm / 2) * ((kRight - 1) * rightLift - (kLeft - 1) * leftLift) -
    0.25 * m.wingArm * 2 * at.flapLeft;
  let yaw =
    m.cnBody * beta +
    grip * (m.cnFin * finBeta + m.cnDeltaR * dr) -
    (cl / 8) * ph -
    (0.02 * cl * cl + 0.3 * m.cd0) * rh +
    m.cnDeltaA * da +
    (m.wingArm / 2) * (left - right) * (0.12 + sinA * sinA) -
    0.1 * (1 - attached) * rh +
    cy * m.cgSpan;
  roll *= forward * qS * m.span_m;
  yaw *= forward * qS * m.span_m;

  // Engines: thrust along the air's way in the plane of symmetry, arms with the propeller's own, slipstream, torque.
  const along = alpha < THRUST_LOW ? THRUST_LOW : alpha > THRUST_HIGH ? THRUST_HIGH : alpha;
  const cosT = cos(along);
  const sinT = sin(along);
  let turning = 0;
  for (let i = 0; i < m.engines.length; i += 1) {
    const { y_m, rotation } = m.engines[i];
    const thrust = at.thrust_N[i];
    const arm = y_m + rotation * m.pFactor_m * (along + m.thrustIncidence_rad);
    fx += thrust * cosT;
    fz += thrust * sinT;
    yaw -= thrust * (thrust > 0 ? arm : y_m);
    const wash = tas + 2 * at.wake_mps[i];
    roll -= 0.5 * air.density * (wash * wash - tas * tas) * m.slipstream * cl * arm + rotation * at.torque_Nm[i];
    turning += rotation * m.shaft_kgm2 * at.omega_radps[i];
  }

  const touched = groundContact(m, y, at, turned);
  fx += touched.fx;
  fy += touched.fy;
  fz += touched.fz;

  const udot = fx / m.mass_kg + G0 * r13 + r * v - q * w;
  const vdot = fy / m.mass_kg + G0 * r23 + p * w - r * u;
  const wdot = fz / m.mass_kg + G0 * r33 + q * u - p * v;
  // The angle's own rate by the balance of forces, through the air; on wheels none.
  const uAir = fx / m.mass_kg + G0 * r13 + r * va - q * wa;
  const wAir = fz / m.mass_kg + G0 * r33 + q * ua - p * va;
  const plane = ua * ua + wa * wa;
  const alphaDot = touched.touch_N > 0 || plane < 25 ? 0 : (ua * wAir - wa * uAir) / plane;
  const cm =
    m.cm0 +
    m.cmFlap * at.deltaCl0 +
    m.cmAlpha * alpha +
    m.cmDeltaE * elevator * (0.5 + 0.5 * attached) +
    m.cmQ * qh +
    (m.cmAlphaDot * alphaDot * m.chord_m) / (2 * fast) -
    0.08 * (1 - attached) -
    0.03 * (1 - ge) * cl;
  const pitch = forward * qS * m.chord_m * cm;

  pathRates(y, turned, out);
  out[S.U] = udot;
  out[S.V] = vdot;
  out[S.W] = wdot;
  out[S.P] = (roll + touched.mx - (m.iz - m.iy) * q * r) / m.ix;
  out[S.Q] = (pitch + touched.my - (m.ix - m.iz) * p * r - r * turning) / m.iy;
  out[S.R] = (yaw + touched.mz - (m.iy - m.ix) * p * q + q * turning) / m.iz;
  const settle = tas / (SETTLING_CHORDS * m.chord_m);
  out[S.ATTACHED_LEFT] = (askedAttached(alpha - tilt, at.stall_rad - LEFT_EARLIER_RAD, left) - left) * settle;
  out[S.ATTACHED_RIGHT] = (askedAttached(alpha + tilt, at.stall_rad, right) - right) * settle;

  seen.tas_mps = tas;
  seen.alpha_rad = alpha;
  seen.beta_rad = beta;
  seen.cl = cl;
  seen.fx = fx / m.mass_kg;
  seen.fy = fy / m.mass_kg;
  seen.fz = fz / m.mass_kg;
  seen.touch_N = touched.touch_N;
  seen.hull_N = touched.hull_N;
  seen.onWheels = touched.touch_N > touched.hull_N;
}
