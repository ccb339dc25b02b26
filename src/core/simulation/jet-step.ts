// A jet and its spool a step of time later: combustion, thrust, light-up in its envelope, gauges. Runs inside a step:
// functions of numeric/exact only. Time constants are common practice, of the right order only.
import { GAMMA_AIR, P0_PA, R_AIR, RHO0, T0_K, ZERO_CELSIUS_K } from "../quantities/constants";
import { pow } from "../numeric/exact";
import { MIXTURE, STARTER } from "./controls";
import * as S from "./state";
import type { StepAir } from "./step-air";
import { type EngineTrouble, leverOf } from "./trouble";

/** A corner of a relight envelope: calibrated speed, m/s, pressure altitude, m. */
interface Corner {
  readonly speed_mps: number;
  readonly altitude_m: number;
}

/** A jet engine. */
export interface JetModel {
  readonly thrust_N: number;
  readonly throttleRatio: number;
  /** D/q of a dead one, m². */
  readonly dead_m2: number;
  /** Where it lights by the air alone, and with the starter; empty where it is not known: it lights nowhere. */
  readonly windmill: readonly Corner[];
  readonly assisted: readonly Corner[];
}

/** Idle speed of the spool, of full; what the air keeps turning, per m/s and at most; up and down, s. */
const IDLE = 0.35;
const [WINDMILLS, WINDMILLS_PER_MPS] = [0.3, 1 / 500];
const [UP_S, UP_SLOW, UP_FAST_AT, DOWN_S, DEAD_S] = [0.9, 6.5, 0.92, 1.6, 5];
/** It lights after this, s; combustion comes and goes within these. */
const [LIGHTS_S, OUT_S, IN_S] = [12, 0.6, 0.25];
const [SEIZES_PS, SHUT] = [0.5, 0.12 * 127];
const JET_FUEL_KGPNS = 1.8e-5;
const [HOT_K, COLD_K, OIL_PA] = [650 + ZERO_CELSIUS_K, 120 + ZERO_CELSIUS_K, 410_000];
const [FLOW_S, OIL_S, EXHAUST_S] = [0.5, 0.7, 4];

/**
 * Moves a jet on by a step. Its spool share stands where a shaft's speed does.
 *
 * F = F0·δ0·[1 − 0.49√M − 3(θ0 − TR)⁺/(1.5 + M)]·((N − 0.35)/0.65)², total conditions of the stream.
 *
 * @see J. D. Mattingly, Elements of Propulsion, for the lapse (memory)
 */
export function stepJet(
  model: JetModel,
  s: Float64Array,
  at: number,
  engine: 0 | 1,
  controls: Int8Array,
  trouble: EngineTrouble,
  air: StepAir,
  tas_mps: number,
  step_s: number,
): void {
  const lever = trouble.stuck >= 0 ? trouble.stuck : leverOf(controls, engine);
  const n = s[at + S.OMEGA];
  light(model, s, at, controls[STARTER + engine] === 1, trouble, air, tas_mps, step_s);
  const burning = s[at + S.BURN] > 0.5 && controls[MIXTURE + engine] >= SHUT;

  const air_K = (air.speedOfSound_mps * air.speedOfSound_mps) / (GAMMA_AIR * R_AIR);
  const mach = tas_mps / air.speedOfSound_mps;
  const ram = 1 + ((GAMMA_AIR - 1) / 2) * mach * mach;
  const delta0 = (air.pressure_Pa / P0_PA) * ram * ram * ram * Math.sqrt(ram);
  const hot = (air_K / T0_K) * ram - model.throttleRatio;
  const lapse = 1 - 0.49 * Math.sqrt(mach) - (3 * (hot > 0 ? hot : 0)) / (1.5 + mach);
  const full_N = Math.max(model.thrust_N * delta0 * lapse, 0);

  let wanted = Math.min(WINDMILLS, tas_mps * WINDMILLS_PER_MPS);
  let within = DEAD_S;
  if (burning) {
    wanted = IDLE + (1 - IDLE) * Math.sqrt(lever * trouble.power);
    within = wanted > n ? UP_S + UP_SLOW * Math.max(UP_FAST_AT - n, 0) : DOWN_S;
  }
  const next = trouble.seized ? n - SEIZES_PS * step_s : n + ((wanted - n) * step_s) / within;
  s[at + S.OMEGA] = next > 0 ? next : 0;

  const spun = (s[at + S.OMEGA] - IDLE) / (1 - IDLE);
  s[at + S.THRUST] = burning
    ? spun > 0
      ? full_N * spun * spun
      : 0
    : -0.5 * air.density * tas_mps * tas_mps * model.dead_m2;
  s[at + S.TORQUE] = 0;
  s[at + S.INDUCED] = 0;

  const flow = burning ? JET_FUEL_KGPNS * Math.max(s[at + S.THRUST], 0.06 * model.thrust_N) : 0;
  s[at + S.FUEL_FLOW] += ((flow - s[at + S.FUEL_FLOW]) * step_s) / FLOW_S;
  const heat = burning ? COLD_K + (HOT_K - COLD_K) * (0.55 + 0.45 * Math.max(spun, 0)) : COLD_K;
  s[at + S.EXHAUST] += (((trouble.blind ? 0 : heat) - s[at + S.EXHAUST]) * step_s) / EXHAUST_S;
  const oil = OIL_PA * trouble.oil * Math.min(s[at + S.OMEGA] / IDLE, 1);
  s[at + S.OIL] += ((oil - s[at + S.OIL]) * step_s) / OIL_S;
}

/** Combustion goes out without fuel; it comes back after a while inside the envelope, with fuel and a turning spool. */
function light(
  model: JetModel,
  s: Float64Array,
  at: number,
  starter: boolean,
  trouble: EngineTrouble,
  air: StepAir,
  tas_mps: number,
  step_s: number,
): void {
  const fed = trouble.fuel > 0 && !trouble.seized;
  const burn = s[at + S.BURN];
  if (!fed) {
    s[at + S.BURN] = burn - (burn * step_s) / OUT_S;
    s[at + S.DRY_S] = 0;
    return;
  }
  if (burn > 0.5) {
    s[at + S.BURN] = burn + ((1 - burn) * step_s) / IN_S;
    return;
  }
  // Equivalent speed for calibrated: within two knots at these speeds and heights.
  const speed = tas_mps * Math.sqrt(air.density / RHO0);
  // Of the standard atmosphere below the tropopause.
  const altitude = 44_330.8 * (1 - pow(air.pressure_Pa / P0_PA, 0.190263));
  const inside =
    isInside(model.windmill, speed, altitude) ||
    (starter && (tas_mps < 5 || isInside(model.assisted, speed, altitude)));
  s[at + S.DRY_S] = inside ? s[at + S.DRY_S] + step_s : 0;
  if (s[at + S.DRY_S] > LIGHTS_S) s[at + S.BURN] = 0.6;
}

/** Whether a point lies in a polygon, by the crossings of a ray. */
function isInside(corners: readonly Corner[], speed: number, altitude: number): boolean {
  let inside = false;
  for (let i = 0, j = corners.length - 1; i < corners.length; j = i, i += 1) {
    const a = corners[i];
    const b = corners[j];
    if (a.altitude_m > altitude === b.altitude_m > altitude) continue;
    const across =
      a.speed_mps + ((altitude - a.altitude_m) / (b.altitude_m - a.altitude_m)) * (b.speed_mps - a.speed_mps);
    if (speed < across) inside = !inside;
  }
  return inside;
}
