// The engine of a gyroplane and its pusher propeller a step of time later. Runs inside a step: functions of
// numeric/exact only. Time constants are common practice, of the right order only.
import type { Gyroplane } from "../aircraft/gyroplane";
import { powerShare } from "../engine/power-share";
import { PI } from "../numeric/exact";
import { RHO0 } from "../quantities/constants";
import { slipstreamOf } from "../rotor/slipstream";
import { HEAT, STARTER } from "./controls";
import { burnPiston, follow, stepGauges } from "./engine-step";
import * as S from "./state";
import type { StepAir } from "./step-air";
import { type EngineTrouble, leverOf } from "./trouble";

/** Speed of the idling engine, of its full one; how fast it follows, and how fast it stops. */
const [IDLE, FOLLOWS_S, STOPS_S, SEIZES_S] = [0.35, 0.5, 1.2, 0.3];
/** The starter brings it to this share, within this. */
const [CRANKS, CRANKS_S] = [0.15, 0.6];
/** A closed intake leaves this much less; heat costs so much. */
const [ICED, HEATED] = [0.85, 0.1];

/** What its propeller gives the body. */
export interface PusherPush {
  readonly thrust_N: number;
  /** Air at the tail, m/s, and its swirl, rad: none while it stands. */
  readonly tail_mps: number;
  readonly swirl_rad: number;
  readonly torque_Nm: number;
}

/**
 * Moves the engine on; its figures are in the state after that.
 *
 * @param ahead_mps - through the air, along the nose
 * @returns the pull of its power by the disc, with an idling engine's own as the lever closes; the drag of a propeller
 *   that stands
 */
export function stepGyroEngine(
  aircraft: Gyroplane,
  s: Float64Array,
  controls: Int8Array,
  trouble: EngineTrouble,
  air: StepAir,
  ahead_mps: number,
  step_s: number,
): PusherPush {
  const at = S.ENGINE;
  const { engines, body } = aircraft;
  const full_radps = (engines.speed_rpm * PI) / 30;
  const lever = trouble.stuck >= 0 ? trouble.stuck : leverOf(controls, 0);
  burnPiston(s, at, trouble, s[at + S.OMEGA], step_s);
  const share = Math.max(Math.min(powerShare(air.density / RHO0, null), 1), 0);
  const power = trouble.power * (controls[HEAT] === 1 ? 1 - HEATED : 1) * (1 - ICED * s[at + S.ICE]) * share;
  const burning = s[at + S.BURN];
  const works = burning > 0.5 && !trouble.seized;
  const power_W = works ? burning * lever * power * engines.power_W : 0;

  const cranked = controls[STARTER] === 1 && !works && !trouble.seized;
  const wanted = works ? IDLE + (1 - IDLE) * Math.sqrt(lever * power) : cranked ? CRANKS : 0;
  const within_s = trouble.seized ? SEIZES_S : works ? FOLLOWS_S : cranked ? CRANKS_S : STOPS_S;
  follow(s, at + S.OMEGA, wanted * full_radps, within_s, step_s);

  const v = Math.max(ahead_mps, 0);
  const stream = slipstreamOf({ aircraft, density: air.density }, v, power_W);
  const idling_N = body.idleThrust_N * (1 - (v / body.idleNone_mps) * (v / body.idleNone_mps));
  const stopped_N = -0.5 * air.density * ahead_mps * Math.abs(ahead_mps) * body.stoppedPropeller_m2;
  // What turns without fire is between idling and standing.
  const turning = works ? 1 : Math.min(s[at + S.OMEGA] / (IDLE * full_radps), 1);
  const thrust_N = stream.thrust_N + turning * (1 - (works ? lever : 0)) * idling_N + (1 - turning) * stopped_N;
  s[at + S.THRUST] = thrust_N;
  s[at + S.TORQUE] = power_W / full_radps;
  s[at + S.INDUCED] = (stream.tail_mps - v) / 2;
  stepGauges(s, at, { lever, power, full_W: engines.power_W, speed_radps: full_radps, trouble, air }, step_s);
  return { thrust_N, tail_mps: stream.tail_mps, swirl_rad: stream.swirl_rad, torque_Nm: power_W / full_radps };
}
