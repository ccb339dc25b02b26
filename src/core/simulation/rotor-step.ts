// The rotor of a rotorcraft a step of time later: thrust of its blades, what turns it, what it takes, and what tail and
// propeller do to the body meanwhile. Runs inside a step: functions of numeric/exact only.
import { G0 } from "../quantities/constants";
import { bladeThrust_N } from "../rotor/blade-thrust";
import { groundEffect } from "../rotor/ground-effect";
import { inducedOf, rotorDeficit_W } from "../rotor/gyro-disc";
import { ACCESSORIES_W, DOWNLOAD, GEARBOX, mainPower_W, rotorPower, shaftPower_W } from "../rotor/shaft-power";
import * as C from "./controls";
import { cos, sin } from "../numeric/exact";
import type { Flight } from "./flight";
import { stepGyroEngine } from "./gyro-engine-step";
import { earthToBody } from "./rigid-body";
import type { RotorcraftModel } from "./rotorcraft-model";
import * as S from "./state";
import { stepTurboshafts } from "./turboshaft-step";

/** Blade pitch with the collective down and up. Usual. */
export const [PITCH_LOW, PITCH_HIGH] = [(-1 * Math.PI) / 180, (17 * Math.PI) / 180];
/** The wake follows within this. */
const INFLOW_S = 0.15;
/** A rotor is not asked what carries less than this, of the weight, nor at less than this of its speed. */
const [LEAST_THRUST, LEAST_NR] = [0.02, 0.15];
/** Pedals in the middle leave this of the most that a tail rotor turns to the left; the right foot takes all of it. */
export const [TAIL_MIDDLE, TAIL_FOOT] = [0.45, 0.55];
/** The disc is blown back by this much of the tip's share of speed, by blade pitch and inflow. */
const [BLOWN, BLOWN_MOST] = [2, 0.15];

/** Air that meets the disc, and the way through the air, in body axes. */
interface Meets {
  readonly ahead_mps: number;
  readonly right_mps: number;
  readonly tas_mps: number;
  readonly through_mps: number;
  readonly inPlane_mps: number;
}

/** @see Meets */
function meets({ state: s, air }: Flight): Meets {
  const t = earthToBody(s);
  const { north_mps: wn, east_mps: we, down_mps: wd } = air;
  const ua = s[S.U] - (t.r11 * wn + t.r12 * we + t.r13 * wd);
  const va = s[S.V] - (t.r21 * wn + t.r22 * we + t.r23 * wd);
  const wa = s[S.W] - (t.r31 * wn + t.r32 * we + t.r33 * wd);
  const a = s[S.TILT_FORWARD];
  const b = s[S.TILT_RIGHT];
  const through = ua * sin(a) + va * sin(b) * cos(a) - wa * cos(a) * cos(b);
  const squared = ua * ua + va * va + wa * wa;
  return {
    ahead_mps: ua,
    right_mps: va,
    tas_mps: Math.sqrt(squared),
    through_mps: through,
    inPlane_mps: Math.sqrt(Math.max(squared - through * through, 0)),
  };
}

/** Moves rotor, engines and what they push on by a step. */
export function stepRotor(flight: Flight, model: RotorcraftModel, step_s: number): void {
  const { state: s, controls, forces } = flight;
  const disc = meets(flight);
  const push = forces.rotor;
  const nr = Math.max(s[S.NR], LEAST_NR);
  const tip_mps = nr * model.nominal_radps * model.radius_m;
  const { density } = flight.air;
  const { blades } = model;
  const stalls_N = model.ctSigmaMax * blades.solidity * density * blades.discArea_m2 * tip_mps * tip_mps;
  const pitch_rad =
    model.lift.kind === "helicopter" ? collectivePitch_rad(controls) : model.lift.aircraft.rotor.pitch_rad;
  const blade_N = bladeThrust_N({ density, blades }, pitch_rad, disc, s[S.INFLOW], tip_mps);
  push.thrust_N = Math.max(0, Math.min(blade_N, stalls_N));
  // What its own power is reckoned with: a rotor that carries nothing still has to be turned.
  const carried_N = Math.max(push.thrust_N, LEAST_THRUST * model.mass_kg * G0);
  if (model.lift.kind === "helicopter") driven(flight, model, disc, carried_N, step_s);
  else autorotating(flight, model, disc, carried_N, step_s);

  const mu = disc.inPlane_mps / tip_mps;
  const blown = BLOWN * mu * ((4 / 3) * pitch_rad - (disc.through_mps + s[S.INFLOW]) / tip_mps);
  const back = Math.max(-BLOWN_MOST, Math.min(BLOWN_MOST, blown));
  push.tiltForward_rad = model.neutral_rad - (controls[C.STICK_BACK] / C.FULL) * model.tiltMost_rad - back;
  push.tiltRight_rad = (controls[C.STICK_RIGHT] / C.FULL) * model.tiltMost_rad;
}

/** Pitch of the blades by the collective, rad. */
export const collectivePitch_rad = (controls: Int8Array): number =>
  PITCH_LOW + (PITCH_HIGH - PITCH_LOW) * (Math.max(controls[C.COLLECTIVE], 0) / C.FULL);

/** The collective that gives a pitch, 0…1. */
export const collectiveOf = (pitch_rad: number): number => (pitch_rad - PITCH_LOW) / (PITCH_HIGH - PITCH_LOW);

/** A rotor that engines turn, with a tail rotor against its torque. */
function driven(flight: Flight, model: RotorcraftModel, disc: Meets, thrust_N: number, step_s: number): void {
  if (model.lift.kind !== "helicopter") return;
  const { aircraft } = model.lift;
  const { state: s, controls, forces, air, trouble } = flight;
  const push = forces.rotor;
  const nr = Math.max(s[S.NR], LEAST_NR);
  const hub_m = -s[S.DOWN] - forces.ground_m + model.hub_m;
  const power = rotorPower(
    { density: air.density, blades: model.blades, aircraft },
    {
      thrust_N,
      inPlane_mps: disc.inPlane_mps,
      through_mps: disc.through_mps,
      nr,
      hub_m: hub_m < 3 * model.span_m ? Math.max(hub_m, 0.2 * model.radius_m) : null,
    },
  );
  const ground = hub_m < 3 * model.span_m ? groundEffect(Math.max(hub_m, 0.2 * model.radius_m), model.radius_m) : 1;
  const wake = power.induced_mps * (1 - (1 - ground) * power.share);
  s[S.INFLOW] += ((wake - s[S.INFLOW]) * step_s) / INFLOW_S;

  const main_W = mainPower_W(power);
  // Driven by the air there is no torque for a tail rotor to hold.
  const shaft_W = main_W > 0 ? shaftPower_W(main_W, disc.tas_mps) : main_W / GEARBOX + ACCESSORIES_W;
  const inertia_J = model.rotorInertia_kgm2 * model.nominal_radps * model.nominal_radps;
  stepTurboshafts(aircraft, s, controls, trouble, air, { shaft_W, inertia_J, nr: s[S.NR] }, step_s);
  let given_W = 0;
  for (let i = 0; i < model.engines.length; i += 1) given_W += s[S.ENGINE + i * S.PER_ENGINE + S.POWER];
  s[S.NR] = Math.max(0, s[S.NR] + ((given_W - shaft_W) / (inertia_J * nr)) * step_s);

  push.upShare = 1 / (1 + DOWNLOAD * power.share);
  push.along_N = 0;
  push.roll_Nm = 0;
  // The blades turn to the left: the body is turned to the right, and held by the tail.
  const torque_Nm = given_W / (nr * model.nominal_radps);
  const foot = controls[C.RIGHT_FOOT] / C.FULL;
  const tail_Nm = -model.tailMost_Nm * (TAIL_MIDDLE - TAIL_FOOT * foot) * nr * nr * (air.density / 1.225);
  const fin_Nm = -0.5 * air.density * disc.tas_mps * disc.right_mps * model.fin_m2 * model.tailArm_m;
  const damped_Nm = -model.iz * s[S.R];
  push.yaw_Nm = torque_Nm + tail_Nm + fin_Nm + damped_Nm;
  push.side_N = -tail_Nm / model.tailArm_m;
}

/** A rotor that the air turns, behind it a propeller and a tail. */
function autorotating(flight: Flight, model: RotorcraftModel, disc: Meets, thrust_N: number, step_s: number): void {
  if (model.lift.kind !== "gyroplane") return;
  const { aircraft } = model.lift;
  const { state: s, controls, forces, air, trouble } = flight;
  const push = forces.rotor;
  const nr = Math.max(s[S.NR], LEAST_NR);
  const turning = { density: air.density, blades: model.blades };
  const { induced_mps, share } = inducedOf(turning, disc, thrust_N);
  s[S.INFLOW] += ((induced_mps - s[S.INFLOW]) * step_s) / INFLOW_S;
  const tip_mps = nr * model.nominal_radps * model.radius_m;
  const lacks_W = rotorDeficit_W(turning, disc, { thrust_N, induced_mps: s[S.INFLOW], share, tip_mps });
  const inertia_J = model.rotorInertia_kgm2 * model.nominal_radps * model.nominal_radps;
  s[S.NR] = Math.max(0, s[S.NR] - (lacks_W / (inertia_J * nr)) * step_s);

  const engine = stepGyroEngine(aircraft, s, controls, trouble[0], air, disc.ahead_mps, step_s);
  push.upShare = 1;
  push.along_N = engine.thrust_N;
  const { rotation } = model.engines[0];
  push.roll_Nm = -rotation * engine.torque_Nm;
  // Fin and rudder in what comes past them: stream, its swirl, the side wind, the tail's own swing.
  const { tail } = aircraft;
  const q = 0.5 * air.density * engine.tail_mps * engine.tail_mps;
  const fast = Math.max(engine.tail_mps, 3);
  const beside = (disc.right_mps - s[S.R] * model.tailArm_m) / fast;
  const met = Math.max(-0.6, Math.min(0.6, -beside)) - rotation * engine.swirl_rad;
  const rudder = (controls[C.RIGHT_FOOT] / C.FULL) * tail.rudderMax_rad;
  const turned = model.fin_m2 * met + tail.rudderArea_m2 * tail.rudderSlope * rudder;
  push.yaw_Nm = q * tail.arm_m * turned;
  push.side_N = -q * turned;
}
