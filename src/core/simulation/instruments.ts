// What the instruments show: with their lags, their errors, and what they show when what feeds them has failed. Runs
// inside a step: functions of numeric/exact only.
import { cos, exp, sin } from "../numeric/exact";
import { G0, RHO0 } from "../quantities/constants";
import { eulerAngles } from "./attitude";
import type { Flight } from "./flight";
import * as S from "./state";

/** How fast they follow, s. */
const [ASI_S, ALTIMETER_S, VSI_S, TURN_S] = [0.35, 0.4, 2.6, 0.45];
/**
 * The ball in its glass: how fast, how damped, where it stops; one ball is so much of a tilt; ahead of the middle, m.
 */
const [BALL_RADPS, BALL_DAMPING, BALL_STOP, BALL_RAD, BALL_AHEAD_M] = [5, 0.7, 2, (5 * Math.PI) / 180, 0.8];
/** A gyro without suction runs down within this and topples by so much a second, growing. */
const [RUNS_DOWN_S, TOPPLES_RADPS] = [150, (0.35 * Math.PI) / 180];

/** Moves the instruments on by a step. @see common practice for lags */
export function stepInstruments(
  { state: s, seen, air, failures }: Flight,
  yawing_radps2: number,
  step_s: number,
): void {
  const time_s = s[S.TIME];
  let pressure_Pa = air.pressure_Pa;
  let total_Pa = pressure_Pa + 0.5 * air.density * seen.tas_mps * seen.tas_mps;
  let altitude_m = -s[S.DOWN];
  let suction_s = 0;
  for (const { kind, since_s, held } of failures) {
    if (time_s < since_s) continue;
    // What a blocked line holds was put aside when it failed.
    if (kind === "static") {
      altitude_m = held;
      total_Pa += pressureBetween(air.density, held + s[S.DOWN]);
    }
    if (kind === "pitot") total_Pa = held;
    if (kind === "vacuum") suction_s = Math.max(suction_s, time_s - since_s);
  }
  if (total_Pa < pressure_Pa) pressure_Pa = total_Pa;
  const indicated = Math.sqrt((2 * (total_Pa - pressure_Pa)) / RHO0);
  s[S.ASI] += ((indicated - s[S.ASI]) * step_s) / ASI_S;
  s[S.ALTIMETER] += ((altitude_m - s[S.ALTIMETER]) * step_s) / ALTIMETER_S;
  s[S.VSI] = (altitude_m - s[S.VSI_HEIGHT]) / VSI_S;
  s[S.VSI_HEIGHT] += s[S.VSI] * step_s;
  s[S.TURN] += ((s[S.R] - s[S.TURN]) * step_s) / TURN_S;

  // Driven by the side that the seat pushes; ahead of the middle it feels the nose swing.
  const push = -seen.fz > 0.2 * G0 ? -(seen.fy + BALL_AHEAD_M * yawing_radps2) / -seen.fz : 0;
  const pull = BALL_RADPS * BALL_RADPS * (push / BALL_RAD - s[S.BALL]) - 2 * BALL_DAMPING * BALL_RADPS * s[S.BALL_RATE];
  s[S.BALL_RATE] += pull * step_s;
  s[S.BALL] += s[S.BALL_RATE] * step_s;
  if (Math.abs(s[S.BALL]) > BALL_STOP) {
    s[S.BALL] = s[S.BALL] > 0 ? BALL_STOP : -BALL_STOP;
    s[S.BALL_RATE] = 0;
  }

  const { bank_rad, pitch_rad, heading_rad } = eulerAngles(s);
  const slow = suction_s > 0 ? 1 - exp(-suction_s / RUNS_DOWN_S) : 0;
  s[S.GYRO_OFF] += TOPPLES_RADPS * slow * (1 + suction_s / RUNS_DOWN_S) * step_s;
  s[S.GYRO_BANK] = bank_rad + sin(s[S.GYRO_OFF] * 3) * s[S.GYRO_OFF];
  s[S.GYRO_PITCH] = pitch_rad + 0.5 * (1 - cos(s[S.GYRO_OFF] * 2)) * s[S.GYRO_OFF];
  s[S.HEADING_AT] = heading_rad;
}

/** Pressure between two heights, Pa. */
const pressureBetween = (density: number, height_m: number): number => -density * G0 * height_m;
