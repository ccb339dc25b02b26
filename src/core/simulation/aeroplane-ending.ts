// What ends the flight of an aeroplane. Runs inside a step.
import { G0 } from "../quantities/constants";
import type { AeroplaneModel } from "./aeroplane-model";
import * as C from "./controls";
import { type Ending, type Flight, STEP_S } from "./flight";
import * as S from "./state";
import { touching } from "./touching";
import { has } from "./trouble";

/** Beyond these it ends: of the never-exceed speed, of the limit load, of the weight on one point. */
const [TOO_FAST, OVERLOAD, CRASH] = [1.1, 1.5, 8];
/** So high above its wheels it flies, m. */
const FLIES_M = 2;
/** Departed: separated and turning for half a turn, or faster, or far beyond the stall. */
const [SEPARATED, TURNING_RADPS, GONE_RADPS, ROLLS_RADPS, YAWS_RADPS, BEYOND_RAD] = [
  0.5,
  0.6,
  0.4,
  (150 * Math.PI) / 180,
  (100 * Math.PI) / 180,
  (43 * Math.PI) / 180,
];

/** Why it goes on no more; null while it does. */
export function aeroplaneEnding(
  { state: s, seen, ground, failures, controls, forces }: Flight,
  model: AeroplaneModel,
): Ending | null {
  const weight = model.mass_kg * G0;
  const turn = Math.sqrt(s[S.P] * s[S.P] + s[S.R] * s[S.R]);
  const separated = 1 - (s[S.ATTACHED_LEFT] + s[S.ATTACHED_RIGHT]) / 2;
  const airborne = seen.touch_N === 0;
  // Near the ground, blown about on its wheels, it has departed from nothing.
  const flies = airborne && -s[S.DOWN] - forces.ground_m > model.hullHeight_m + FLIES_M;
  s[S.STALLED_TURN] = flies && separated > SEPARATED && turn > TURNING_RADPS ? s[S.STALLED_TURN] + turn * STEP_S : 0;
  const gone = separated > GONE_RADPS && (Math.abs(s[S.P]) > ROLLS_RADPS || Math.abs(s[S.R]) > YAWS_RADPS);
  if (flies && seen.tas_mps > 8 && (s[S.STALLED_TURN] > 3.1416 || gone || Math.abs(seen.alpha_rad) > BEYOND_RAD))
    return { kind: "departed" };
  if (s[S.ASI] > TOO_FAST * model.vne_mps) return { kind: "too-fast" };
  if (flies && Math.abs(seen.fz) > OVERLOAD * model.loadFactor * G0) return { kind: "overload" };
  if (airborne) return null;
  const touch = touching(s);
  if (ground.water(s[S.NORTH], s[S.EAST])) return { kind: "water", ...touch };
  const unlocked = has(failures, "gear-unlocked", s[S.TIME]) && controls[C.GEAR] === 1;
  // A wheel that did not lock gives way under half the weight: it goes on on its belly.
  if (unlocked && seen.touch_N > 0.5 * weight) s[S.GEAR_AT] = 0;
  if (seen.touch_N > CRASH * weight) return { kind: "crash", ...touch };
  return null;
}
